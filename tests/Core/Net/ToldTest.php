<?php

declare(strict_types=1);

use Burrow\Net\Address;
use Burrow\Net\AddressRange;
use Burrow\Net\Country;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Keyboard;
use Burrow\Net\NameAnswer;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use Burrow\Net\RegisteredNames;
use Burrow\Net\SshPublicKey;

// Arithmetic of addresses and the looks of keys, against what Python's ipaddress and ssh-keygen say of them: told/.

test('a prefix is what another library makes of it', function (): void {
    foreach (told('prefixes', 'Net') as $is) {
        $prefix = Prefix::parse($is['prefix']);
        expect([
            'prefix' => (string) $prefix,
            'netmask' => (string) $prefix->netmask(),
            'broadcast' => (string) $prefix->broadcast(),
            'size' => $prefix->size(),
            'private' => $prefix->isPrivate(),
            'first' => (string) $prefix->hosts()->first,
            'last' => (string) $prefix->hosts()->last,
            'reverse' => $prefix->reverseZone(),
            'into' => $is['into'],
            'split' => array_map(strval(...), $prefix->split($is['into'])),
        ])
            ->toBe($is)
            ->and(Prefix::lengthOf($is['netmask']))
            ->toBe($prefix->length)
            ->and((string) Prefix::around($prefix->broadcast(), $prefix->length))
            ->toBe($is['prefix'])
            ->and($prefix->contains($prefix->broadcast()) && $prefix->contains($prefix->network))
            ->toBeTrue();
    }
});

test('a range is covered by the fewest prefixes, and pieces are joined to them', function (): void {
    foreach (told('ranges', 'Net') as $is) {
        $range = AddressRange::between(Ipv4::parse($is['first']), Ipv4::parse($is['last']));
        expect([$is['first'], array_map(strval(...), Prefix::covering($range))])
            ->toBe([$is['first'], $is['covering']])
            ->and(array_map(strval(...), Prefix::joined(array_map(Prefix::parse(...), $is['pieces']))))
            ->toBe($is['joined']);
    }
    expect(Prefix::joined([]))->toBe([]);
});

test('a key looks as ssh-keygen shows it', function (): void {
    foreach (told('keys', 'Net') as $is) {
        $key = SshPublicKey::tryParse($is['line']);
        expect([$key?->rsaBits(), $key?->fingerprint(), $key?->comment, (string) $key])->toBe([
            $is['bits'],
            $is['fingerprint'],
            'warden@desk of mine',
            $is['line'],
        ]);
    }
});

test('what is no key is none', function (string $line): void {
    expect(SshPublicKey::tryParse($line))->toBeNull();
})->with([
    'ssh-ed25519',
    'ssh-ed25519 AAAA',
    'ssh-ed25519 ***',
    'ssh-rsa AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB',
    'SSH-ED25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB',
    '',
]);

test('masks that are none, splits that cannot be', function (): void {
    expect([Prefix::lengthOf('255.255.0.255'), Prefix::lengthOf('255.255.255'), Prefix::lengthOf('0.0.0.0')])
        ->toBe([null, null, 0])
        ->and(fn () => Prefix::parse('172.22.8.0/24')->split(23))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => Prefix::parse('10.0.0.0/8')->split(21))
        ->toThrow(InvalidArgumentException::class)
        ->and(count(Prefix::parse('10.0.0.0/8')->split(20)))
        ->toBe(4096)
        ->and(fn () => Prefix::parse('172.22.8.0/30')->split(33))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => AddressRange::between(Ipv4::parse('172.22.8.2'), Ipv4::parse('172.22.8.1')))
        ->toThrow(InvalidArgumentException::class)
        ->and(AddressRange::between(Ipv4::parse('172.22.8.2'), Ipv4::parse('172.22.8.2'))->size())
        ->toBe(1);
});

test('addresses of special kinds end where their documents say', function (
    string $address,
    bool $carrier,
    bool $link,
): void {
    expect([Ipv4::parse($address)->isCarrier(), Ipv4::parse($address)->isLinkLocal()])->toBe([
        $carrier,
        $link,
    ]);
})->with([
    // RFC 6598, RFC 3927.
    ['100.63.255.255', false, false],
    ['100.64.0.0', true, false],
    ['100.127.255.255', true, false],
    ['100.128.0.0', false, false],
    ['169.253.255.255', false, false],
    ['169.254.0.0', false, true],
    ['169.254.255.255', false, true],
    ['169.255.0.0', false, false],
]);

test('what a resolver said, in words', function (
    ?int $code,
    array $addresses,
    array $is,
    string $words,
): void {
    $answer = new NameAnswer($code, $addresses);
    expect([$answer->isSilent(), $answer->isAnswered(), $answer->isRefused()])
        ->toBe($is)
        ->and($answer->words())
        ->toBe($words);
})->with([
    [null, [], [true, false, false], 'no answer'],
    [0, ['172.22.8.11'], [false, true, false], 'answered with 172.22.8.11'],
    [
        0,
        ['1.1.1.1', '2.2.2.2', '3.3.3.3', '4.4.4.4'],
        [false, true, false],
        'answered with 1.1.1.1, 2.2.2.2, 3.3.3.3',
    ],
    [0, ['0.0.0.0'], [false, false, true], 'answered with 0.0.0.0, which leads nowhere'],
    [0, ['0.0.0.0', '172.22.8.11'], [false, true, false], 'answered with 0.0.0.0, 172.22.8.11'],
    [0, [], [false, false, true], 'answered with no address'],
    [2, [], [false, false, false], 'the resolver failed to find out'],
    [3, [], [false, false, true], 'no such name'],
    [4, [], [false, false, false], 'code 4'],
    [5, [], [false, false, true], 'refused'],
    [3, ['172.22.8.11'], [false, false, true], 'no such name'],
]);

test('ports by their names', function (): void {
    $port = fn (string $said, Protocol $protocol = Protocol::Tcp): ?int => RegisteredNames::port(
        $protocol,
        $said,
    )?->number;
    expect([
        $port('ssh'),
        $port('22'),
        $port('65535'),
        $port('65536'),
        $port('0'),
        $port('kettle'),
        $port('domain'),
    ])
        ->toBe([22, 22, 65535, null, null, null, 53])
        ->and([$port('http', Protocol::Udp), $port('ntp'), $port('ntp', Protocol::Udp)])
        ->toBe([80, 123, 123])
        ->and([RegisteredNames::of(Protocol::Tcp, 22), RegisteredNames::of(Protocol::Tcp, 1), Port::tryOf(0)])
        ->toBe(['ssh', RegisteredNames::of(Protocol::Tcp, 1), null]);
});

test('countries, keyboards and names that are meant for something else', function (): void {
    expect([Country::isKnown('GB'), Country::isKnown('gb'), Country::isKnown('ZZ'), Country::isKnown('GBR')])
        ->toBe([true, false, false, false])
        ->and([Country::fits('GB', 'Europe/London'), Country::fits('GB', 'Europe/Berlin')])
        ->toBe([true, false])
        ->and([
            Keyboard::isKnown('gb'),
            Keyboard::isKnown('de'),
            Keyboard::isKnown('g'),
            Keyboard::isKnown(''),
        ])
        ->toBe([true, true, false, false])
        ->and(Hostname::check('localhost')->blocks())
        ->toBeTrue()
        ->and(Hostname::check('localhost', asMachine: false)->blocks())
        ->toBeFalse();
});

test('two names are one where they are the same', function (string $one, string $other, bool $same): void {
    expect(Hostname::parse($one)->equals(Hostname::parse($other)))->toBe($same);
})->with([['larder', 'larder', true], ['larder', 'larder2', false]]);

test('addresses stand in the order of their numbers, those of the older kind first', function (): void {
    $sorted = ['9.0.0.1', '10.0.0.2', '10.0.0.10', '::1', 'fd00::9', 'fd00::10', 'fe80::1'];
    $mixed = array_map(Address::tryParse(...), array_reverse($sorted));
    usort($mixed, Address::compare(...));
    expect(array_map(strval(...), $mixed))
        ->toBe($sorted)
        ->and(Address::compare(Address::tryParse('::1'), Address::tryParse('9.0.0.1')))
        ->toBe(1);
});
