<?php

declare(strict_types=1);

namespace Burrow\Text;

/** Numbers in sentences. */
final class Words
{
    private const NUMBERS = [
        'none',
        'one',
        'two',
        'three',
        'four',
        'five',
        'six',
        'seven',
        'eight',
        'nine',
        'ten',
        'eleven',
        'twelve',
    ];

    /** In letters up to twelve, then in digits. */
    public static function number(int $number): string
    {
        return self::NUMBERS[$number] ?? (string) $number;
    }

    /**
     * "1 day", "2 days", "2.5 days".
     *
     * @param  ?string  $many  where it is not the word for one with an "s"
     */
    public static function counted(int|float $count, string $one, ?string $many = null): string
    {
        return "{$count} ".((float) $count === 1.0 ? $one : $many ?? "{$one}s");
    }

    /** What somebody typed, as a message may show it: without control characters and not longer than a line. */
    public static function typed(string $typed, int $longest = 60): string
    {
        return mb_strimwidth((string) preg_replace('/\p{C}/u', '·', $typed), 0, $longest, '…');
    }
}
