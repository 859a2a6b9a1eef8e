<?php

declare(strict_types=1);

use Burrow\Filter\Upstream\Upstream;
use Burrow\Net\AddressRange;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;

// Whom a filter asks, as its files say it. That unbound and dnsmasq take them is held in tests/Outside.

function upstream(array $typed, string $prefix = '172.22.8.0/24'): Upstream
{
    $network = Prefix::parse($prefix);
    $first = $network->hosts()->first;

    return Upstream::of(
        $typed,
        new LocalNetwork($network, $first, AddressRange::between($first, $first), 'thistledown.home.arpa'),
    );
}

test('a filter that asks the roots itself', function (): void {
    $upstream = upstream(['way' => 'roots', 'asks' => '203.0.113.9']);
    expect($upstream->findings->codes())
        ->toBe([])
        ->and($upstream->addresses)
        ->toBe([])
        ->and($upstream->dnsmasq())
        ->toBeNull()
        ->and($upstream->unbound())
        ->toBe(
            <<<'CONF'
            server:
                # What is asked is only the part that each server has to know (RFC 9156).
                qname-minimisation: yes
                # Names outside may not lead to addresses inside; those of the house may.
                private-address: 172.22.8.0/24
                private-domain: "thistledown.home.arpa."

            CONF
            ,
        );
});

test('a filter that asks others, and the house\'s names of the router', function (): void {
    $upstream = upstream(['way' => 'line', 'asks' => "203.0.113.9;\n2001:db8::9", 'local' => '172.22.8.1']);
    expect($upstream->findings->codes())
        ->toBe([])
        ->and($upstream->dnsmasq())
        ->toBe(
            <<<'CONF'
            no-resolv
            server=203.0.113.9
            server=2001:db8::9
            server=/thistledown.home.arpa/172.22.8.1
            rev-server=172.22.8.0/24,172.22.8.1
            stop-dns-rebind
            rebind-domain-ok=/thistledown.home.arpa/

            CONF
            ,
        )
        ->and($upstream->unbound())
        ->toEndWith(
            <<<'CONF'
                private-domain: "thistledown.home.arpa."
                domain-insecure: "thistledown.home.arpa."
                domain-insecure: "8.22.172.in-addr.arpa."
                local-zone: "8.22.172.in-addr.arpa." nodefault

            forward-zone:
                name: "thistledown.home.arpa."
                forward-addr: 172.22.8.1

            forward-zone:
                name: "8.22.172.in-addr.arpa."
                forward-addr: 172.22.8.1

            forward-zone:
                name: "."
                forward-addr: 203.0.113.9
                forward-addr: 2001:db8::9

            CONF
            ,
        );
});

test('a filter that asks others and keeps the house\'s names to itself', function (): void {
    expect(upstream(['way' => 'line', 'asks' => '203.0.113.9'])->dnsmasq())->toBe(
        <<<'CONF'
        no-resolv
        server=203.0.113.9
        local=/thistledown.home.arpa/
        bogus-priv
        stop-dns-rebind
        rebind-domain-ok=/thistledown.home.arpa/

        CONF
        ,
    );
});

test('a filter that asks behind a lock', function (): void {
    $upstream = upstream(['way' => 'tls', 'asks' => '203.0.113.9', 'tls_name' => 'names.example.net']);
    expect($upstream->findings->codes())
        ->toBe([])
        ->and($upstream->dnsmasq())
        ->toBeNull()
        ->and($upstream->unbound())
        ->toEndWith(
            <<<'CONF'
                tls-cert-bundle: "/etc/ssl/certs/ca-certificates.crt"

            forward-zone:
                name: "."
                forward-tls-upstream: yes
                forward-addr: 203.0.113.9@853#names.example.net

            CONF
            ,
        );
});

test('the zones of a house by its prefix', function (string $prefix, int $zones, string $first): void {
    $text = upstream(
        ['way' => 'roots', 'local' => (string) Prefix::parse($prefix)->hosts()->first],
        $prefix,
    )->unbound();
    expect(substr_count($text, 'nodefault'))
        ->toBe($zones)
        ->and($text)
        ->toContain("local-zone: \"{$first}.\"");
})->with([
    ['172.22.8.0/24', 1, '8.22.172.in-addr.arpa'],
    ['172.22.8.128/25', 1, '8.22.172.in-addr.arpa'],
    ['172.22.8.0/23', 2, '9.22.172.in-addr.arpa'],
    ['172.22.0.0/16', 1, '22.172.in-addr.arpa'],
    ['172.22.0.0/17', 64, '0.22.172.in-addr.arpa'],
    ['172.16.0.0/12', 16, '16.172.in-addr.arpa'],
    ['10.0.0.0/8', 1, '10.in-addr.arpa'],
]);

test('what cannot be asked is told', function (array $typed, array $places): void {
    expect(
        array_map(fn ($one): string => (string) $one->place?->field, upstream($typed)->findings->list),
    )->toBe($places);
})->with([
    'nobody' => [['way' => 'line'], ['asks']],
    'four' => [['way' => 'line', 'asks' => '203.0.113.1 203.0.113.2 203.0.113.3 203.0.113.4'], []],
    'five' => [
        ['way' => 'line', 'asks' => '203.0.113.1 203.0.113.2 203.0.113.3 203.0.113.4 203.0.113.5'],
        ['asks'],
    ],
    'a name' => [['way' => 'line', 'asks' => 'names'], ['asks']],
    'no name of the lock' => [['way' => 'tls', 'asks' => '203.0.113.9'], ['tls_name']],
    'a name that is none' => [['way' => 'tls', 'asks' => '203.0.113.9', 'tls_name' => 'names'], ['tls_name']],
    'a neighbour outside' => [['way' => 'roots', 'local' => '172.22.9.1'], ['local']],
    'a neighbour that is none' => [['way' => 'roots', 'local' => 'router'], ['local']],
]);
