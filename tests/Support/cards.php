<?php

declare(strict_types=1);

use Burrow\Card\CardContext;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;
use Symfony\Component\Yaml\Yaml;

// Whole cards as people have them: tests/Core/Card/cards/right and broken.

/** @return array<string, array{string}> */
function cards(string $kind): array
{
    $files = glob("tests/Core/Card/cards/{$kind}/*.yaml") ?: [];

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
