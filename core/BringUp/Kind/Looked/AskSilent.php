<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Household\DoorState;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;

/** Nobody may be at an address: the one that a box is to get, or the one that it left. */
final class AskSilent extends Told
{
    /** What nearly every machine answers to, in one way or the other. */
    private const PORTS = [22, 80, 443];

    /** @param  string  $value  of the run, that holds the address */
    public function __construct(private readonly string $name, private readonly string $value)
    {
    }

    public function name(): string
    {
        return $this->name;
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function judge(Judging $at): Outcome
    {
        $address = Ipv4::tryParse($at->facts->learned[$this->value] ?? '');
        if ($address === null) {
            return Outcome::notYet(SeenFindings::noAddress());
        }
        foreach (self::PORTS as $port) {
            // A refusal comes from somebody as well.
            if ($at->network->door($address, $port) !== DoorState::Silent) {
                return Outcome::notYet(SeenFindings::somebodyThere($address, $port));
            }
        }

        return Outcome::over("nobody at {$address}", Findings::of(SeenFindings::nobodyThere($address)));
    }
}
