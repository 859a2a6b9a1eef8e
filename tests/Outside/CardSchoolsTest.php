<?php

declare(strict_types=1);

use Bench\Board\FirstBoot as BenchBoot;
use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Card\Read\WpaFields;
use Burrow\Card\Target\Checksum;
use Burrow\Card\Target\WriteCommands;
use Burrow\Card\Write\BootFilesWriter;
use Burrow\Card\Write\CardFile;
use Burrow\Card\Write\DeclarativeWriter;
use Burrow\Card\Write\FirmwareWriter;
use Burrow\Card\Write\FirstBoot;
use Burrow\Card\Write\KernelLineWriter;
use Burrow\Card\Write\NetworkConfigWriter;
use Burrow\Card\Write\OwnTextWriter;
use Burrow\Card\Write\Psk;
use Burrow\Card\Write\Sha512Crypt;
use Burrow\Card\Write\StaticAddress;
use Burrow\Card\Write\WifiNetwork;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Net\SshPublicKey;
use Burrow\Quantity\Bytes;
use Symfony\Component\Yaml\Yaml;

// The schools of first settings, each file read by the program that reads it on the box.

const AWKWARD = [
    'on',
    '0123',
    '12:30',
    '~',
    'null',
    'a"b',
    'back\\slash',
    "it's",
    'halt #2',
    'colon: here',
    ' edge',
    'edge ',
    '- dash',
    '{curly}',
    '[square]',
    '&anchor',
    '*star',
    '!bang',
    '%percent',
    '@at',
    '`tick`',
    'ümläut',
    '種子 🌱',
    '=',
    '|',
    '>',
    '1e3',
    '0x1f',
    'y',
    'deadbeef',
    'P"x"',
    'tab	inside',
    'wwwwwwwwwwwwwwwwwwwwwwwwwwwwwwww',
];

/** @param  list<WifiNetwork>  $wifis */
function first(
    array $wifis = [],
    ?StaticAddress $static = null,
    ?string $country = 'GB',
    bool $wired = true,
    ?string $hash = null,
    string $name = 'wren',
    string $zone = 'Europe/London',
): FirstBoot {
    $key =
        $hash === null
            ? SshPublicKey::tryParse(
                'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk',
            )
            : null;

    return new FirstBoot(
        Hostname::parse($name),
        'thistledown.home.arpa',
        "{$name}-1",
        'warden',
        $key,
        $hash,
        $zone,
        'gb',
        ['samba'],
        $wifis,
        $country,
        $static,
        $wired,
    );
}

/** @param  list<CardFile>  $files */
function folderOf(array $files): CardFolder
{
    return new CardFolder(
        array_combine(
            array_map(fn (CardFile $file): string => $file->name, $files),
            array_map(fn (CardFile $file): string => $file->text(), $files),
        ),
    );
}

/** @return array{ok: bool, out: string} what wpa_supplicant itself says of a configuration */
function supplicant(string $conf): array
{
    $folder = scratch();
    file_put_contents("{$folder}/wpa.conf", $conf);
    // Without a driver it reads the file, finds no radio, and is stopped.
    $out = run(
        "timeout --preserve-status 1 /usr/sbin/wpa_supplicant -i lo -D none -c {$folder}/wpa.conf -dd -K 2>&1 | head -120",
    )['all'];

    return [
        'ok' => str_contains($out, 'Reading configuration file') &&
            preg_match('/Failed to (?:read|parse)|^Line \d+: |Invalid /mi', $out) !== 1,
        'out' => $out,
    ];
}

/** @return array{exit: int, files: array<string, string>, all: string} */
function netplan(string $networkConfig): array
{
    $root = scratch();
    mkdir("{$root}/etc/netplan", 0755, true);
    $data = Yaml::parse($networkConfig);
    file_put_contents(
        "{$root}/etc/netplan/50.yaml",
        isset($data['network']) ? $networkConfig : "network:\n".preg_replace('/^/m', '  ', $networkConfig),
    );
    chmod("{$root}/etc/netplan/50.yaml", 0600);
    $result = run("netplan generate --root-dir {$root}");
    $files = [];
    foreach ([...glob("{$root}/run/netplan/*") ?: [], ...glob("{$root}/run/systemd/network/*") ?: []] as $file) {
        $files[basename($file)] = (string) file_get_contents($file);
    }

    return ['exit' => $result['exit'], 'files' => $files, 'all' => $result['all']];
}

// IEEE 802.11i-2004, annex H.4.1, test vectors for the passphrase to PSK mapping.
test('the key worked out from a passphrase is that of the standard', function (
    string $passphrase,
    string $ssid,
    string $psk,
): void {
    expect(Psk::of($passphrase, $ssid))->toBe($psk);
})->with([
    ['password', 'IEEE', 'f42c6fc52df0ebef9ebb4b90b38a5f902e83fe1b135a70e23aed762e9710a12e'],
    ['ThisIsAPassword', 'ThisIsASSID', '0dc0d6eb90555ed6419756b9a15ec3e3209b63df707dd508d14581f8982721af'],
    [str_repeat('a', 32), str_repeat('Z', 32), 'becb93866bb8c3832cb777c2f559807c8c59afcb6eae734885001300a981cc62'],
]);

test('it is what wpa_passphrase makes of it', function (string $ssid): void {
    preg_match(
        '/^\s*psk=([0-9a-f]{64})$/m',
        run('wpa_passphrase '.escapeshellarg($ssid), "seeds in paper bags\n")['out'],
        $match,
    );
    expect(Psk::of('seeds in paper bags', $ssid))->toBe($match[1]);
})->with(['Thistledown', 'reading room', 'ümläut', '種子 🌱', 'a"b']);

test('a passphrase that is none is refused', function (string $passphrase): void {
    expect(fn () => Psk::of($passphrase, 'Thistledown'))->toThrow(InvalidArgumentException::class);
})->with(['seven77', str_repeat('x', 64), 'Sämereien', "line\nbreak"]);

test('wpa_supplicant reads names and keys byte for byte', function (string $ssid): void {
    $wifi = WifiNetwork::of($ssid, WifiSecurity::Wpa2, 'seeds in paper bags', 3, true);
    $read = supplicant(
        (new BootFilesWriter())->write(first([$wifi, WifiNetwork::of('last', WifiSecurity::Open, '')]))[1]->text(),
    );
    preg_match('/ssid - hexdump_ascii\(len=(\d+)\):\n((?:     [0-9a-f ]{48}.*\n)+)/', $read['out'], $match);
    $bytes = implode(
        '',
        array_map(
            fn (string $line): string => str_replace(' ', '', substr($line, 5, 48)),
            explode("\n", trim($match[2], "\n")),
        ),
    );
    expect($read['ok'])
        ->toBeTrue()
        ->and(hex2bin($bytes))
        ->toBe($ssid)
        ->and($read['out'])
        ->toContain('PSK - hexdump(len=32): '.implode(' ', str_split(Psk::of('seeds in paper bags', $ssid), 2)))
        ->and($read['out'])
        ->toContain('priority=3')
        ->toContain('scan_ssid=1')
        ->toContain("country='GB'");
})->with(array_values(array_filter(AWKWARD, fn (string $ssid): bool => ! str_contains($ssid, "\n"))));

test('wpa_supplicant reads a WPA3 passphrase as it was typed', function (string $passphrase): void {
    $read = supplicant(
        (new BootFilesWriter())
            ->write(first([WifiNetwork::of('Thistledown', WifiSecurity::Wpa3, $passphrase)]))[1]
            ->text(),
    );
    expect($read['ok'])
        ->toBeTrue()
        ->and($read['out'])
        ->toContain('sae_password - hexdump_ascii(len='.strlen($passphrase).')');
})->with(['seeds in paper bags', 'with "quotes" inside', 'a # mark and \\ back']);

test('netplan reads names and keys as they are meant', function (string $ssid): void {
    $made = netplan(
        (new DeclarativeWriter())
            ->write(first([WifiNetwork::of($ssid, WifiSecurity::Wpa2, 'seeds in paper bags', 0, true)]))[2]
            ->text(),
    );
    $conf = $made['files']['wpa-wlan0.conf'] ?? '';
    // netplan writes a name either in P"…" with escapes or in plain quotes.
    preg_match('/^\s*ssid=(P?)"(.*)"$/m', $conf, $match);
    expect($made['exit'])
        ->toBe(0)
        ->and(($match[1] ?? '') === 'P' ? stripcslashes($match[2]) : $match[2])
        ->toBe($ssid)
        ->and($conf)
        ->toContain('psk='.Psk::of('seeds in paper bags', $ssid))
        ->toContain('scan_ssid=1');
})->with(AWKWARD);

test('netplan gives the box the address of the card', function (): void {
    $static = new StaticAddress(
        Ipv4::parse('172.22.8.20'),
        Prefix::parse('172.22.8.0/24'),
        Ipv4::parse('172.22.8.1'),
        [Ipv4::parse('172.22.8.10'), Ipv4::parse('172.22.8.1')],
    );
    $wired = netplan((new DeclarativeWriter())->write(first([], $static))[2]->text());
    $network = implode(
        '',
        array_filter(
            $wired['files'],
            fn (string $name): bool => str_ends_with($name, '.network'),
            ARRAY_FILTER_USE_KEY,
        ),
    );
    expect($wired['exit'])
        ->toBe(0)
        ->and($network)
        ->toContain('Address=172.22.8.20/24')
        ->toContain('Gateway=172.22.8.1')
        ->toContain('DNS=172.22.8.10')
        ->not->toContain('DHCP=ipv4');
    $radio = netplan(
        (new DeclarativeWriter())
            ->write(
                first(
                    [
                        WifiNetwork::of('Thistledown', WifiSecurity::Mixed, 'seeds in paper bags'),
                        WifiNetwork::of('fair', WifiSecurity::Wpa3, 'seeds in paper bags'),
                    ],
                    $static,
                    wired: false,
                ),
            )[2]
            ->text(),
    );
    expect($radio['exit'])
        ->toBe(0)
        ->and($radio['files']['10-netplan-wlan0.network'])
        ->toContain('Address=172.22.8.20/24')
        ->and($radio['files']['wpa-wlan0.conf'])
        ->toContain('ssid="Thistledown"')
        ->not->toContain('fair');
});

// netplan 0.106 refuses what it does not know, and the whole file with it; so it is not written, and found when
// somebody else wrote it.
test('WPA3 alone is not for this netplan', function (): void {
    $text = str_replace(
        '"@"',
        '"'.Psk::of('seeds in paper bags', 'fair').'"',
        "version: 2\nwifis:\n  wlan0:\n    dhcp4: true\n    regulatory-domain: \"GB\"\n    access-points:\n      \"fair\":\n        auth:\n          key-management: sae\n          password: \"@\"\n",
    );
    $codes = (new Linter())->lint(new CardFolder(['network-config' => $text]))->codes();
    expect($codes)
        ->toBe(['card.key_management'])
        ->and(netplan($text)['exit'])
        ->not->toBe(0)
        ->and(
            (new NetworkConfigWriter())
                ->findings(first([WifiNetwork::of('fair', WifiSecurity::Wpa3, 'seeds in paper bags')]))
                ->codes(),
        )
        ->toBe(['card.wpa3_declarative']);
});

// Kernel documentation, admin-guide/nfs/nfsroot.rst: the order of the fields.
test('ip= has its fields in the order of the kernel\'s document', function (): void {
    $order =
        'ip=<client-ip>:<server-ip>:<gw-ip>:<netmask>:<hostname>:<device>:<autoconf>:<dns0-ip>:<dns1-ip>:<ntp0-ip>';
    $names = explode(':', substr($order, 3));
    $static = new StaticAddress(
        Ipv4::parse('172.22.8.20'),
        Prefix::parse('172.22.8.0/24'),
        Ipv4::parse('172.22.8.1'),
        [],
    );
    $fields = array_combine(
        array_slice($names, 0, 7),
        explode(':', substr(KernelLineWriter::ip($static, 'wren', 'eth0'), 3)),
    );
    expect($fields)->toBe([
        '<client-ip>' => '172.22.8.20',
        '<server-ip>' => '',
        '<gw-ip>' => '172.22.8.1',
        '<netmask>' => '255.255.255.0',
        '<hostname>' => 'wren',
        '<device>' => 'eth0',
        '<autoconf>' => 'off',
    ]);
});

test('our rules for wpa_supplicant.conf agree with wpa_supplicant itself', function (): void {
    $checked = 0;
    foreach (glob('tests/Core/Card/cards/*/*.yaml') ?: [] as $file) {
        $card = Yaml::parseFile($file);
        $text = $card['files']['wpa_supplicant.conf'] ?? null;
        if ($text === null || str_contains($text, "\r")) {
            continue;
        }
        $codes = (new Linter())->lint(new CardFolder($card['files']))->codes();
        $refused =
            array_intersect($codes, [
                'card.wpa_does_not_parse',
                'card.wpa_unknown_field',
                'card.wpa_blanks',
                'card.ssid_unquoted',
                'card.psk_form',
                'card.passphrase_length',
            ]) !== [];
        expect([basename($file) => supplicant($text)['ok']])->toBe([basename($file) => ! $refused]);
        $checked++;
    }
    expect($checked)->toBeGreaterThan(12);
});

test('every field of our lists is one that wpa_supplicant knows', function (): void {
    $folder = scratch();
    foreach (WpaFields::ofANetwork()->all() as $name) {
        file_put_contents("{$folder}/network.{$name}", "network={\n\tssid=\"x\"\n\tkey_mgmt=NONE\n\t{$name}=\n}\n");
    }
    foreach (WpaFields::top()->all() as $name) {
        file_put_contents("{$folder}/global.{$name}", "{$name}=\n");
    }
    file_put_contents("{$folder}/global.no_such_thing", "no_such_thing=1\n");
    run(
        "ls {$folder} | xargs -P 8 -I{} sh -c 'timeout 0.5 /usr/sbin/wpa_supplicant -i lo -D none -c {$folder}/{} > {$folder}/{}.out 2>&1 || true'",
    );
    $unknown = array_filter(
        glob("{$folder}/*.out") ?: [],
        fn (string $out): bool => str_contains((string) file_get_contents($out), 'unknown '),
    );
    expect(array_map(basename(...), array_values($unknown)))->toBe(['global.no_such_thing.out']);
});

test('netplan takes every right network-config of the corpus', function (): void {
    $checked = 0;
    foreach (glob('tests/Core/Card/cards/right/*.yaml') ?: [] as $file) {
        $text = Yaml::parseFile($file)['files']['network-config'] ?? null;
        // Version 1 and “disabled” are for cloud-init alone; it hands neither on.
        if ($text !== null && preg_match('/^\s*version: 2$/m', $text) === 1) {
            expect([basename($file) => netplan($text)['exit']])->toBe([basename($file) => 0]);
            $checked++;
        }
    }
    expect($checked)->toBeGreaterThan(20);
    foreach (['static-no-length', 'wifi-long-passphrase', 'wifi-short-passphrase'] as $broken) {
        expect([
            $broken => netplan(
                Yaml::parseFile("tests/Core/Card/cards/broken/{$broken}.yaml")['files']['network-config'],
            )['exit'],
        ])->not->toBe([
            $broken => 0,
        ]);
    }
});

test('what any school writes, the linter passes and a bench board boots', function (): void {
    mt_srand(303);
    $words = array_values(array_filter(AWKWARD, fn (string $ssid): bool => trim($ssid) === $ssid));
    $hash = Sha512Crypt::hash('seeds in paper bags', 'thistle');
    for ($i = 0; $i < 120; $i++) {
        $ssid = $words[mt_rand(0, count($words) - 1)];
        $security = [WifiSecurity::Open, WifiSecurity::Wpa2, WifiSecurity::Mixed][mt_rand(0, 2)];
        $passphrase =
            $security === WifiSecurity::Open
                ? ''
                : implode('', array_map(fn (): string => chr(mt_rand(0x20, 0x7E)), range(1, mt_rand(8, 63))));
        $wifi = WifiNetwork::of($ssid, $security, $passphrase, mt_rand(0, 9), (bool) mt_rand(0, 1));
        $static = mt_rand(0, 1)
            ? new StaticAddress(
                Ipv4::parse('172.22.8.'.mt_rand(10, 90)),
                Prefix::parse('172.22.8.0/24'),
                Ipv4::parse('172.22.8.1'),
                [Ipv4::parse('172.22.8.10')],
            )
            : null;
        $wired = (bool) mt_rand(0, 1);
        $settings = first(
            $wired && mt_rand(0, 1) ? [] : [$wifi],
            $static,
            'GB',
            $wired,
            mt_rand(0, 1) ? $hash : null,
            ['wren', 'on', 'n0', 'a-b-c', '1st'][mt_rand(0, 4)],
        );
        $air = [$ssid => $wifi->secret ?? ''];

        $declarative = folderOf((new DeclarativeWriter())->write($settings));
        $boot = BenchBoot::from($declarative->files, $wired, $air);
        expect([$i, (new Linter())->lint($declarative)->codes()])
            ->toBe([$i, []])
            ->and([$i, $boot->network, $boot->user, $boot->hostname, $boot->remoteLogin, $boot->address])
            ->toBe([
                $i,
                true,
                'warden',
                $settings->name->label,
                true,
                $static === null ? null : (string) $static->address,
            ]);

        $old = first([$wifi], $static, 'GB', $wired, $hash);
        $files = folderOf([
            ...(new BootFilesWriter())->write($old),
            (new KernelLineWriter())->write('console=tty1 root=PARTUUID=1-02 rootwait quiet', $old, true, true),
            (new FirmwareWriter())->write("dtparam=audio=on\n", true, true),
        ]);
        $boot = BenchBoot::from($files->files, $wired, $air);
        expect([$i, (new Linter())->lint($files, new CardContext(containers: true, sixtyFour: true))->codes()])
            ->toBe([$i, []])
            ->and([$i, $boot->network, $boot->user, $boot->remoteLogin, $boot->address])
            ->toBe([$i, true, 'warden', true, $static === null ? null : (string) $static->address]);

        $image = catalogue('image')['appliance-64'];
        $own = (new OwnTextWriter())->write($image->ownText ?? throw new LogicException(), $settings);
        expect((new Linter())->lint(folderOf([$own]), new CardContext($image))->codes())
            ->toBe([])
            ->and($own->text())
            ->toContain("host={$settings->name->label}\n");
    }
});

test('the commands that write a card do what they say', function (): void {
    // A file stands in for the disk; sudo and udisksctl only pass on, so that all the rest is real.
    $folder = scratch();
    mkdir("{$folder}/bin");
    file_put_contents("{$folder}/bin/sudo", "#!/bin/sh\nexec \"\$@\"\n");
    file_put_contents("{$folder}/bin/udisksctl", "#!/bin/sh\nexit 0\n");
    // A file is no block device; what it would say of one is its size, and that nothing is mounted.
    file_put_contents("{$folder}/bin/lsblk", "#!/bin/sh\ncase \"\$*\" in *SERIAL*) echo '  x  ';; *SIZE*) stat --format=%s disk;; esac\n");
    run("chmod +x {$folder}/bin/*");
    $image = random_bytes(3_000_000);
    file_put_contents("{$folder}/it's an image.img", $image);
    run("xz --keep \"{$folder}/it's an image.img\" && rm \"{$folder}/it's an image.img\"");
    file_put_contents("{$folder}/disk", str_repeat("\xAA", 8_000_000));
    $target = new BlockDevice('sdb', Bytes::of(8_000_000), null, 'x', 'usb', true, false, [], [], "{$folder}/disk");
    foreach (WriteCommands::for(DeskSystem::Lsblk, $target, "it's an image.img.xz") as $command) {
        $done = run("PATH={$folder}/bin:\$PATH; {$command->command}", folder: $folder);
        expect([$command->title, $done['exit']])->toBe([$command->title, 0]);
        $command->title !== 'Verify' ?: expect($done['out'])->toContain('SAME');
    }
    expect(substr((string) file_get_contents("{$folder}/disk"), 0, 3_000_000) === $image)->toBeTrue();
    $verify = array_values(
        array_filter(
            WriteCommands::for(DeskSystem::Lsblk, $target, "it's an image.img"),
            fn ($one): bool => $one->title === 'Verify',
        ),
    )[0];
    file_put_contents("{$folder}/disk", 'x'.substr((string) file_get_contents("{$folder}/disk"), 1));
    expect(run("PATH={$folder}/bin:\$PATH; {$verify->command}", folder: $folder)['exit'])->not->toBe(0);

    // Writing cut the file that stands in for a disk; a disk keeps its size.
    file_put_contents("{$folder}/disk", str_repeat("\xAA", 8_000_000));
    $capacity = WriteCommands::capacityTest($target)->command;
    expect(run("PATH={$folder}/bin:\$PATH; {$capacity}", folder: $folder)['out'])->toContain('GENUINE');
    // A counterfeit writes the second half over the first.
    file_put_contents(
        "{$folder}/bin/dd",
        "#!/bin/sh\n/usr/bin/dd \"\$@\" && tail --bytes=4000000 disk > half && cat half half > disk\n",
    );
    run("chmod +x {$folder}/bin/dd");
    expect(run("PATH={$folder}/bin:\$PATH; {$capacity}", folder: $folder)['out'])
        ->not->toContain('GENUINE')
        ->toContain('STOPPED');
});

test('our commands for the desk are shell that parses and shellcheck likes', function (): void {
    $target = new BlockDevice(
        'disk4',
        Bytes::giga(32),
        null,
        'x',
        'usb',
        true,
        false,
        [],
        [],
        '/dev/disk/by-id/usb-x y',
    );
    foreach ([DeskSystem::Lsblk, DeskSystem::Diskutil] as $system) {
        foreach (
            [
                ...WriteCommands::for($system, $target, 'it\'s "an" $image.img.xz'),
                WriteCommands::capacityTest($target),
            ] as $command
        ) {
            $checked = run('shellcheck --shell=bash --severity=warning -', $command->command);
            expect([$command->title, $checked['all']])->toBe([$command->title, '']);
        }
    }
});

test('sha256sum is read as it prints', function (): void {
    $folder = scratch();
    file_put_contents("{$folder}/image.img.xz", random_bytes(5000));
    $printed = run('sha256sum image.img.xz', folder: $folder)['out'];
    expect(Checksum::compare(hash_file('sha256', "{$folder}/image.img.xz"), $printed)->codes())
        ->toBe(['card.checksum_matches'])
        ->and(run(getcwd()."/burrow verify image.img.xz '{$printed}'", folder: $folder)['exit'])
        ->toBe(0)
        ->and(run(getcwd().'/burrow verify image.img.xz '.str_repeat('0', 64), folder: $folder)['exit'])
        ->toBe(1)
        ->and(run(getcwd().'/burrow verify nothing.img '.str_repeat('0', 64), folder: $folder)['exit'])
        ->toBe(2);
});

test('a card folder is looked over and mended in the terminal', function (): void {
    $folder = scratch();
    mkdir("{$folder}/boot");
    foreach (Yaml::parseFile('tests/Core/Card/cards/broken/wpa-crlf.yaml')['files'] as $name => $text) {
        file_put_contents("{$folder}/boot/{$name}", $text);
    }
    $told = run(getcwd().'/burrow lint boot --fix mended --image server-32-old', folder: $folder);
    expect($told['exit'])
        ->toBe(0)
        ->and($told['out'])
        ->toContain('warn card.crlf wpa_supplicant.conf:1')
        ->toContain('mended: wpa_supplicant.conf: line ends were changed to LF')
        ->and(file_get_contents("{$folder}/mended/wpa_supplicant.conf"))
        ->not->toContain("\r")
        ->and(supplicant((string) file_get_contents("{$folder}/mended/wpa_supplicant.conf"))['ok'])
        ->toBeTrue()
        ->and(run(getcwd().'/burrow lint boot --fix mended', folder: $folder)['exit'])
        ->toBe(2)
        ->and(run(getcwd().'/burrow lint boot --image server-64', folder: $folder)['out'])
        ->toContain('card.school_not_read');
});
