<?php

declare(strict_types=1);

use Burrow\Text\YamlText;
use Symfony\Component\Yaml\Exception\ParseException;

test('JSON is read as PHP reads it, letters beyond U+FFFF as well', function (string $json): void {
    expect(YamlText::parse($json))->toBe(json_decode($json, true));
})->with([
    'a letter of two halves' => ['{"name":"\ud83c\udf31 seeds"}'],
    'two of them' => ['{"name":"\ud83c\udf31\ud83c\udf3b"}'],
    'a backslash before a u' => ['{"name":"\\\\ud83c"}'],
    'a letter of four digits' => ['{"name":"b\u00fccher"}'],
    'in a list' => ['["\ud83c\udf31", 1]'],
]);

test('half a letter is told as none, and is no broken text', function (string $json): void {
    $text = YamlText::parse($json)['name'];
    expect(mb_check_encoding($text, 'UTF-8'))->toBeTrue()->and($text)->toContain("\u{fffd}");
})->with(['the first half' => ['{"name":"\ud83c seeds"}'], 'the second half' => ['{"name":"\udf31 seeds"}']]);

test('a large list of what was measured is read, and an entry as large is not', function (): void {
    $json = (string) json_encode([
        'samples' => array_map(
            fn (int $i): array => ['at' => 1_764_000_000 + $i, 'used_bytes' => $i],
            range(1, 10_000),
        ),
    ]);
    expect(YamlText::parse($json, YamlText::MOST_MEASURED)['samples'])
        ->toHaveCount(10_000)
        ->and(fn (): mixed => YamlText::parse($json))
        ->toThrow(ParseException::class);
});
