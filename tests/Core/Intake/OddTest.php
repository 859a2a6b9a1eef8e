<?php

declare(strict_types=1);

// odd/KIND.txt: rarer things that tools print, and texts that are not quite what they should be. Under each text
// stands what is said of it, then what is read in it, one thing a line, without what is not told.

test('what is odd in a text is read, or said', function (string $kind, string $text, string $before): void {
    $now = readOf($kind, $text);
    $file = __DIR__."/odd/{$kind}.txt";
    $kept = kept(
        $file,
        str_replace("\n{$text}\n---\n{$before}", "\n{$text}\n---\n{$now}", (string) file_get_contents($file)),
    );
    expect($kept)->toContain("\n{$text}\n---\n{$now}")->and(getenv('KEEP_CORPUS') === '1' ? $now : $before)->toBe($now);
})->with(oddTexts());
