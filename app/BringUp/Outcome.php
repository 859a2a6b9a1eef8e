<?php

declare(strict_types=1);

namespace App\BringUp;

use Burrow\BringUp\DoorState;
use Burrow\Judgement\Findings;

/** What came of looking at a step: whether it is over, in which words, what was found and learned, and which ports were asked. */
final readonly class Outcome
{
    /**
     * @param  array<string, string|null>  $learned
     * @param  array<string, DoorState>  $looked  "tcp/22" => what it met there, for ports at the box's own address
     */
    public function __construct(
        public bool $over,
        public string $words,
        public Findings $findings,
        public array $learned = [],
        public array $looked = [],
    ) {
    }

    public static function notYet(Findings $findings): self
    {
        return new self(false, '', $findings);
    }

    /** @param  array<string, string|null>  $learned */
    public static function over(string $words, Findings $findings, array $learned = []): self
    {
        return new self(true, $words, $findings, $learned);
    }

    /** This one, joined with another that was looked at as well. */
    public function with(self $other): self
    {
        return new self(
            $this->over && $other->over,
            $other->words,
            $this->findings->and($other->findings),
            [...$this->learned, ...$other->learned],
            [...$this->looked, ...$other->looked],
        );
    }
}
