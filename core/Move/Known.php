<?php

declare(strict_types=1);

namespace Burrow\Move;

/** What the record knows of one box beside the picture of the house. */
final readonly class Known
{
    /**
     * @param  float  $hands  seconds of somebody's hands that its playbook takes
     * @param  float  $waits  seconds that it goes on by itself
     * @param  list<string>  $answersMissing  labels of what was asked and is not kept
     * @param  array<string, array{bytes: ?int, rate: ?float, paths: list<string>}>  $copies  by the backup's name: size,
     *         bytes a second of the last one, what is copied
     * @param  list<string>  $clients  who holds its address, name or a key of it
     */
    public function __construct(
        public float $hands = 0,
        public float $waits = 0,
        public array $answersMissing = [],
        public array $copies = [],
        public array $clients = [],
    ) {
    }
}
