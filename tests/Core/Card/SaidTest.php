<?php

declare(strict_types=1);

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Judgement\Finding;

// Damaged files of a card, and all that the linter says of each, word for word: said/ holds it. What the programs of a
// box said of the same files stands in told/; whether the linter is right is held against that, in ToldTest.

/** @param  array<string, string>  $files */
function saidOfCard(array $files, ?CardContext $known = null): string
{
    return implode(
        '',
        array_map(
            fn (Finding $one): string => "{$one->severity->value} {$one->code} {$one->place?->file}:".
                ($one->place->line ?? '-').
                ':'.
                ($one->place->column ?? '-').
                "\n  {$one->found}\n  {$one->do}\n",
            (new Linter())->lint(new CardFolder($files), $known ?? new CardContext())->list,
        ),
    );
}

test('what is said of a damaged file stays as it was looked through', function (
    string $by,
    string $file,
    array $beside,
): void {
    $now = '';
    foreach (told($by) as $number => ['text' => $text]) {
        $number % 2 === 0 && ($now .= "=== {$number}\n".saidOfCard([$file => $text] + $beside));
    }
    expect($now)->toBe(onFile(__DIR__."/said/{$by}.txt", $now));
})->with([
    ['netplan', 'network-config', []],
    ['wpa', 'wpa_supplicant.conf', ['ssh' => '']],
    ['settings', 'network-config', []],
    ['logins', 'user-data', ['meta-data' => "instance-id: wren\n"]],
]);

test('what is said of a broken card stays as it was looked through', function (): void {
    $now = '';
    foreach (cards('broken') as $name => [$file]) {
        $card = cardFrom($file);
        $now .= "=== {$name}\n".saidOfCard($card['files'], knownOf($card));
    }
    expect($now)->toBe(onFile(__DIR__.'/said/broken.txt', $now));
});
