<?php

declare(strict_types=1);

namespace Burrow\Intake;

/** The lines of a text one after the other, without copying the whole of it. */
final class Lines
{
    /** More of a line is not looked at. */
    private const LONGEST = 4096;

    /** @return iterable<int, string> by number, from one; each at most 4096 bytes */
    public static function of(string $text): iterable
    {
        $from = 0;
        $length = strlen($text);
        for ($number = 1; $from < $length; $number++) {
            $end = strpos($text, "\n", $from);
            $end = $end === false ? $length : $end;
            yield $number => substr($text, $from, min($end - $from, self::LONGEST));
            $from = $end + 1;
        }
    }

    /**
     * The words between blanks.
     *
     * @return list<string>
     */
    public static function words(string $line): array
    {
        return preg_split('/\s+/', $line, -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    private function __construct()
    {
    }
}
