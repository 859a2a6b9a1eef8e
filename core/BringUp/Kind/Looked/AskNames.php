<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Looked;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Told\Look;
use Burrow\Household\DoorState;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Burrow\Net\NameAnswer;
use Burrow\Net\Protocol;

/** Names are looked up at the box itself: one that must be refused, one that must be answered, one of this house. */
final class AskNames extends Told
{
    /** Names of one kind that are asked; a list may hold thousands. */
    private const MOST = 3;

    public function name(): string
    {
        return 'ask-names';
    }

    public function place(): StepPlace
    {
        return StepPlace::Check;
    }

    public function judge(Judging $at): Outcome
    {
        $address = $at->facts->address;
        $look = $at->step->more->look ?? new Look();
        if ($address === null) {
            return Outcome::notYet(SeenFindings::noAddress());
        }
        $findings = [];
        $met = [];
        $over = true;
        foreach ([Protocol::Udp, Protocol::Tcp] as $protocol) {
            foreach ($this->questions($at, $look, $address) as [$name, $wanted, $fits]) {
                $answer = $at->network->lookup($address, $name, $protocol);
                $met["{$protocol->value}/53"] =
                    $answer->isSilent() && ($met["{$protocol->value}/53"] ?? null) !== DoorState::Open
                        ? DoorState::Silent
                        : DoorState::Open;
                if (! $fits($answer)) {
                    $findings[] = SeenFindings::nameOtherwise(
                        $name,
                        strtoupper($protocol->value),
                        $answer->words(),
                        $wanted,
                    );
                    $over = false;
                } elseif ($protocol === Protocol::Udp) {
                    $findings[] = SeenFindings::namesAnswered($name, $answer->words());
                }
                // Where nobody answers the first, the others would only be waited for.
                if ($answer->isSilent()) {
                    break;
                }
            }
        }
        $list = Findings::of(...$findings);

        return ($over
            ? Outcome::over('names as they should be, over UDP and TCP', $list)
            : Outcome::notYet($list)
        )->meeting($met);
    }

    /** @return list<array{string, string, callable(NameAnswer): bool}> name, what it should be, whether it is */
    private function questions(Judging $at, Look $look, Ipv4 $address): array
    {
        $questions = [];
        foreach ($this->names($at, $look->refused) as $name) {
            $questions[] = [$name, 'refused', fn (NameAnswer $answer): bool => $answer->isRefused()];
        }
        foreach ($this->names($at, $look->answered) as $name) {
            $questions[] = [$name, 'answered', fn (NameAnswer $answer): bool => $answer->isAnswered()];
        }
        foreach ($look->local === '' ? [] : $this->names($at, [$look->local]) as $name) {
            $questions[] = [
                $name,
                "answered with {$address}",
                fn (NameAnswer $answer): bool => in_array((string) $address, $answer->addresses, true),
            ];
        }

        return $questions;
    }

    /**
     * @param  list<string>  $texts  each may hold a value, and that several names
     * @return list<string>
     */
    private function names(Judging $at, array $texts): array
    {
        $names = [];
        foreach ($texts as $text) {
            $names = [...$names, ...array_slice(explode("\n", $at->filled($text)), 0, self::MOST)];
        }

        return array_values(
            array_filter(array_map(trim(...), $names), fn (string $name): bool => $name !== ''),
        );
    }
}
