<?php

declare(strict_types=1);

use Burrow\Text\TextBudget;

// How much of a text is looked at: the most of each, and one more.

test('a text is read up to its budget', function (
    TextBudget $budget,
    int $bytes,
    int $lines,
    int $line,
    int $blanks,
): void {
    $told = fn (string $text): ?string => $budget->exceeded($text)?->because;
    $size = fn (int $of): string => $of >= 1 << 20 ? ($of >> 20).' MiB' : ($of >> 10).' KiB';
    $whole = str_repeat(str_repeat('a', 999)."\n", intdiv($bytes, 1000));
    $whole .= str_repeat('b', $bytes - strlen($whole));
    $long = str_repeat('a', $line);
    $run = str_repeat(' ', $blanks);
    $short = str_repeat(" \t", 150);
    expect([$told($whole), $told("{$whole}b")])
        ->toBe([null, "it is larger than {$size($bytes)}"])
        ->and([$told(str_repeat("a\n", $lines)), $told(str_repeat("a\n", $lines).'a')])
        ->toBe([null, "it has more than {$lines} lines"])
        ->and($told($long))
        ->toBeNull()
        ->and($line < $bytes ? $told("{$long}a") : 'this line is longer than '.$size($line))
        ->toBe('this line is longer than '.$size($line))
        ->and([$told("a{$run}a"), $told("{$short}a{$short}b{$run} a"), $told("{$run} x")])
        ->toBe([null, 'hundreds of blanks stand in this line', 'hundreds of blanks stand in this line'])
        ->and([$told("a{$short}a{$short}a{$short}a"), $told("a{$run}a{$run}\ta")])
        ->toBe([null, 'hundreds of blanks stand in this line'])
        ->and([$told(str_repeat(" \t\r\n", $blanks).'a'), $told(str_repeat("\n", $blanks + 1).'a')])
        ->toBe([null, 'hundreds of empty lines stand in it'])
        ->and($budget->exceeded(str_repeat("\n", $blanks)."a\n".str_repeat("\n", $blanks + 1))?->line)
        ->toBe(2 * $blanks + 2);
})->with([
    'of a card' => [fn () => TextBudget::cardFile(), 131_072, 3000, 8192, 400],
    'of the catalogue' => [fn () => TextBudget::entry(), 61_440, 2000, 4096, 400],
    'of a house' => [fn () => TextBudget::description(), 1_048_576, 30_000, 1_048_576, 400],
    'of a tool' => [fn () => TextBudget::paste(), 16_777_216, 200_000, 1_048_576, 1000],
]);
