<?php

declare(strict_types=1);

namespace Bench\Faults;

/** Two at once: what either takes away is away, and what is to be seen is what the first leaves, else the other. */
final class Both extends Fault
{
    /** Between the names of two. */
    public const AND = '+';

    private readonly Fault $first;

    private readonly Fault $then;

    public function __construct(Fault $one, Fault $other)
    {
        // What keeps a board from starting hides what comes after it.
        $turned = self::depth($other) < self::depth($one);
        $this->first = $turned ? $other : $one;
        $this->then = $turned ? $one : $other;
    }

    public function name(): string
    {
        return $this->first->name().self::AND.$this->then->name();
    }

    public function label(): string
    {
        return "{$this->first->label()}, and {$this->then->label()}";
    }

    public function withOtherPart(): ?Fault
    {
        [$first, $then] = [$this->first->withOtherPart(), $this->then->withOtherPart()];

        return $first !== null && $then !== null ? new self($first, $then) : $first ?? $then;
    }

    public function starts(): bool
    {
        return $this->first->starts() && $this->then->starts();
    }

    public function findsSystem(): bool
    {
        return $this->first->findsSystem() && $this->then->findsSystem();
    }

    public function hasCable(): bool
    {
        return $this->first->hasCable() && $this->then->hasCable();
    }

    public function getsAddress(): bool
    {
        return $this->first->getsAddress() && $this->then->getsAddress();
    }

    public function isMoved(): bool
    {
        return $this->first->isMoved() || $this->then->isMoved();
    }

    public function slowness(): float
    {
        return max($this->first->slowness(), $this->then->slowness());
    }

    public function opens(int $port): bool
    {
        return $this->first->opens($port) && $this->then->opens($port);
    }

    public function drops(int $port): bool
    {
        return $this->first->drops($port) || $this->then->drops($port);
    }

    public function isHidden(): bool
    {
        return $this->first->isHidden() || $this->then->isHidden();
    }

    public function answersForAnother(): bool
    {
        return $this->first->answersForAnother() || $this->then->answersForAnother();
    }

    public function page(): ?array
    {
        return $this->first->page() ?? $this->then->page();
    }

    /** The one that is left when the other was put right; null when neither has that name. */
    public function without(string $name): ?Fault
    {
        return match ($name) {
            $this->first->name() => $this->then,
            $this->then->name() => $this->first,
            default => null,
        };
    }

    public function leaves(string $at): ?string
    {
        return $this->first->leaves($at) ?? $this->then->leaves($at);
    }

    protected function traces(): array
    {
        return [];
    }

    /** How early it bites: 0 no power, 1 no system, 2 no network, 3 no way through, 4 no door, 5 anything after. */
    private static function depth(Fault $fault): int
    {
        return match (true) {
            ! $fault->starts() => 0,
            ! $fault->findsSystem() => 1,
            ! $fault->hasCable(), ! $fault->getsAddress() => 2,
            $fault->isHidden(), $fault->isMoved() => 3,
            ! $fault->opens(22) => 4,
            default => 5,
        };
    }
}
