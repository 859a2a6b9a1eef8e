<?php

declare(strict_types=1);

// odd/KIND.txt: rarer things that tools print, and texts that are not quite what they should be. Under each text
// stands what is said of it, then what is read in it, one thing a line, without what is not told.

test('what is odd in a text is read, or said', function (
    string $file,
    string $kind,
    string $text,
    string $before,
): void {
    $now = readOf($kind, $text);
    expect($now)->toBe(cameOf($file, $text, $before, $now));
})->with(sections('Intake/odd/*.txt'));
