<?php

declare(strict_types=1);

use Burrow\Household\Service;
use Burrow\Net\Ipv4;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Paper\BoxCard;

// A box on one page.

test('what it is for, who misses it, and how it is reached by number', function (): void {
    $sieve = dweller(
        'sieve',
        job: 'dns-filter',
        address: Ipv4::parse('172.22.8.10'),
        fedBy: 'the strip behind the desk',
    );
    $page = fn (int $port, string $scheme, ?string $bound = null): Service => new Service(
        'sieve',
        Port::of($port),
        Protocol::Tcp,
        'page',
        bound: $bound,
        scheme: $scheme,
        path: $port === 8081 ? '/admin' : '',
    );
    $house = household(
        [$sieve, dweller('lantern'), dweller('larder')],
        ports: [
            'sieve' => [
                $page(80, 'http'),
                $page(443, 'https'),
                $page(8081, 'http'),
                $page(9000, 'http', '127.0.0.1'),
                $page(53, ''),
            ],
        ],
        dependsOn: ['lantern' => ['sieve'], 'larder' => ['sieve']],
    );
    $card = BoxCard::of($house, $sieve, 'Red for power.');
    expect($card->pages)
        ->toBe(['http://172.22.8.10/', 'https://172.22.8.10/', 'http://172.22.8.10:8081/admin'])
        ->and($card->missed[0])
        ->toBe('Everybody in the house: without it there are no names.')
        ->and($card->missed[1])
        ->toContain('lantern, larder need it for')
        ->and($card->steps[0][1])
        ->toBe('Red for power. None at all: it has no power.')
        ->and($card->steps[1][0])
        ->toContain('the strip behind the desk')
        ->and($card->careful)
        ->toHaveCount(2);
});

test('without an address nothing is to be pinged, and a store is not to be pulled', function (): void {
    $larder = dweller('larder', job: 'file-store');
    $card = BoxCard::of(household([$larder]), $larder, '');
    expect($card->pages)
        ->toBe([])
        ->and($card->missed)
        ->toBe([])
        ->and(json_encode($card->steps))
        ->not->toContain('ping')
        ->and($card->careful)
        ->toHaveCount(3);
});
