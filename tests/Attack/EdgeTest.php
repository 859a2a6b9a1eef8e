<?php

declare(strict_types=1);

use App\Card\CardZip;
use Burrow\Addresses\NetworkCheck;
use Burrow\Card\AllClear;
use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\WifiCheck;
use Burrow\Intake\Intake;
use Burrow\Judgement\Place;
use Burrow\Plan\Money\PartsCsv;
use Burrow\Plan\Money\PartsList;
use Burrow\Upkeep\Retention;
use Symfony\Component\Yaml\Yaml;

test('a zip of zeros is small only as long as it is packed', function (): void {
    $path = scratch().'/zeros.zip';
    $zip = new ZipArchive();
    $zip->open($path, ZipArchive::CREATE);
    for ($i = 0; $i < 300; $i++) {
        $zip->addFromString("file-{$i}", str_repeat("\0", 250 * 1024));
    }
    $zip->addFromString('deep/er/user-data', '#cloud-config');
    $zip->addFromString('../../etc/passwd', 'x');
    $zip->close();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $folder = CardZip::read((string) file_get_contents($path));
    expect(array_sum(array_map(strlen(...), $folder->files ?? [])))
        ->toBeLessThanOrEqual(2 * 1024 * 1024)
        ->and(memory_get_peak_usage() - $before)
        ->toBeLessThan(12 * 1024 * 1024)
        ->and(array_filter(array_keys($folder->files ?? []), fn (string $name): bool => str_contains($name, '/')))
        ->toBe([]);
});

test('a prefix that holds public addresses is refused, the private ones and their parts are not', function (
    string $prefix,
    string $router,
    bool $good,
): void {
    $check = NetworkCheck::of($prefix, $router, $router, $router, 'home.arpa', 'Etc/UTC');
    expect($check->network !== null)->toBe($good);
})->with([
    ['192.168.0.0/13', '192.168.0.1', false],
    ['192.160.0.0/12', '192.168.0.1', false],
    ['172.0.0.0/8', '172.16.0.1', false],
    ['8.0.0.0/6', '10.0.0.1', false],
    ['192.168.0.0/16', '192.168.0.1', true],
    ['172.16.0.0/12', '172.16.0.1', true],
    ['10.0.0.0/8', '10.0.0.1', true],
    ['10.4.4.0/24', '10.4.4.1', true],
]);

test('private ranges are those of Python\'s ipaddress, prefix by prefix', function (): void {
    mt_srand(7);
    $prefixes = [];
    for ($i = 0; $i < 400; $i++) {
        $length = mt_rand(4, 30);
        $base =
            [10 << 24, (172 << 24) | (16 << 16), (192 << 24) | (168 << 16), mt_rand(0, 0xFFFFFFFF)][$i % 4] |
            ($i % 8 < 4 ? mt_rand(0, 0xFFFF) : 0);
        $prefixes[] = long2ip($base & ((0xFFFFFFFF << (32 - $length)) & 0xFFFFFFFF))."/{$length}";
    }
    $python = run(
        'python3 -c '.
            escapeshellarg(
                "import ipaddress,sys\nprivate=[ipaddress.ip_network(n) for n in ('10.0.0.0/8','172.16.0.0/12','192.168.0.0/16')]\nfor line in sys.stdin: print(int(any(ipaddress.ip_network(line.strip()).subnet_of(n) for n in private)))",
            ),
        implode("\n", $prefixes),
    );
    expect(
        array_map(
            fn (string $prefix): string => (string) (int) Burrow\Net\Prefix::parse($prefix)->isPrivate(),
            $prefixes,
        ),
    )->toBe(explode("\n", trim($python['out'])));
});

test('a lease outside of the private ranges is a finding', function (): void {
    $read = fn (string $address): array => Intake::standard()
        ->read('leases', "0 02:4b:1e:90:00:07 {$address} wren *\n")
        ->findings->codes();
    expect($read('203.0.113.9'))
        ->toBe(['intake.lease_not_private'])
        ->and($read('172.22.8.9'))
        ->toBe([]);
});

test('copies grow rarer with their age', function (): void {
    $copies = [];
    for ($day = 0; $day < 800; $day++) {
        foreach (['03:20', '15:20'] as $time) {
            $made = new DateTimeImmutable("2026-11-25 {$time} -{$day} days");
            $copies[$made->format('Y-m-d H:i')] = $made;
        }
    }
    $kept = array_diff(array_keys($copies), (new Retention())->spare($copies));
    sort($kept);
    expect(count($kept))
        ->toBeLessThanOrEqual(24)
        ->toBeGreaterThanOrEqual(20)
        ->and(end($kept))
        ->toBe('2026-11-25 15:20')
        ->and($kept[0])
        ->toBe('2025-12-31 15:20')
        // The newest of each of the last seven days.
        ->and(array_slice($kept, -7))
        ->toBe(array_map(fn (int $day): string => "2026-11-{$day} 15:20", range(19, 25)))
        ->and((new Retention())->spare(['only' => new DateTimeImmutable('2001-01-01')]))
        ->toBe([])
        ->and((new Retention())->spare([]))
        ->toBe([]);
});

test('a cell that a spreadsheet would take for a formula is quoted', function (string $label, bool $quoted): void {
    $cell = (new ReflectionMethod(PartsCsv::class, 'cell'))->invoke(null, $label);
    expect(str_contains($cell, "'".$label) || str_contains($cell, "'".str_replace('"', '""', $label)))->toBe(
        $quoted,
    );
})->with([
    ['=1+1', true],
    ['+1', true],
    ['-1', true],
    ['@x', true],
    ["\t=1", true],
    ["\r=1", true],
    ["\n=1", true],
    [' =1+1', true],
    ["\u{00A0}=1", true],
    ["\u{3000}=1", true],
    ["\u{FF1D}1", true],
    ["\u{FF0B}1", true],
    ["\u{FF0D}1", true],
    ["\u{FF20}x", true],
    ["\u{FEFF}=1", true],
    ['Flint', false],
    ['5.1 V = 3 A', false],
    ['a-b', false],
]);

test('parts of a plan with a hostile name leave as text', function (): void {
    $plan = plan();
    expect(PartsCsv::of(PartsList::of($plan)))->toContain('together');
});

test('an all-clear says no more than was looked at', function (array $files, array $says, array $not): void {
    $words = implode(' ', AllClear::words(new CardFolder($files), new CardContext()));
    expect($words)->toContain(...$says);
    foreach ($not as $claim) {
        expect($words)->not->toContain($claim);
    }
})->with([
    'a single file of an image' => [
        ['wifi.txt' => 'x'],
        [
            'No file that the first start looks for is here.',
            'No file here makes an account',
            'No file here switches remote login on',
            'Nothing was compared',
        ],
        ['can log in.', 'is switched on'],
    ],
    'a marker' => [
        ['ssh' => ''],
        ['Looked at: ssh.', 'Remote login is switched on.', 'No file here makes an account'],
        ['can log in.'],
    ],
    'the whole' => [
        fn (): array => [
            'user-data' => Yaml::parseFile(
                'tests/Core/Card/cards/right/'.basename(glob('tests/Core/Card/cards/right/*.yaml')[0]),
            )['files']['user-data'] ?? "#cloud-config\nssh_authorized_keys: [x]\n",
        ],
        ['Looked at: user-data.'],
        ['Compared with'],
    ],
]);

test('a network name that is nearly one of the house is found', function (string $typed, ?string $code): void {
    $codes = WifiCheck::ssid($typed, Place::field('ssid_1'), [
        'Thistledown',
        'Thistledown reading room',
        'Den',
    ])->codes();
    expect($codes)->toBe($code === null ? [] : [$code]);
})->with([
    ['Thistledown', null],
    ['Thistledwon', 'card.ssid_misspelt'],
    ['Thistledow', 'card.ssid_misspelt'],
    ['Thistleedown reading room', 'card.ssid_misspelt'],
    ['thistledown', 'card.ssid_nearly'],
    ['Thistledown ', 'card.ssid_nearly'],
    ['A phone', 'card.ssid_unknown'],
    ['Dan', 'card.ssid_unknown'],
]);

test('the terminal says what it did not look at', function (): void {
    $folder = scratch();
    mkdir("{$folder}/empty");
    $empty = run(escapeshellarg(getcwd().'/burrow')." lint {$folder}/empty");
    expect($empty['exit'])
        ->toBe(0)
        ->and($empty['out'])
        ->toContain('No file that the first start looks for is here.');
    mkdir("{$folder}/large");
    run("truncate --size=50M {$folder}/large/user-data");
    file_put_contents("{$folder}/large/meta-data", "instance-id: a\n");
    expect(run(escapeshellarg(getcwd().'/burrow')." lint {$folder}/large")['out'])->toContain(
        'card.not_looked_at user-data user-data was not looked at: it is larger than 256 KiB',
    );
});
