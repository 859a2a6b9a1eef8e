<?php

declare(strict_types=1);

use Burrow\Text\KnownWords;
use Burrow\Text\Moment;
use Burrow\Text\Yaml11;
use Burrow\Text\YamlText;
use Symfony\Component\Yaml\Exception\ParseException;

// What a household's YAML may be, at its edges, and where it is not understood.

/** The line at which a text is refused; null when it is taken. */
function refusedAt(string $text): ?int
{
    try {
        YamlText::parse($text);

        return null;
    } catch (ParseException $problem) {
        return $problem->getParsedLine();
    }
}

test(
    '48 levels are taken, and the 49th is refused at its line, brackets and dashes alike',
    function (): void {
        $brackets = fn (int $levels): string => "first: 1\nlist: ".
            str_repeat('[', $levels).
            '1'.
            str_repeat(']', $levels);
        $mixed = fn (int $levels): string => 'list: '.
            str_repeat('[{a: ', intdiv($levels, 2)).
            '1'.
            str_repeat('}]', intdiv($levels, 2));
        $dashes = fn (int $levels): string => "first: 1\nlist:\n  ".str_repeat('- ', $levels).'1';
        expect(refusedAt($brackets(48)))
            ->toBeNull()
            ->and(refusedAt($brackets(49)))
            ->toBe(2)
            ->and(refusedAt($mixed(48)))
            ->toBeNull()
            ->and(refusedAt($mixed(50)))
            ->toBe(1)
            ->and(refusedAt($dashes(48)))
            ->toBeNull()
            ->and(refusedAt($dashes(49)))
            ->toBe(3)
            // Brackets that are closed again are not one in the other.
            ->and(refusedAt('list: ['.implode(', ', array_fill(0, 200, '[1]')).']'))
            ->toBeNull();
    },
);

test('the line is told at which the box’s own reader gives up', function (string $yaml, ?int $line): void {
    $python = run(
        'python3 -c '.
            escapeshellarg('import sys, yaml; yaml.safe_load(sys.stdin.read())').
            ' <<\'END\''.
            "\n{$yaml}\nEND\n",
    );
    expect($python['exit'] === 0)
        ->toBe($line === null)
        ->and(Yaml11::refusedLine($yaml))
        ->toBe($line);
})->with([
    'a key below an item that is a text' => ["a: 1\nlist:\n  - one\n    two: 3", 4],
    'a dash where a text begins' => ["a: 1\nb: - x", 2],
    'an end of a list alone' => ['a: ]', 1],
    'nothing wrong' => ["list:\n  - one: 1\n    two: 3\n  - {a: , b: 2}", null],
]);

test('moments are whole seconds from 1970 on, or a day of the calendar', function (
    int|string $said,
    ?int $seconds,
): void {
    expect(Moment::tryParse($said))->toBe($seconds);
})->with([
    [0, 0],
    [-1, null],
    [99_999_999_999, 99_999_999_999],
    [100_000_000_000, null],
    ['1970-01-01', 0],
    ['2026-11-27T12:00+01:00', 1795777200],
    ['2026-11-27 12:00:30Z', 1795780830],
    ['2026-02-30', null],
    ['27.11.2026', null],
    ['2028-02-29', 1835395200],
    ['2027-02-29', null],
]);

test('a key twice is refused, save in JSON that is large, where the last one stands', function (): void {
    $json = fn (int $bytes): string => '{"one": 1, "fill": "'.str_repeat('x', $bytes).'", "one": 2}';
    $yaml = fn (int $bytes): string => "one: 1\nfill: ".str_repeat('x', $bytes)."\none: 2\n";
    expect(refusedAt($json(10)))
        ->toBe(1)
        ->and(refusedAt($yaml(10)))
        ->toBe(3)
        ->and(refusedAt($yaml(300_000)))
        ->toBe(3);
    foreach (['', "\n  "] as $before) {
        $read = YamlText::parse($before.$json(300_000));
        expect($read['one'])->toBe(2);
    }
});

test('a word is meant by another with two slips, a short one with fewer', function (
    string $typed,
    ?string $meant,
): void {
    expect(KnownWords::of('hostname ssid bssid users')->nearest($typed))->toBe($meant);
})->with([
    ['hostnam', 'hostname'],
    ['hstnam', 'hostname'],
    ['hstnm', null],
    ['ssd', 'ssid'],
    ['us', null],
    ['', null],
]);
