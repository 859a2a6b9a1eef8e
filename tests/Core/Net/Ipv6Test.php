<?php

declare(strict_types=1);

use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Mac;

// Addresses of the newer kind: RFC 4291 (forms), RFC 5952 (how they are written), RFC 4193 (the house's own).

test('an address is written as RFC 5952 wants it', function (string $text, string $written): void {
    expect((string) Ipv6::parse($text))->toBe($written);
})->with([
    'the longest run is left out' => ['2001:db8:0:0:1:0:0:1', '2001:db8::1:0:0:1'],
    'of two runs the longer one' => ['2001:0:0:1:0:0:0:1', '2001:0:0:1::1'],
    'one word alone is not' => ['2001:db8:0:1:1:1:1:1', '2001:db8:0:1:1:1:1:1'],
    'no leading noughts, small letters' => ['2001:0DB8::00AB', '2001:db8::ab'],
    'nothing but noughts' => ['0:0:0:0:0:0:0:0', '::'],
    'at its end' => ['fd4b:1e90:7:8:0:0:0:0', 'fd4b:1e90:7:8::'],
    'at its beginning' => ['0:0:0:0:0:0:0:1', '::1'],
    'with the zone of a link' => ['fe80::4b:1eff:fe90:1%eth0', 'fe80::4b:1eff:fe90:1'],
]);

test('what is no address is none', function (string $text): void {
    expect(Ipv6::tryParse($text))->toBeNull();
})->with([
    '172.22.8.1',
    'fd4b:::b',
    'fd4b::1::2',
    'fd4b:1:2:3:4:5:6',
    'g::1',
    '::1%lo',
    'fd4b::1%eth0',
    '',
    str_repeat('0', 46).':1',
]);

test('what lies on a link, in a house, and in the world', function (
    string $text,
    bool $link,
    bool $own,
): void {
    $address = Ipv6::parse($text);
    expect([$address->isLinkLocal(), $address->isUniqueLocal()])->toBe([$link, $own]);
})->with([
    ['fe80::1', true, false],
    ['febf:ffff::1', true, false],
    ['fec0::1', false, false],
    ['fe7f::1', false, false],
    ['fc00::1', false, true],
    ['fdff::1', false, true],
    ['fe00::1', false, false],
    ['fbff::1', false, false],
]);

test('sixteen bytes are an address, and equal is what has the same', function (): void {
    $one = Ipv6::fromBytes("\xFD".str_repeat("\0", 14)."\1");
    expect((string) $one)
        ->toBe('fd00::1')
        ->and($one->equals(Ipv6::parse('FD00::1')))
        ->toBeTrue()
        ->and($one->equals(Ipv6::parse('fd00::2')))
        ->toBeFalse()
        ->and($one->equals(Ipv4::parse('172.22.8.1')))
        ->toBeFalse()
        ->and(fn () => Ipv6::fromBytes('short'))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => Ipv6::parse('router'))
        ->toThrow(InvalidArgumentException::class);
});

test('a prefix has no bits behind its length', function (string $text, bool $is): void {
    expect(Ipv6Prefix::tryParse($text) !== null)->toBe($is);
})->with([
    ['fd4b:1e90:7:8::/64', true],
    ['fd4b:1e90:7:8::1/64', false],
    ['fd4b:1e90:7:8::/61', true],
    ['fd4b:1e90:7:8::/60', false],
    ['::/0', true],
    ['::1/128', true],
    ['::1/129', false],
    ['fd4b::', false],
    ['fd4b:::/64', false],
    ['house/64', false],
]);

test('what a prefix holds', function (string $prefix, string $address, bool $holds): void {
    expect(Ipv6Prefix::parse($prefix)->contains(Ipv6::parse($address)))->toBe($holds);
})->with([
    ['fd4b:1e90:7:8::/64', 'fd4b:1e90:7:8:ffff::1', true],
    ['fd4b:1e90:7:8::/64', 'fd4b:1e90:7:9::1', false],
    ['fd4b:1e90:7:8::/61', 'fd4b:1e90:7:f::1', true],
    ['fd4b:1e90:7:8::/61', 'fd4b:1e90:7:10::1', false],
    ['::/0', '2001:db8::1', true],
    ['::1/128', '::1', true],
    ['::1/128', '::2', false],
]);

test('networks of a prefix are counted from its first', function (): void {
    $prefix = Ipv6Prefix::parse('fd4b:1e90:7::/48');
    expect((string) $prefix->subnet(0))
        ->toBe('fd4b:1e90:7::/64')
        ->and((string) $prefix->subnet(8))
        ->toBe('fd4b:1e90:7:8::/64')
        ->and((string) $prefix->subnet(65535))
        ->toBe('fd4b:1e90:7:ffff::/64')
        ->and(fn () => $prefix->subnet(65536))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => $prefix->subnet(-1))
        ->toThrow(InvalidArgumentException::class)
        ->and((string) Ipv6Prefix::parse('fd4b:1e90:7:8::/64')->subnet(0))
        ->toBe('fd4b:1e90:7:8::/64')
        ->and(fn () => Ipv6Prefix::parse('fd4b:1e90:7:8::/64')->subnet(1))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => Ipv6Prefix::parse('fd4b:1e90:7:8::/65')->subnet(0))
        ->toThrow(InvalidArgumentException::class);
});

// Worked out from RFC 4193 3.2.2 by another program.
test('the house\'s own prefix comes of the time and a hardware address', function (): void {
    expect((string) Ipv6Prefix::uniqueLocal(1795618800.25, Mac::parse('02:4b:1e:90:00:01')))->toBe(
        'fdde:4d8f:1957::/48',
    );
});

test('a group has its bit in the first byte', function (string $mac, bool $group): void {
    expect(Mac::parse($mac)->isGroup())->toBe($group);
})->with([
    ['02:4b:1e:90:00:01', false],
    ['00:11:5e:ed:00:05', false],
    ['01:00:5e:00:00:fb', true],
    ['03:00:00:00:00:01', true],
    ['fc:00:00:00:00:01', false],
]);

test('a hardware address with short parts', function (): void {
    expect((string) Mac::tryShort('2:4b:1E:90:0:1'))
        ->toBe('02:4b:1e:90:00:01')
        ->and(Mac::tryShort('2:4b:1e:90:0'))
        ->toBeNull()
        ->and(Mac::standard('02:4b:1e:90:00:01'))
        ->toBe('02:4b:1e:90:00:01')
        ->and(Mac::standard('024B.1E90.0001'))
        ->toBe('02:4b:1e:90:00:01')
        ->and(Mac::standard('router'))
        ->toBeNull()
        ->and(Mac::parse('02:4b:1e:90:00:01')->equals(Mac::parse('02-4B-1E-90-00-01')))
        ->toBeTrue()
        ->and(Mac::parse('02:4b:1e:90:00:01')->equals(Mac::parse('02-4B-1E-90-00-02')))
        ->toBeFalse()
        ->and(fn () => Mac::parse('x'))
        ->toThrow(InvalidArgumentException::class);
});
