<?php

declare(strict_types=1);

use Burrow\Net\AddressRange;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Mac;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\SshPublicKey;

test('only plain dotted decimals are addresses', function (string $text, bool $is): void {
    expect(Ipv4::tryParse($text) !== null)->toBe($is);
})->with([
    ['172.22.8.16', true],
    ['0.0.0.0', true],
    ['255.255.255.255', true],
    ['172.22.8.256', false],
    ['172.22.8', false],
    ['172.22.8.016', false],
    ['172.22.8.1 ', false],
    ["172.22.8.1\n", false],
    ['', false],
    ['::1', false],
    ['1.2.3.4.5', false],
    ['0x7f.1.1.1', false],
]);

test('private ranges end where RFC 1918 says', function (string $address, bool $private): void {
    expect(Ipv4::parse($address)->isPrivate())->toBe($private);
})->with([
    ['10.0.0.0', true],
    ['10.255.255.255', true],
    ['11.0.0.0', false],
    ['172.15.255.255', false],
    ['172.16.0.0', true],
    ['172.31.255.255', true],
    ['172.32.0.0', false],
    ['192.167.255.255', false],
    ['192.168.0.0', true],
    ['192.168.255.255', true],
    ['192.169.0.0', false],
    ['203.0.113.27', false],
    ['100.64.0.1', false],
    ['127.0.0.1', false],
]);

test('the stand-in on loopback keeps the last 24 bits', function (): void {
    expect((string) Ipv4::parse('172.22.8.16')->onLoopback())->toBe('127.22.8.16');
});

test('a prefix has no host bits', function (string $text, bool $is): void {
    expect(Prefix::tryParse($text) !== null)->toBe($is);
})->with([
    ['172.22.8.0/24', true],
    ['0.0.0.0/0', true],
    ['172.22.8.1/32', true],
    ['172.22.8.1/24', false],
    ['172.22.8.0/33', false],
    ['172.22.8.0', false],
    ['172.22.8.0/-1', false],
    ['172.22.8.0/024', false],
]);

test('splitting a prefix in two covers exactly itself', function (): void {
    mt_srand(4632);
    for ($i = 0; $i < 300; $i++) {
        $length = mt_rand(0, 31);
        $size = 2 ** (32 - $length);
        $start = intdiv(mt_rand(0, 0xFFFFFFFF), $size) * $size;
        $whole = Prefix::parse(Ipv4::fromNumber($start)."/{$length}");
        $low = Prefix::parse(Ipv4::fromNumber($start).'/'.($length + 1));
        $high = Prefix::parse($low->broadcast()->offset(1).'/'.($length + 1));
        expect($low->size() + $high->size())
            ->toBe($whole->size())
            ->and((string) $high->broadcast())
            ->toBe((string) $whole->broadcast())
            ->and($whole->contains($low->network) && $whole->contains($high->broadcast()))
            ->toBeTrue()
            ->and($low->contains($high->network))
            ->toBeFalse();
    }
});

test('a range holds its ends and no more', function (): void {
    $range = AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199'));
    expect($range->size())
        ->toBe(100)
        ->and($range->contains(Ipv4::parse('172.22.8.100')))
        ->toBeTrue()
        ->and($range->contains(Ipv4::parse('172.22.8.199')))
        ->toBeTrue()
        ->and($range->contains(Ipv4::parse('172.22.8.200')))
        ->toBeFalse()
        ->and(fn () => AddressRange::between($range->last, $range->first))
        ->toThrow(InvalidArgumentException::class);
});

test('host names by RFC 952 and 1123', function (string $name, array $codes): void {
    expect(Hostname::check($name)->codes())->toBe($codes);
})->with([
    ['wren', []],
    ['seed-press2', []],
    [str_repeat('a', 63), []],
    ['3d', []],
    ['', ['hostname.empty']],
    ['wren.local', ['hostname.dot']],
    ['seed_press', ['hostname.character']],
    ['seed press', ['hostname.character']],
    ['wrén', ['hostname.character']],
    ['-wren', ['hostname.hyphen_edge']],
    ['wren-', ['hostname.hyphen_edge']],
    [str_repeat('a', 64), ['hostname.too_long']],
    ['2024', ['hostname.digits_only']],
    ['Wren', ['hostname.capitals']],
    ['Seed_Press.local', ['hostname.dot', 'hostname.character', 'hostname.capitals']],
]);

test('a note does not make a name unusable, a stop does', function (): void {
    expect((string) Hostname::parse('WREN'))
        ->toBe('wren')
        ->and(fn () => Hostname::parse('wren.local'))
        ->toThrow(InvalidArgumentException::class)
        ->and(Hostname::check('seed_store')->list[0]->do)
        ->toContain('seed-store');
});

test('three spellings of a hardware address are one', function (): void {
    foreach (['02:4b:1e:90:0a:77', '02-4B-1E-90-0A-77', '024b.1e90.0a77'] as $spelling) {
        expect((string) Mac::parse($spelling))->toBe('02:4b:1e:90:0a:77');
    }
    expect(Mac::tryParse('02:4b:1e:90:0a'))
        ->toBeNull()
        ->and(Mac::tryParse('02:4b-1e:90:0a:77'))
        ->toBeNull()
        ->and(Mac::tryParse('02:4b:1e:90:0a:7g'))
        ->toBeNull();
});

test('ports fall into the ranges of RFC 6335', function (int $port, string $range): void {
    expect(Port::of($port)->range())->toBe($range);
})->with([
    [1, 'system'],
    [1023, 'system'],
    [1024, 'user'],
    [49151, 'user'],
    [49152, 'dynamic'],
    [65535, 'dynamic'],
]);

test('a port with six digits is none', function (): void {
    expect(Port::tryOf(519440))
        ->toBeNull()
        ->and(Port::tryOf(0))
        ->toBeNull()
        ->and(Port::tryOf(65536))
        ->toBeNull();
});

test('a key is what it says it is', function (): void {
    $blob = base64_encode(pack('N', 11).'ssh-ed25519'.pack('N', 32).str_repeat("\x01", 32));
    expect(SshPublicKey::tryOf('ssh-ed25519', $blob))
        ->not->toBeNull()
        ->and(SshPublicKey::tryOf('ssh-rsa', $blob))
        ->toBeNull()
        ->and(SshPublicKey::tryOf('ssh-ed25519', substr($blob, 1)))
        ->toBeNull()
        ->and(SshPublicKey::tryParse("ssh-ed25519 {$blob} warden@desk")?->comment)
        ->toBe('warden@desk');
});

test('prefixes beside each other become one, those with a gap do not', function (
    array $from,
    array $to,
): void {
    expect(array_map(strval(...), Prefix::joined(array_map(Prefix::parse(...), $from))))->toBe($to);
})->with([
    [['172.22.8.0/32', '172.22.8.1/32'], ['172.22.8.0/31']],
    [['172.22.8.0/32', '172.22.8.2/32'], ['172.22.8.0/32', '172.22.8.2/32']],
    [['172.22.8.0/25', '172.22.8.128/25'], ['172.22.8.0/24']],
    [['172.22.8.0/25', '172.22.8.129/32'], ['172.22.8.0/25', '172.22.8.129/32']],
]);
