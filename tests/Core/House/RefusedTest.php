<?php

declare(strict_types=1);

use Burrow\BringUp\Write\HttpsSite;
use Burrow\BringUp\Write\KeyedSettings;
use Burrow\Card\Write\Psk;
use Burrow\Card\Write\Sha512Crypt;
use Burrow\Card\Write\WifiNetwork;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Filter\DnsmasqSettings;
use Burrow\Plan\Circumstances;
use Burrow\Plan\Power\Wire;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Rate;
use Burrow\Reach\Tunnel\TunnelDevice;
use Burrow\Reach\Tunnel\TunnelKey;
use Burrow\Reach\Tunnel\TunnelNet;
use Burrow\Reach\Tunnel\TunnelProfile;
use Burrow\Stores\FstabLine;
use Burrow\Stores\SmbShare;
use Burrow\Upkeep\Report\ReportUnits;

// What goes into a file or a sum is refused where it is made: of each value the last that is taken, and the first that
// is not.

const UUID_OF_SEEDS = '7c9e6679-7425-40de-944b-e07fc1f90ae7';

const KEY_OF_SEEDS = 'AbBw5WxYE1bRGMqLqzNVjcdYGgCbDWDGLDmYx4iK6RY=';

/** @return array<string, array{callable, list<mixed>, list<mixed>}> what makes it, what is taken, what is refused */
function edgesOfValues(): array
{
    $profile = fn (
        string $key,
        string $outside,
        int $port,
        string $house,
        string $names,
    ): TunnelProfile => new TunnelProfile($key, $outside, $port, '10.77.8.0/24', $house, $names);
    $so = fn (mixed ...$with): Circumstances => new Circumstances(...$with);

    return [
        'mount point' => [
            fn (string $at): FstabLine => new FstabLine(UUID_OF_SEEDS, $at),
            ['/', '/srv/the store #1', '/srv/ä'],
            ['srv', '', "/srv\n", "/srv/\x7f", "/\tsrv"],
        ],
        'file system' => [
            fn (string $uuid): FstabLine => new FstabLine($uuid, '/srv'),
            [UUID_OF_SEEDS],
            [substr(UUID_OF_SEEDS, 1), UUID_OF_SEEDS.'0', strtoupper(UUID_OF_SEEDS), UUID_OF_SEEDS."\n"],
        ],
        'name of a share' => [
            fn (string $name): SmbShare => new SmbShare($name, '/srv/store', 'warden'),
            ['a', 'the store_1-', str_repeat('a', 32)],
            ['', ' a', '-a', 'a]', str_repeat('a', 33), 'Homes', 'global', 'PRINTERS', 'Warden', "a\n"],
        ],
        'path of a share' => [
            fn (string $path): SmbShare => new SmbShare('store', $path, 'warden'),
            ['/', '/srv/the store'],
            ['', 'srv', '/srv;', '/srv#', '/srv/%u', "/srv\n", "/srv\x7f"],
        ],
        'user of a share' => [
            fn (string $user): SmbShare => new SmbShare('store', '/srv', $user),
            ['_', 'warden-1', str_repeat('a', 32)],
            ['', '1a', 'Warden', str_repeat('a', 33), "a\n"],
        ],
        'net of a tunnel' => [
            fn (string $net): TunnelNet => new TunnelNet($net),
            ['10.0.0.0/16', '172.16.8.0/29', '192.168.4.0/24'],
            ['10.0.0.0/15', '172.16.8.0/30', '203.0.113.0/24', '10.77.8.0', ''],
        ],
        'device of a tunnel' => [
            fn (string $name): TunnelDevice => new TunnelDevice($name, KEY_OF_SEEDS, '10.77.8.0/24'),
            ['a', 'warden phone.1_-', str_repeat('a', 41)],
            ['', ' a', '.a', 'a,b', str_repeat('a', 42), "a\n"],
        ],
        'key of a tunnel' => [
            fn (string $key): TunnelDevice => new TunnelDevice('a', $key, '10.77.8.0/24'),
            [KEY_OF_SEEDS],
            [
                '',
                substr(KEY_OF_SEEDS, 0, 43),
                KEY_OF_SEEDS.'=',
                str_repeat('?', 44),
                substr(KEY_OF_SEEDS, 0, 42).'==',
            ],
        ],
        'key in a profile' => [
            fn (string $key): TunnelProfile => $profile($key, 'a', 1, '172.22.8.0/24', '172.22.8.12'),
            [KEY_OF_SEEDS],
            ['', substr(KEY_OF_SEEDS, 0, 43), str_repeat('?', 44), substr(KEY_OF_SEEDS, 0, 42).'=='],
        ],
        'outside of a profile' => [
            fn (string $name): TunnelProfile => $profile(
                KEY_OF_SEEDS,
                $name,
                1,
                '172.22.8.0/24',
                '172.22.8.12',
            ),
            ['a', '203.0.113.7', str_repeat('a', 253)],
            ['', '-a', '.a', 'a b', str_repeat('a', 254), "a\n"],
        ],
        'port of a profile' => [
            fn (int $port): TunnelProfile => $profile(
                KEY_OF_SEEDS,
                'a',
                $port,
                '172.22.8.0/24',
                '172.22.8.12',
            ),
            [1, 65535],
            [0, -1, 65536],
        ],
        'house of a profile' => [
            fn (string $house): TunnelProfile => $profile(KEY_OF_SEEDS, 'a', 1, $house, '172.22.8.12'),
            ['172.22.8.0/24', '0.0.0.0/0'],
            ['', '172.22.8.0', '172.22.8.0/33'],
        ],
        'names of a profile' => [
            fn (string $names): TunnelProfile => $profile(KEY_OF_SEEDS, 'a', 1, '172.22.8.0/24', $names),
            ['172.22.8.12'],
            ['', '172.22.8', 'sieve', '172.22.8.256'],
        ],
        'host of a site' => [
            fn (string $host): HttpsSite => new HttpsSite($host, 'home.arpa', 8080),
            ['a', 'a-1', str_repeat('a', 63)],
            ['', '-a', 'a.b', 'A', str_repeat('a', 64), "a\n"],
        ],
        'domain of a site' => [
            fn (string $domain): HttpsSite => new HttpsSite('larder', $domain, 8080),
            ['a', 'home.arpa', str_repeat('a', 201)],
            ['', '-a', 'a b', 'A', str_repeat('a', 202), "a\n"],
        ],
        'port of a site' => [
            fn (int $port): HttpsSite => new HttpsSite('larder', 'home.arpa', $port),
            [1, 65535],
            [0, 65536],
        ],
        'output of a player' => [
            fn (string $device): KeyedSettings => KeyedSettings::player('/srv', $device, '6600'),
            ['hw:CARD=a,DEV=0', str_repeat('a', 80)],
            ['', 'a b', 'a"', str_repeat('a', 81), "a\n"],
        ],
        'port of a player' => [
            fn (string $port): KeyedSettings => KeyedSettings::player('/srv', 'a', $port),
            ['1', '65535'],
            ['0', '65536', '', '-1', '1.5', 'x'],
        ],
        'folder of a recorder' => [
            fn (string $folder): KeyedSettings => KeyedSettings::recorder($folder),
            ['/srv', '/srv/a.b-c_d/e'],
            ['', '/', 'srv', '/srv/', '/a b', '/a"', "/srv\n"],
        ],
        'name of a library' => [
            fn (string $name): KeyedSettings => KeyedSettings::library('/srv', '8200', $name),
            ['a', 'the library_1-', str_repeat('a', 61)],
            ['', ' a', '-a', 'a=b', str_repeat('a', 62), "a\n"],
        ],
        'host of a resolver' => [
            fn (string $host): DnsmasqSettings => new DnsmasqSettings(
                $host,
                'home.arpa',
                '172.22.8.12',
                '203.0.113.53',
            ),
            ['a', 'a-1', str_repeat('a', 63)],
            ['', '-a', 'a.b', 'A', str_repeat('a', 64), "a\n"],
        ],
        'domain of a resolver' => [
            fn (string $domain): DnsmasqSettings => new DnsmasqSettings(
                'sieve',
                $domain,
                '172.22.8.12',
                '203.0.113.53',
            ),
            ['a', 'home.arpa'],
            ['', '.a', 'a.', 'a..b', 'A', "a\n"],
        ],
        'address of a resolver' => [
            fn (string $address): DnsmasqSettings => new DnsmasqSettings(
                'sieve',
                'a',
                $address,
                '203.0.113.53',
            ),
            ['172.22.8.12'],
            ['', '172.22.8', '203.0.113.53'],
        ],
        'upstream of a resolver' => [
            fn (string $upstream): DnsmasqSettings => new DnsmasqSettings(
                'sieve',
                'a',
                '172.22.8.12',
                $upstream,
            ),
            ['203.0.113.53'],
            ['', 'nine', '172.22.8.12'],
        ],
        'account that reports' => [
            fn (string $account): string => ReportUnits::service($account, 'http://172.22.8.20:8738/report'),
            ['warden', '_a-1'],
            ['', 'Warden', "a\nb", 'a b'],
        ],
        'passphrase' => [
            fn (string $passphrase): string => Psk::of($passphrase, 'hollow'),
            [str_repeat('a', 8), str_repeat(' ', 63), 'a~!" $b\\'],
            ['', str_repeat('a', 7), str_repeat('a', 64), 'über-acht-lang', "aaaaaaaa\n", "aaaa\x7faaaa"],
        ],
        'name of a network on the air' => [
            fn (string $ssid): WifiNetwork => WifiNetwork::of($ssid, WifiSecurity::Open, ''),
            ['a', str_repeat('a', 32), str_repeat('ü', 16)],
            ['', str_repeat('a', 33), str_repeat('ü', 17)],
        ],
        'salt' => [
            fn (string $salt): string => Sha512Crypt::hash('x', $salt),
            ['.', '/', str_repeat('z', 16)],
            ['', str_repeat('z', 17), 'a$b', "a\n"],
        ],
        'gauge' => [Wire::diameter(...), [0, 40], [-1, 41]],
        'bytes' => [Bytes::of(...), [0], [-1]],
        'duration' => [Duration::seconds(...), [0.0], [-0.001]],
        'rate' => [Rate::megabytesPerSecond(...), [0.000_001], [0.0, -1.0]],
        'room' => [fn (float $celsius): Circumstances => $so(roomCelsius: $celsius), [-20, 60], [-20.1, 60.1]],
        'price' => [fn (float $price): Circumstances => $so(pricePerKilowattHour: $price), [0], [-0.01]],
        'line in' => [fn (float $line): Circumstances => $so(downMegabits: $line), [0.1], [0, -1]],
        'line out' => [fn (float $line): Circumstances => $so(upMegabits: $line), [0.1], [0, -1]],
        'line far away' => [fn (float $line): Circumstances => $so(farDownMegabits: $line), [0.1], [0, -1]],
        'relay' => [fn (float $line): Circumstances => $so(relayMegabits: $line), [0], [-1]],
        'stream' => [fn (float $line): Circumstances => $so(streamMegabits: $line), [0.1], [0, -1]],
        'battery' => [fn (float $hours): Circumstances => $so(batteryWattHours: $hours), [0], [-1]],
        'days away' => [fn (float $days): Circumstances => $so(awayDays: $days), [0], [-1]],
    ];
}

test('a value is taken up to its edges, and refused beyond them', function (string $name): void {
    [$make, $taken, $refused] = edgesOfValues()[$name];
    foreach ($taken as $value) {
        expect($make($value))->not->toBeNull();
    }
    foreach ($refused as $value) {
        $said = null;
        try {
            $make($value);
        } catch (InvalidArgumentException $no) {
            $said = $no->getMessage();
        }
        expect([$value, is_string($said)])->toBe([$value, true]);
    }
})->with(array_keys(edgesOfValues()));

test('a key with a letter that base64 does not have is none', function (): void {
    $odd = '!'.substr(KEY_OF_SEEDS, 1);
    expect(TunnelKey::isOne($odd))
        ->toBeFalse()
        ->and(fn (): TunnelDevice => new TunnelDevice('a', $odd, '10.77.8.0/24'))
        ->toThrow(InvalidArgumentException::class);
});
