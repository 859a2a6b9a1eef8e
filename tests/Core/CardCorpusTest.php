<?php

declare(strict_types=1);

use Bench\FirstBoot;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Symfony\Component\Yaml\Yaml;

// Whole cards as people have them: tests/Core/cards/right and tests/Core/cards/broken.

/** @return array<string, array{string}> */
function cards(string $kind): array
{
    $files = glob(__DIR__."/cards/{$kind}/*.yaml") ?: [];

    return array_combine(array_map(fn (string $file): string => basename($file, '.yaml'), $files), array_map(fn (string $file): array => [$file], $files));
}

/** @return array{files: array<string, string>, expect?: list<string>, boots?: string} */
function cardFrom(string $file): array
{
    return Yaml::parseFile($file);
}

test('a right card has no finding, and boots', function (string $file): void {
    $card = cardFrom($file);
    $findings = (new Linter)->lint(new CardFolder($card['files']));
    expect($findings->codes())->toBe([]);

    // An account file and a static address are schools that the bench's boards do not play.
    if (isset($card['files']['user-data']) && ! str_contains($card['files']['network-config'] ?? '', 'addresses')) {
        $boot = FirstBoot::from($card['files']);
        expect($boot->network)->toBeTrue()
            ->and($boot->user)->toBe('warden')
            ->and($boot->remoteLogin || in_array('openssh-server', $boot->packages, true))->toBeTrue();
    }
})->with(fn (): array => cards('right'));

test('a broken card has the finding it should, in its place', function (string $file): void {
    $card = cardFrom($file);
    $found = array_map(
        fn ($finding): string => "{$finding->code} {$finding->place}",
        (new Linter)->lint(new CardFolder($card['files']))->list,
    );
    foreach ($card['expect'] ?? [] as $expected) {
        expect($found)->toContain($expected);
    }
    expect($card['expect'] ?? [])->not->toBe([]);
})->with(fn (): array => cards('broken'));

test('the bench shows what the finding promised', function (string $file): void {
    $card = cardFrom($file);
    $boot = FirstBoot::from($card['files']);
    match ($card['boots'] ?? 'somehow') {
        'ignored' => expect([$boot->hostname, $boot->user, $boot->remoteLogin])->toBe(['board', null, false]),
        'nobody' => expect($boot->user)->toBeNull(),
        'closed' => expect($boot->remoteLogin)->toBeFalse(),
        'silent' => expect($boot->network)->toBeFalse(),
        default => expect($boot->network)->toBeTrue(),
    };
})->with(fn (): array => cards('broken'));

test('a broken card has no more than a few findings', function (string $file): void {
    expect((new Linter)->lint(new CardFolder(cardFrom($file)['files']))->count())->toBeLessThanOrEqual(4);
})->with(fn (): array => cards('broken'));

test('the corpus is as large as it should be', function (): void {
    expect(count(cards('right')))->toBeGreaterThanOrEqual(20)
        ->and(count(cards('broken')))->toBeGreaterThanOrEqual(60);
});
