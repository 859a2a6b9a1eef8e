<?php

declare(strict_types=1);

use App\Files\FileKinds;
use Burrow\Judgement\Finding;

// Every kind of file that is written at the terminal, whole, with what is said of its values: in written/CASE lie the
// values and, by kind, what they give. That programs take such files is held in tests/Outside.

/** @return array<string, array{string, string}> */
function writtenCases(): array
{
    $cases = [];
    foreach (glob(__DIR__.'/written/*/*.txt') ?: [] as $file) {
        $cases[basename(dirname($file)).' as '.basename($file, '.txt')] = [dirname($file), basename($file, '.txt')];
    }

    return $cases;
}

test('a file is what its values say', function (string $case, string $kind): void {
    [$said, $text] = [...explode("=== file\n", (string) file_get_contents("{$case}/{$kind}.txt"), 2), null];
    $written = FileKinds::all()[$kind]->write(
        (string) file_get_contents("{$case}/values.yaml"),
        (string) file_get_contents(FileKinds::all()[$kind]->schema()),
        'values',
    );
    $findings = array_map(
        fn (Finding $one): string => ($one->place->line ?? '-').
            " {$one->severity->value} {$one->code}: {$one->found}\n",
        $written->findings->list,
    );
    expect(implode('', $findings))->toBe($said)->and($written->text)->toBe($text);
})->with(writtenCases());

test('every kind of file is among them', function (): void {
    expect(array_diff(array_keys(FileKinds::all()), array_column(writtenCases(), 1)))->toBe([]);
});
