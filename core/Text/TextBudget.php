<?php

declare(strict_types=1);

namespace Burrow\Text;

/**
 * How much of a text is looked at. Readers work line by line, and their patterns take a bounded number of steps a byte
 * as long as neither a line nor a run of blanks is endless; a text outside of its budget is named and not read.
 */
final readonly class TextBudget
{
    /** Accounts, keys, links or networks of one card: no household has more. */
    public const ITEMS = 100;

    /**
     * @param  int  $bytes  largest text
     * @param  int  $lines  most lines
     * @param  int  $lineBytes  longest line
     * @param  int  $blanks  longest run of blanks and tabs in a line, and of empty lines
     */
    private function __construct(public int $bytes, public int $lines, public int $lineBytes, public int $blanks)
    {
    }

    /** A first-boot file: the longest real ones hold a few keys and a script. */
    public static function cardFile(): self
    {
        return new self(128 * 1024, 3000, 8192, 400);
    }

    /** An entry of the catalogue or a plan; the longest built-in job has about a hundred lines. */
    public static function entry(): self
    {
        return new self(60 * 1024, 2000, 4096, 400);
    }

    /** A whole house or evening described in one file; JSON may stand on one line. */
    public static function description(): self
    {
        return new self(1024 * 1024, 30_000, 1024 * 1024, 400);
    }

    /**
     * What a tool printed: a lease list of a hundred thousand machines is seven megabytes. JSON of a tool may stand on
     * one line.
     */
    public static function paste(): self
    {
        return new self(16 * 1024 * 1024, 200_000, 1024 * 1024, 1000);
    }

    /** In words what is too much, with its line where it has one; null when all is within. */
    public function exceeded(string $text): ?TooMuch
    {
        if (strlen($text) > $this->bytes) {
            return new TooMuch('it is larger than '.self::size($this->bytes), null);
        }
        $number = $empty = 0;
        $length = strlen($text);
        for ($from = 0; $from < $length; $from = $end + 1) {
            $end = strpos($text, "\n", $from);
            $end = $end === false ? $length : $end;
            $number++;
            if ($number > $this->lines) {
                return new TooMuch("it has more than {$this->lines} lines", $number);
            }
            if ($end - $from > $this->lineBytes) {
                return new TooMuch('this line is longer than '.self::size($this->lineBytes), $number);
            }
            $empty = strspn($text, " \t\r", $from, $end - $from) === $end - $from ? $empty + 1 : 0;
            if ($empty > $this->blanks || ($end - $from > $this->blanks && $this->hasRun($text, $from, $end))) {
                return new TooMuch(
                    $empty > $this->blanks
                        ? 'hundreds of empty lines stand in it'
                        : 'hundreds of blanks stand in this line',
                    $number,
                );
            }
        }

        return null;
    }

    private function hasRun(string $text, int $from, int $end): bool
    {
        while ($from < $end) {
            $run = strspn($text, " \t", $from, $end - $from);
            if ($run > $this->blanks) {
                return true;
            }
            $from += $run + strcspn($text, " \t", $from + $run, $end - $from - $run);
        }

        return false;
    }

    private static function size(int $bytes): string
    {
        return $bytes >= 1024 * 1024 ? intdiv($bytes, 1024 * 1024).' MiB' : intdiv($bytes, 1024).' KiB';
    }
}
