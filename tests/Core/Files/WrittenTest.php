<?php

declare(strict_types=1);

use App\Files\FileKinds;

// Every kind of file that is written at the terminal, whole, with what is said of its values: in written/CASE lie the
// values and, by kind, what they give. That programs take such files is held in tests/Outside.

test('a file is what its values say', function (string $case, string $kind): void {
    $now = writtenOf($kind, (string) file_get_contents("{$case}/values.yaml"));
    expect($now)->toBe(onFile("{$case}/{$kind}.txt", $now));
})->with(corpus('written/*/*.txt'));

test('every kind of file is among them', function (): void {
    // Scripts of backups are run for real, in tests/Outside/BackupTest.
    expect(
        array_values(array_diff(array_keys(FileKinds::all()), array_column(corpus('written/*/*.txt'), 1))),
    )->toBe(['backup', 'backup-restore']);
});
