<?php

declare(strict_types=1);

namespace Burrow\Text;

/** The names that a file's reader knows, for finding the one that was meant. */
final readonly class KnownWords
{
    /** So many letters may be wrong, missing or too many. */
    private const SLIPS = 2;

    /** Longer ones are no slip of a known name. */
    private const LONGEST = 60;

    /** @param  non-empty-list<string>  $words */
    private function __construct(private array $words)
    {
    }

    /** @param  string  $text  names with blanks between them */
    public static function of(string $text): self
    {
        return new self(preg_split('/\s+/', $text, -1, PREG_SPLIT_NO_EMPTY) ?: ['']);
    }

    public function has(string $word): bool
    {
        return in_array($word, $this->words, true);
    }

    /** @return non-empty-list<string> */
    public function all(): array
    {
        return $this->words;
    }

    public function nearest(string $word): ?string
    {
        $apart = array_combine(
            $this->words,
            array_map(fn (string $known): int => levenshtein(substr($word, 0, self::LONGEST), $known), $this->words),
        );
        asort($apart);

        // In a short word two other letters make another word.
        return reset($apart) <= min(self::SLIPS, intdiv(strlen($word), 2)) ? (string) key($apart) : null;
    }
}
