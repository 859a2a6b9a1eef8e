<?php

declare(strict_types=1);

// The shape of the house's own files.

const COLUMNS = 120;

/** A text this long may fill a line by itself: it is looked for by its words, and is not broken. */
const ONE_TEXT = 50;

/** @return list<string> lines that are longer than they may be: "core/X.php:12" */
function longLines(string $file): array
{
    $code = (string) file_get_contents($file);
    $texts = [];
    foreach (PhpToken::tokenize($code) as $token) {
        // A type of an array's shape in a docblock is one word to the checker too.
        if ($token->is([T_CONSTANT_ENCAPSED_STRING, T_ENCAPSED_AND_WHITESPACE, T_INLINE_HTML, T_DOC_COMMENT])) {
            foreach (explode("\n", $token->text) as $down => $part) {
                if (mb_strlen($part) >= ONE_TEXT && (! $token->is(T_DOC_COMMENT) || str_contains($part, 'array{'))) {
                    $texts[$token->line + $down] = true;
                }
            }
        }
    }
    $long = [];
    foreach (explode("\n", $code) as $at => $line) {
        // A text with values in it is several words to PHP and one to the reader.
        $filled = isset($texts[$at + 1]) || preg_match('/"(?:[^"\\\\]|\\\\.){'.ONE_TEXT.',}/', $line) === 1;
        if (mb_strlen($line) > COLUMNS && ! $filled) {
            $long[] = "{$file}:".($at + 1);
        }
    }

    return $long;
}

test('no line of code is longer than 120 columns, unless one text fills it', function (): void {
    $long = [];
    foreach (['app', 'bench', 'core', 'database', 'routes', 'tests'] as $folder) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            if ($file->getExtension() === 'php' && ! str_contains($file->getPathname(), '/vendor/')) {
                $long = [...$long, ...longLines($file->getPathname())];
            }
        }
    }
    expect($long)->toBe([]);
});

test('a judgement is made by a maker of its room and nowhere else', function (): void {
    $elsewhere = [];
    foreach (['app', 'core'] as $folder) {
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS));
        foreach ($files as $file) {
            if (str_ends_with($file->getFilename(), 'Findings.php')) {
                continue;
            }
            $code = (string) file_get_contents($file->getPathname());
            if (preg_match('/(?<!\w)Finding::(?:stop|warn|note|fine)\(|new Finding\(/', $code) === 1) {
                $elsewhere[] = $file->getPathname();
            }
        }
    }
    expect($elsewhere)->toBe([]);
});
