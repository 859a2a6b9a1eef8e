<?php

declare(strict_types=1);

namespace Burrow\Filter;

/** How large a list is, and what of it could not be read. */
final readonly class ListSize
{
    /**
     * @param  int  $lines  all of them
     * @param  int  $invalid  lines that hold no name a resolver is asked
     * @param  int  $unique  different entries
     * @param  list<int>  $named  numbers of the first lines that could not be read
     */
    public function __construct(
        public string $name,
        public int $lines,
        public int $invalid,
        public int $unique,
        public array $named,
        public int $folded = 0,
    ) {
    }
}
