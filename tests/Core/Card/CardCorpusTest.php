<?php

declare(strict_types=1);

use Bench\Board\FirstBoot;
use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;
use Symfony\Component\Yaml\Yaml;

// Whole cards as people have them: tests/Core/Card/cards/right and tests/Core/Card/cards/broken.

/** @return array<string, array{string}> */
function cards(string $kind): array
{
    $files = glob(__DIR__."/cards/{$kind}/*.yaml") ?: [];

    return array_combine(
        array_map(fn (string $file): string => basename($file, '.yaml'), $files),
        array_map(fn (string $file): array => [$file], $files),
    );
}

/**
 * @return array{files: array<string, string>, context?: array<string, mixed>, expect?: list<string>, boots?: string, radio?: bool}
 */
function cardFrom(string $file): array
{
    return Yaml::parseFile($file);
}

/** What the household knows beside the card's files. */
function knownOf(array $card): CardContext
{
    $known = $card['context'] ?? [];
    $taken = [];
    foreach ($known['taken'] ?? [] as $address => $owner) {
        $taken[Ipv4::parse($address)->number] = $owner;
    }

    return new CardContext(
        isset($known['image']) ? catalogue('image')[$known['image']] : null,
        isset($known['network'])
            ? new LocalNetwork(
                Prefix::parse('172.22.8.0/24'),
                Ipv4::parse('172.22.8.1'),
                AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199')),
                'thistledown.home.arpa',
            )
            : null,
        $known['names'] ?? [],
        $taken,
        $known['ssids'] ?? [],
        $known['started'] ?? false,
        $known['last_instance'] ?? null,
        $known['containers'] ?? false,
        $known['sixty_four'] ?? false,
    );
}

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
