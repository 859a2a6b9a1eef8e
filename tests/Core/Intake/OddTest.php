<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Judgement\Finding;

// odd/KIND.txt: rarer things that tools print, and texts that are not quite what they should be. Under each text
// stands what is said of it, then what is read in it, one thing a line, without what is not told.

/** @return array<string, array{string, string, string}> */
function oddTexts(): array
{
    $all = [];
    foreach (glob(__DIR__.'/odd/*.txt') ?: [] as $file) {
        $kind = basename($file, '.txt');
        foreach (array_slice(preg_split('/^=== /m', (string) file_get_contents($file)) ?: [], 1) as $case) {
            [$name, $text] = explode("\n", $case, 2);
            [$text, $read] = explode("\n---\n", $text, 2);
            $all["{$kind}: {$name}"] = [$kind, $text, $read];
        }
    }

    return $all;
}

test('what is odd in a text is read, or said', function (string $kind, string $text, string $expected): void {
    $reading = Intake::standard()->read($kind, $text);
    $json = fn (mixed $of): string => (string) json_encode(
        $of,
        JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
    );
    $said = array_map(
        fn (Finding $one): string => ($one->place->line ?? '-').
            (isset($one->place->column) ? ":{$one->place->column}" : '').
            " {$one->severity->value} {$one->code}: {$one->found}",
        $reading->findings->list,
    );
    $read = array_map(
        fn (JsonSerializable $fact): string => $json(
            array_filter((array) $fact->jsonSerialize(), fn (mixed $one): bool => $one !== null),
        ),
        $reading->facts,
    );
    $also = array_filter(['totals' => $reading->totals, 'also' => $reading->also]);
    expect(implode('', array_map(fn (string $line): string => "{$line}\n", [
        ...$said,
        ...$read,
        ...$also === [] ? [] : ['also '.$json($also)],
    ])))->toBe($expected);
})->with(oddTexts());
