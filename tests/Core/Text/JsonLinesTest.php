<?php

declare(strict_types=1);

use Burrow\Text\JsonLines;

// Lines of a JSON text, against the parser of PHP.

test('what is wrong is on the line where it is', function (string $text, ?int $line): void {
    expect((new JsonLines($text))->trouble())->toBe($line);
})->with([
    'whole' => ["{\n\"a\": [1, 2, {\"b\": null}]\n}", null],
    'cut' => ["{\n\"a\": [1,\n2", 3],
    'a comma too many' => ["[\n1,\n2,\n]", 4],
    'a comma too few' => ["[\n1\n2]", 3],
    'single quotes' => ["{\n'a': 1}", 2],
    'two texts' => ["{}\n{}", 2],
    'nothing' => ['', 1],
    'a line break in a string' => ["{\"a\":\n\"b\nc\"}", 2],
    'a number with a zero in front' => ["[\n01]", 2],
    'closed by the other' => ["{\n\"a\": 1]", 2],
]);

test('a value is found by its path, and what is not there by the nearest above it', function (): void {
    $lines = new JsonLines(
        "{\n\"tables\": {\n\"boxes\": [\n{\"id\": 1},\n{\"id\": 2,\n\"name\": \"a\\\"b\"}\n],\n\"caf\\u00e9\": 7}}",
    );
    expect($lines->locate(['tables', 'boxes', 0]))
        ->toBe(4)
        ->and($lines->locate(['tables', 'boxes', 1, 'name']))
        ->toBe(6)
        ->and($lines->locate(['tables', 'boxes', 1, 'gone']))
        ->toBe(5)
        ->and($lines->locate(['tables', 'café']))
        ->toBe(8)
        ->and($lines->locate([]))
        ->toBe(1);
});

test('thousands of damaged texts: wrong here is wrong to PHP, and whole is whole', function (): void {
    mt_srand(3);
    $whole = (string) json_encode(
        [
            'a' => [1, -2.5e3, true, null, ['b' => "x\"\\ \u{e9}\n", '' => []]],
            'c' => new stdClass(),
            'd' => [[[]]],
        ],
        JSON_PRETTY_PRINT,
    );
    $wrong = 0;
    for ($case = 0; $case < 6000; $case++) {
        $text = $whole;
        for ($i = mt_rand(1, 2); $i > 0; $i--) {
            $at = mt_rand(0, strlen($text) - 1);
            $piece = '{}[],:"\\0123-.eE truefalsn'[mt_rand(0, 25)];
            $text = match (mt_rand(0, 3)) {
                0 => substr($text, 0, $at).substr($text, $at + 1),
                1 => substr($text, 0, $at).$piece.substr($text, $at),
                2 => substr($text, 0, $at).$piece.substr($text, $at + 1),
                default => mt_rand(0, 9) === 0 ? substr($text, 0, $at) : $text,
            };
        }
        json_decode($text);
        $isWrong = json_last_error() !== JSON_ERROR_NONE;
        $wrong += (int) $isWrong;
        expect([$text, (new JsonLines($text))->trouble() !== null])->toBe([$text, $isWrong]);
    }
    expect($wrong)->toBeGreaterThan(2000)->toBeLessThan(5900);
});
