<?php

declare(strict_types=1);

namespace Burrow\Quantity;

/** A price in whole cents of the household's own currency, which is never converted. */
final readonly class Money
{
    private function __construct(public int $cents)
    {
    }

    public static function of(float $amount): self
    {
        return new self((int) round($amount * 100));
    }

    public function plus(self $other): self
    {
        return new self($this->cents + $other->cents);
    }

    /** May be negative: what is saved. */
    public function less(self $other): self
    {
        return new self($this->cents - $other->cents);
    }

    public function __toString(): string
    {
        return number_format($this->cents / 100, $this->cents % 100 === 0 ? 0 : 2, '.', '');
    }
}
