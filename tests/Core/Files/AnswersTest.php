<?php

declare(strict_types=1);

// Questions as they are put at the terminal, with their answers. The figures are held against other programs elsewhere;
// here it is noticed when one of them changes.

// answered/KIND/CASE.yaml has its whole answer in CASE.json.
test('a question has its answer', function (string $folder, string $case): void {
    $now = answerOf(basename($folder), (string) file_get_contents("{$folder}/{$case}.yaml"));
    expect($now)->toBe(onFile("{$folder}/{$case}.json", $now));
})->with(corpus('answered/*/*.yaml'));

// drawn/KIND.jsonl: questions that were drawn at random, each with its answer in short.
test('questions that were drawn have their answers', function (string $folder, string $kind): void {
    $file = "{$folder}/{$kind}.jsonl";
    $now = '';
    foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        $ask = json_decode($line, true, 64, JSON_THROW_ON_ERROR)['ask'];
        $answer = json_decode(answerInShort($kind, json_encode($ask, CORPUS_JSON)), true);
        $now .= json_encode(['ask' => $ask, 'answer' => $answer], CORPUS_JSON)."\n";
    }
    expect($now)->toBe(onFile($file, $now));
})->with(corpus('drawn/*.jsonl'));
