<?php

declare(strict_types=1);

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\Room;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;

// The arithmetic of addresses against Python's ipaddress module.

/** Runs a script of Python over lines of standard input; its JSON. */
function inPython(string $script, array $lines): array
{
    return json_decode(
        run(
            '/usr/bin/python3 -c '.
                escapeshellarg(
                    "import ipaddress, json, sys, hashlib\nlines = sys.stdin.read().split('\\n')\n{$script}",
                ),
            implode("\n", $lines),
        )['out'],
        true,
    );
}

test('parts, joins and covers of thousands of random prefixes', function (): void {
    mt_srand(632);
    $split = $join = $cover = [];
    for ($i = 0; $i < 1500; $i++) {
        $length = mt_rand(0, 30);
        $prefix = Prefix::around(Ipv4::fromNumber(mt_rand(0, 0xFFFFFFFF)), $length);
        $split[] = "{$prefix} ".min(32, $length + mt_rand(1, 7));
        $base = mt_rand(0, 0xFFFFFFFF) & 0xFFFFFF00;
        $some = [];
        for ($n = mt_rand(1, 12); $n > 0; $n--) {
            $some[] = Prefix::around(Ipv4::fromNumber($base | mt_rand(0, 255)), mt_rand(23, 32));
        }
        $join[] = implode(' ', $some);
        $first = mt_rand(0, 0xFFFFFFFF);
        $cover[] =
            Ipv4::fromNumber($first).
            ' '.
            Ipv4::fromNumber(mt_rand($first, min(0xFFFFFFFF, $first + 2 ** mt_rand(0, 24))));
    }
    $texts = fn (array $prefixes): array => array_map(strval(...), $prefixes);
    $expected = inPython(
        'print(json.dumps([[str(p) for p in ipaddress.ip_network(l.split()[0]).subnets(new_prefix=int(l.split()[1]))] for l in lines]))',
        $split,
    );
    foreach ($split as $i => $line) {
        [$prefix, $length] = explode(' ', $line);
        expect($texts(Prefix::parse($prefix)->split((int) $length)))->toBe($expected[$i]);
    }
    $expected = inPython(
        'print(json.dumps([[str(p) for p in ipaddress.collapse_addresses(map(ipaddress.ip_network, l.split()))] for l in lines]))',
        $join,
    );
    foreach ($join as $i => $line) {
        expect($texts(Prefix::joined(array_map(Prefix::parse(...), explode(' ', $line)))))->toBe($expected[$i]);
    }
    $expected = inPython(
        'print(json.dumps([[str(p) for p in ipaddress.summarize_address_range(*map(ipaddress.ip_address, l.split()))] for l in lines]))',
        $cover,
    );
    foreach ($cover as $i => $line) {
        [$first, $last] = array_map(Ipv4::parse(...), explode(' ', $line));
        expect($texts(Prefix::covering(AddressRange::between($first, $last))))->toBe($expected[$i]);
    }
});

test('hosts, reverse names, kinds of addresses, netmasks', function (): void {
    mt_srand(919);
    $lines = [];
    for ($i = 0; $i < 2000; $i++) {
        $near = [0x0A000000, 0xA9FE0000, 0x64400000, 0xAC100000, 0xC0A80000][mt_rand(0, 4)];
        $number = mt_rand(0, 1) ? mt_rand(0, 0xFFFFFFFF) : ($near + mt_rand(-70000, 5_000_000)) & 0xFFFFFFFF;
        $lines[] = Prefix::around(Ipv4::fromNumber($number), mt_rand(8, 32)).' '.Ipv4::fromNumber($number);
    }
    $expected = inPython(
        <<<'PY'
        out = []
        for l in lines:
            n, a = l.split()
            n = ipaddress.ip_network(n); a = ipaddress.ip_address(a)
            first, last = (n[0], n[-1]) if n.prefixlen >= 31 else (n[1], n[-2])
            inside = lambda *some: any(a in ipaddress.ip_network(one) for one in some)
            out.append([str(first), str(last), inside('169.254.0.0/16'), inside('100.64.0.0/10'),
                inside('10.0.0.0/8', '172.16.0.0/12', '192.168.0.0/16'), str(n.netmask),
                '.'.join(reversed(str(n[0]).split('.')[:n.prefixlen // 8])) + '.in-addr.arpa'])
        print(json.dumps(out))
        PY
        ,
        $lines,
    );
    foreach ($lines as $i => $line) {
        [$prefix, $address] = explode(' ', $line);
        [$prefix, $address] = [Prefix::parse($prefix), Ipv4::parse($address)];
        expect([
            (string) $prefix->hosts()->first,
            (string) $prefix->hosts()->last,
            $address->isLinkLocal(),
            $address->isCarrier(),
            $address->isPrivate(),
            (string) $prefix->netmask(),
            $prefix->reverseZone(),
        ])
            ->toBe($expected[$i])
            ->and(Prefix::lengthOf((string) $prefix->netmask()))
            ->toBe($prefix->length);
    }
});

test('IPv6 addresses in their shortest form, whatever the spelling', function (): void {
    mt_srand(5952);
    $lines = [];
    for ($i = 0; $i < 3000; $i++) {
        $words = [];
        for ($n = 0; $n < 8; $n++) {
            $words[] = mt_rand(0, 2) ? 0 : mt_rand(0, 0xFFFF);
        }
        $text = implode(
            ':',
            array_map(fn (int $word): string => mt_rand(0, 1) ? sprintf('%04X', $word) : dechex($word), $words),
        );
        $lines[] = mt_rand(0, 3) ? $text : inet_ntop((string) inet_pton($text));
    }
    // And texts that are none.
    foreach (
        [
            '1::2::3',
            '12345::',
            ':::',
            '1:2:3:4:5:6:7',
            '::g',
            '1:2:3:4:5:6:7:8:9',
            '',
            'fe80::1%',
            '::1.2.3',
            '::1.2.3.4',
            '::ffff:172.22.8.16',
            '1.2.3.4',
        ] as $text
    ) {
        $lines[] = $text;
    }
    $expected = inPython(
        <<<'PY'
        out = []
        for l in lines:
            try:
                a = ipaddress.IPv6Address(l)
                out.append([str(a), a in ipaddress.ip_network('fe80::/10'), a in ipaddress.ip_network('fc00::/7')])
            except ValueError:
                out.append(None)
        print(json.dumps(out))
        PY
        ,
        $lines,
    );
    foreach ($lines as $i => $text) {
        $address = Ipv6::tryParse($text);
        expect(
            $address === null ? null : [(string) $address, $address->isLinkLocal(), $address->isUniqueLocal()],
        )->toBe($expected[$i]);
    }
});

test('a unique-local prefix by the algorithm of RFC 4193', function (): void {
    $expected = inPython(
        <<<'PY'
        out = []
        for l in lines:
            t, mac = l.split()
            s, f = t.split('.')
            ntp = (int(s) + 2208988800) % 2**32 * 2**32 + int(int(f) / 1000 * 2**32)
            m = bytes.fromhex(mac.replace(':', ''))
            eui = bytes([m[0] ^ 2]) + m[1:3] + b'\xff\xfe' + m[3:]
            g = hashlib.sha1(ntp.to_bytes(8, 'big') + eui).digest()[-5:]
            n = ipaddress.ip_network((b'\xfd' + g + bytes(10), 48))
            out.append([str(n), str(list(n.subnets(new_prefix=64))[8])])
        print(json.dumps(out))
        PY
        ,
        ['1795600000.500 02:4b:1e:90:00:01', '0.250 02:4b:1e:90:0a:77', '2085978495.750 00:11:5e:ed:00:05'],
    );
    foreach (
        [
            [1795600000.5, '02:4b:1e:90:00:01'],
            [0.25, '02:4b:1e:90:0a:77'],
            [2085978495.75, '00:11:5e:ed:00:05'],
        ] as $i => [$at, $mac]
    ) {
        $prefix = Ipv6Prefix::uniqueLocal($at, Mac::parse($mac));
        expect([(string) $prefix, (string) $prefix->subnet(8)])
            ->toBe($expected[$i])
            ->and(
                Ipv6Prefix::parse((string) $prefix->subnet(8))->contains(
                    Ipv6::parse(rtrim(explode('/', (string) $prefix->subnet(8))[0], ':').'::16'),
                ),
            )
            ->toBeTrue();
    }
});

test('what is free is what nobody has, address by address', function (): void {
    mt_srand(8);
    for ($i = 0; $i < 300; $i++) {
        $prefix = Prefix::around(Ipv4::fromNumber(0xAC160000 | mt_rand(0, 0xFFFF)), mt_rand(24, 30));
        $any = fn (): Ipv4 => $prefix->network->offset(mt_rand(0, $prefix->size() - 1));
        $pools = [];
        for ($n = mt_rand(0, 2); $n > 0; $n--) {
            $ends = [$any(), $any()];
            usort($ends, fn (Ipv4 $one, Ipv4 $other): int => $one->number <=> $other->number);
            $pools[] = AddressRange::between(...$ends);
        }
        $hosts = [];
        for ($n = mt_rand(0, 20); $n > 0; $n--) {
            $hosts[] = new Host("h{$n}", $any());
        }
        $network = new DescribedNetwork('x', $prefix, $any(), $pools, hosts: $hosts);
        $room = Room::of($network);
        $free = [];
        for ($at = $prefix->hosts()->first; $prefix->hosts()->contains($at); $at = $at->offset(1)) {
            $held =
                $network->inPool($at) !== null ||
                $network->gateway?->equals($at) === true ||
                array_filter($hosts, fn (Host $host): bool => $host->address?->equals($at) === true) !== [];
            $held || ($free[] = (string) $at);
        }
        $listed = [];
        foreach ($room->gaps as $gap) {
            for ($at = $gap->first; $gap->contains($at); $at = $at->offset(1)) {
                $listed[] = (string) $at;
            }
        }
        expect($listed)
            ->toBe($free)
            ->and($room->free())
            ->toBe(count($free))
            ->and((string) $room->next())
            ->toBe($free[0] ?? '');
    }
});
