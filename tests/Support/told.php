<?php

declare(strict_types=1);

use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Severity;

// What programs of a box said and did, on record in tests/Core/STAGE/told, and what the linter says of a card.

/** @return list<array<string, mixed>> */
function told(string $by, string $stage = 'Card'): array
{
    return array_map(
        fn (string $line): array => json_decode($line, true, 512, JSON_THROW_ON_ERROR),
        file("tests/Core/{$stage}/told/{$by}.jsonl", FILE_IGNORE_NEW_LINES) ?: [],
    );
}

/**
 * What stops a card because of one of its files.
 *
 * @param  array<string, string>  $files
 * @return list<Finding>
 */
function stopsIn(array $files, string $file): array
{
    return array_values(
        array_filter(
            (new Linter())->lint(new CardFolder($files))->list,
            fn (Finding $one): bool => $one->severity === Severity::Stop && $one->place?->file === $file,
        ),
    );
}

/** @param  list<Finding>  $stops */
function isBeside(int $line, array $stops): bool
{
    return array_filter($stops, fn (Finding $one): bool => abs(($one->place->line ?? 0) - $line) <= 1) !== [];
}
