<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Draw;

/** A box in the picture of the week. */
final readonly class Lane
{
    /**
     * @param  list<array{x: float, width: float, texture: int}>  $busy
     * @param  ?float  $from  where its work begins; null where none is planned
     * @param  ?float  $dark  from where on it is away
     * @param  string  $says  when, or why not
     */
    public function __construct(
        public string $box,
        public float $y,
        public array $busy,
        public ?float $from,
        public ?float $to,
        public ?float $dark,
        public string $says,
        public float $saysX,
    ) {
    }
}
