<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

/** A machine of a list, and how much speaks for its being the one that is looked for. */
final readonly class Candidate
{
    /**
     * @param  string  $called  the box or device it is, or ""
     * @param  bool  $isNew  it was not in the list that was kept before
     * @param  int  $weight  sum of the reasons' weights; the larger comes first
     * @param  list<string>  $reasons  in words, the weightiest first
     */
    public function __construct(
        public Seen $seen,
        public SeenAs $as,
        public string $called,
        public bool $isNew,
        public int $weight,
        public array $reasons,
    ) {
    }
}
