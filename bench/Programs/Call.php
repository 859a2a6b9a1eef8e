<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;

/** One program called: with which words, what comes in, and whether with administrator rights. */
final readonly class Call
{
    /** @param  non-empty-list<string>  $words  the program's name first */
    public function __construct(public Board $board, public array $words, public string $in, public bool $root)
    {
    }

    /** @return list<string> what is no option, after the name */
    public function plain(): array
    {
        return array_values(
            array_filter(array_slice($this->words, 1), fn (string $word): bool => ! str_starts_with($word, '-')),
        );
    }

    public function has(string ...$options): bool
    {
        return array_intersect($options, $this->words) !== [];
    }

    /** What stands behind an option, or in it after “=”. */
    public function option(string ...$names): ?string
    {
        foreach ($this->words as $at => $word) {
            if (in_array($word, $names, true)) {
                return $this->words[$at + 1] ?? null;
            }
            [$name, $value] = [...explode('=', $word, 2), null];
            if ($value !== null && in_array($name, $names, true)) {
                return $value;
            }
        }

        return null;
    }
}
