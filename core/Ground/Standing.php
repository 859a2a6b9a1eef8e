<?php

declare(strict_types=1);

namespace Burrow\Ground;

use DateTimeImmutable;

/** How one box stands, as far as the whole network is concerned. */
final readonly class Standing
{
    /**
     * @param  ?DateTimeImmutable  $silentSince  null when it answers
     * @param  list<string>  $openings  "51944 udp" …
     * @param  bool  $mayFaceWorld  its job is meant to be reached from outside
     * @param  string  $servesAll  what every other box depends on it for, or empty
     */
    public function __construct(
        public string $name,
        public ?DateTimeImmutable $silentSince,
        public array $openings,
        public bool $mayFaceWorld,
        public string $servesAll,
    ) {
    }
}
