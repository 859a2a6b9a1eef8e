<?php

declare(strict_types=1);

// Questions as they are put at the terminal, with the whole answer: in answered/KIND lie CASE.yaml and CASE.json. The
// figures are held against other programs elsewhere; here it is noticed when one of them changes.

test('a question has its answer', function (string $folder, string $case): void {
    $now = answerOf(basename($folder), (string) file_get_contents("{$folder}/{$case}.yaml"));
    expect($now)->toBe(kept("{$folder}/{$case}.json", $now));
})->with(corpus('answered/*/*.yaml'));
