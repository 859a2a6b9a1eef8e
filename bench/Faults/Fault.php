<?php

declare(strict_types=1);

namespace Bench\Faults;

/**
 * Something that is wrong with a board or around it, as it is met in houses. What a fault says nothing of is as on a
 * board that is well.
 */
abstract class Fault
{
    abstract public function name(): string;

    /** For the person who puts it in. */
    abstract public function label(): string;

    /**
     * What it leaves to be seen: where one looks => what is there.
     *
     * @return array<string, string>
     */
    abstract protected function traces(): array;

    /** The board starts at all. */
    public function starts(): bool
    {
        return true;
    }

    /** What is left of it once supply, cable, case or fan are others; null: nothing. */
    public function withOtherPart(): ?self
    {
        return $this;
    }

    /** There is something on its card that it can start from. */
    public function findsSystem(): bool
    {
        return true;
    }

    /** It has a network cable with both ends in. */
    public function hasCable(): bool
    {
        return true;
    }

    /** It has an address of this network in the end. */
    public function getsAddress(): bool
    {
        return true;
    }

    /** It gets another address than the one it had. */
    public function isMoved(): bool
    {
        return false;
    }

    /** How many times longer everything takes. */
    public function slowness(): float
    {
        return 1.0;
    }

    /** Whether it answers on a port that something is to listen on. */
    public function opens(int $port): bool
    {
        return true;
    }

    /** Whether packets to a port are thrown away without a word. */
    public function drops(int $port): bool
    {
        return false;
    }

    /** It is up, and nobody in this network gets through to it. */
    public function isHidden(): bool
    {
        return false;
    }

    /** Another machine answers at its address. */
    public function answersForAnother(): bool
    {
        return false;
    }

    /**
     * What its page gives in place of itself; null: itself.
     *
     * @return ?array{int, string} status and title
     */
    public function page(): ?array
    {
        return null;
    }

    final public function reachesNetwork(): bool
    {
        return $this->starts() && $this->findsSystem() && $this->hasCable() && $this->getsAddress();
    }

    /** What is to be seen at a place; null when this fault changes nothing there. */
    public function leaves(string $at): ?string
    {
        return $this->traces()[$at] ?? null;
    }

    /** What a person sees at a place; empty for a place that the bench does not know. */
    final public function looks(string $at): string
    {
        return $this->leaves($at) ?? (Well::LOOKS[$at] ?? '');
    }
}
