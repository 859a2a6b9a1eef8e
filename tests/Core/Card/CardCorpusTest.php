<?php

declare(strict_types=1);

use Bench\Board\FirstBoot;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;

// Whole cards as people have them: tests/Core/Card/cards/right and tests/Core/Card/cards/broken.

/** What is on the air: two networks with their keys, by the passphrase “seed drawer open”. */
function bootOf(array $card): FirstBoot
{
    return FirstBoot::from(
        $card['files'],
        ! ($card['radio'] ?? false),
        array_map(fn (string $name): string => hash_pbkdf2('sha1', 'seed drawer open', $name, 4096, 64), [
            'Thistledown' => 'Thistledown',
            'Gewächshaus 🌱' => 'Gewächshaus 🌱',
        ]),
    );
}

test('a right card has no finding, and boots', function (string $file): void {
    $card = cardFrom($file);
    $findings = (new Linter())->lint(new CardFolder($card['files']), knownOf($card));
    expect($findings->codes())->toBe([]);

    // A ready-made image is a school of its own, which the bench's boards do not play.
    if (isset($card['files']['user-data']) || isset($card['files']['userconf.txt'])) {
        $boot = bootOf($card);
        expect($boot->network)
            ->toBeTrue()
            ->and($boot->user)
            ->toBe('warden')
            ->and($boot->remoteLogin || in_array('openssh-server', $boot->packages, true))
            ->toBeTrue();
    }
})->with(fn (): array => cards('right'));

test('a broken card has the finding it should, in its place', function (string $file): void {
    $card = cardFrom($file);
    $found = array_map(
        fn ($finding): string => "{$finding->code} {$finding->place?->file}".
            ($finding->place?->line === null ? '' : ":{$finding->place->line}"),
        (new Linter())->lint(new CardFolder($card['files']), knownOf($card))->list,
    );
    foreach ($card['expect'] ?? [] as $expected) {
        expect($found)->toContain($expected);
    }
    expect($card['expect'] ?? [])->not->toBe([]);
})->with(fn (): array => cards('broken'));

test('the bench shows what the finding promised', function (string $file): void {
    $card = cardFrom($file);
    $boot = bootOf($card);
    match ($card['boots'] ?? 'somehow') {
        // Its name may still come from meta-data.
        'ignored' => expect([$boot->user, $boot->remoteLogin])->toBe([null, false]),
        'nobody' => expect($boot->user)->toBeNull(),
        'closed' => expect($boot->remoteLogin)->toBeFalse(),
        'silent', 'no-radio' => expect($boot->network)->toBeFalse(),
        default => expect(FirstBoot::from($card['files'])->network || ($card['radio'] ?? false))->toBeTrue(),
    };
})->with(fn (): array => cards('broken'));

test('a broken card has no more than a few findings', function (string $file): void {
    expect(
        (new Linter())->lint(new CardFolder(cardFrom($file)['files']), knownOf(cardFrom($file)))->count(),
    )->toBeLessThanOrEqual(4);
})->with(fn (): array => cards('broken'));

test('the corpus is as large as it should be', function (): void {
    expect(count(cards('right')))
        ->toBeGreaterThanOrEqual(20)
        ->and(count(cards('broken')))
        ->toBeGreaterThanOrEqual(60);
});
