<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Household\DoorState;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/**
 * What came of looking at a step: whether it is over, in which words, what was found and learned, and which ports were
 * asked.
 */
final readonly class Outcome
{
    /**
     * @param  array<string, string>  $values  for later commands
     * @param  array<string, DoorState>  $looked  "tcp/22" => what it met there, for ports at the box's own address
     */
    private function __construct(
        public bool $over,
        public string $words,
        public Findings $findings,
        public array $values,
        public Learned $learned,
        public array $looked,
    ) {
    }

    public static function notYet(Findings|Finding $findings): self
    {
        return new self(
            false,
            '',
            $findings instanceof Finding ? Findings::of($findings) : $findings,
            [],
            new Learned(),
            [],
        );
    }

    /** @param  array<string, string>  $values */
    public static function over(
        string $words,
        ?Findings $findings = null,
        array $values = [],
        ?Learned $learned = null,
    ): self {
        return new self(true, $words, $findings ?? Findings::of(), $values, $learned ?? new Learned(), []);
    }

    /** A port was asked; the step is over when it is open. */
    public static function door(DoorState $state, string $port, Finding $finding): self
    {
        $open = $state === DoorState::Open;

        return new self($open, $open ? "port {$port} open" : '', Findings::of($finding), [], new Learned(), [
            "tcp/{$port}" => $state,
        ]);
    }

    /** This one, joined with another that was looked at as well. */
    public function with(self $other): self
    {
        return new self(
            $this->over && $other->over,
            $other->words,
            $this->findings->and($other->findings),
            [...$this->values, ...$other->values],
            $this->learned->with($other->learned),
            [...$this->looked, ...$other->looked],
        );
    }

    /**
     * The same, with what was met at ports of the box's own address.
     *
     * @param  array<string, DoorState>  $met  "tcp/80" => what was met there
     */
    public function meeting(array $met): self
    {
        return new self($this->over, $this->words, $this->findings, $this->values, $this->learned, [
            ...$this->looked,
            ...$met,
        ]);
    }

    /**
     * Not over after all: the port is open, and what was asked for there did not answer. A port that is not stays
     * as found.
     */
    public function instead(Finding $finding): self
    {
        return $this->over ? self::notYet($finding)->meeting($this->looked) : $this;
    }
}
