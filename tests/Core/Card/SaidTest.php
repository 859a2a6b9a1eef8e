<?php

declare(strict_types=1);

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Judgement\Finding;

// Damaged files of a card, and all that the linter says of each, word for word: said/ holds it. What the programs of a
// box said of the same files stands in told/; whether the linter is right is held against that, in ToldTest.

/** @param  array<string, string>  $files */
function saidOfCard(array $files, ?CardContext $known = null): string
{
    return implode(
        '',
        array_map(
            fn (Finding $one): string => "{$one->severity->value} {$one->code} {$one->place?->file}:".
                ($one->place->line ?? '-').
                ':'.
                ($one->place->column ?? '-').
                "\n  {$one->found}\n  {$one->do}\n",
            (new Linter())->lint(new CardFolder($files), $known ?? new CardContext())->list,
        ),
    );
}

test('what is said of a damaged file stays as it was looked through', function (
    string $by,
    string $file,
    array $beside,
): void {
    $now = '';
    foreach (told($by) as $number => ['text' => $text]) {
        $number % 2 === 0 && ($now .= "=== {$number}\n".saidOfCard([$file => $text] + $beside));
    }
    expect($now)->toBe(onFile(__DIR__."/said/{$by}.txt", $now));
})->with([
    ['netplan', 'network-config', []],
    ['wpa', 'wpa_supplicant.conf', ['ssh' => '']],
    ['settings', 'network-config', []],
    ['logins', 'user-data', ['meta-data' => "instance-id: wren\n"]],
]);

test('what is said of a broken card stays as it was looked through', function (): void {
    $now = '';
    foreach (cards('broken') as $name => [$file]) {
        $card = cardFrom($file);
        $now .= "=== {$name}\n".saidOfCard($card['files'], knownOf($card));
    }
    expect($now)->toBe(onFile(__DIR__.'/said/broken.txt', $now));
});

/** @return array<string, array<string, string>> files of cards that are beyond what a household has */
function oddCards(): array
{
    $many = fn (int $count, callable $line): string => implode('', array_map($line, range(1, $count)));
    $key = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk';
    $user = "#cloud-config\nhostname: wren\nusers:\n  - name: warden\n    ssh_authorized_keys: [\"{$key}\"]\n";
    $wired = fn (string $more): array => [
        'network-config' => "version: 2\nethernets:\n  eth0:\n{$more}",
        'user-data' => $user,
        'meta-data' => "instance-id: wren\n",
    ];
    $addresses = fn (string ...$all): array => $wired(
        "    addresses:\n".implode('', array_map(fn (string $one): string => "      - \"{$one}\"\n", $all)),
    );
    $points = fn (
        int $count,
    ): string => "version: 2\nwifis:\n  wlan0:\n    dhcp4: true\n    regulatory-domain: GB\n".
        "    access-points:\n".
        $many($count, fn (int $i): string => "      n{$i}: {password: \"short{$i}\"}\n");
    $kernel = fn (string $ip): array => ['cmdline.txt' => "console=tty1 rootwait ip={$ip}\n", 'ssh' => ''];
    $block = fn (int $i): string => "network={\n    ssid=\"n{$i}\"\n    psk=\"seeds in bags\"\n}\n";

    return [
        'lengths of prefixes' => $addresses(
            '172.22.8.20/24/8',
            '172.22.8.20/33',
            '172.22.8.20/0',
            '172.22.8.20/1',
            '172.22.8.20/30',
            '172.22.8.20/31',
            '172.22.8.21/32',
            '172.22.8.0/24',
            '172.22.8.255/24',
            '172.22.8.20/024',
            '172.22.8.20/+24',
            'fd4b::1/129',
            'fd4b::1/128',
            'fd4b::1/0',
            'x/24',
            '/24',
        ),
        'an address with settings below it' => $wired(
            "    addresses:\n      - 172.22.8.20/24: {lifetime: 0, label: a}\n      - 172.22.8.21/24: {lifetime: 5}\n",
        ),
        'routes' => $wired(
            "    dhcp4: true\n    routes:\n      - {to: default}\n      - {to: 172.22.9.0/24, scope: link}\n".
                "      - {to: 172.22.9.0/24, scope: global}\n      - {via: 172.22.8.1}\n      - {to: x, via: y}\n".
                "      - {to: default, type: blackhole}\n      - {to: 172.22.9.0/24/8, via: 172.22.8.1}\n",
        ),
        'values that show nothing' => $wired(
            "    dhcp4: {a: b}\n    mtu: \"\"\n    optional: 5\n    wakeonlan: []\n",
        ),
        'a key with a long name' => $wired(
            '    '.LONG_WORD.": 1\n    mtu: ".LONG_WORD."\n    dhcp4: true\n",
        ),
        'links without end' => $wired($many(120, fn (int $i): string => "  e{$i}: {dhcp4: maybe}\n")),
        'radios' => [
            'network-config' => $points(101),
            'user-data' => $user,
            'meta-data' => "instance-id: w\n",
        ],
        'radios, as many as are read' => [
            'network-config' => $points(100),
            'user-data' => $user,
            'meta-data' => "instance-id: w\n",
        ],
        'forty slips of a radio' => [
            'wpa_supplicant.conf' => "country=GB\n".$many(40, fn (int $i): string => "slip{$i}=1\n").$block(1),
            'ssh' => '',
        ],
        'forty-two slips of a radio' => [
            'wpa_supplicant.conf' => "country=GB\n".$many(42, fn (int $i): string => "slip{$i}=1\n").$block(1),
            'ssh' => '',
        ],
        'a hundred networks' => ['wpa_supplicant.conf' => "country=GB\n".$many(100, $block), 'ssh' => ''],
        'a hundred and one networks' => [
            'wpa_supplicant.conf' => "country=GB\n".$many(101, $block),
            'ssh' => '',
        ],
        'signs of a comment in quotes' => [
            'wpa_supplicant.conf' => "country=GB # here\nnetwork={ # one\n ssid=\"a#b\" # c\n psk=\"seeds # in\"#bags\n}\n".
                "network={\n ssid=\"a # b\n key_mgmt=NONE # \"x\" y\n}\n",
            'ssh' => '',
        ],
        'quotes alone' => [
            'wpa_supplicant.conf' => "country=GB\nnetwork={\n ssid=\"\n psk=\"\n}\nnetwork={\n ssid=\"\"\n psk=\"\"\n}\n",
            'ssh' => '',
        ],
        'names as long as may be' => [
            'wpa_supplicant.conf' => "country=GB\n".
                implode(
                    '',
                    array_map(
                        fn (int $letters): string => "network={\n ssid=\"".
                            str_repeat('a', $letters).
                            "\"\n key_mgmt=NONE\n}\n",
                        [31, 32, 33],
                    ),
                ),
            'ssh' => '',
        ],
        'fields of the kernel' => $kernel(
            '172.22.8.20::172.22.8.1:255.255.255.0:wren:eth0:off:1.1.1.1:2.2.2.2:3.3.3.3',
        ),
        'one field of the kernel too many' => $kernel(
            '172.22.8.20::172.22.8.1:255.255.255.0:wren:eth0:off:1:2:3:4',
        ),
        'three fields of the kernel' => $kernel('172.22.8.20::172.22.8.1'),
        'four fields of the kernel' => $kernel('172.22.8.20::172.22.8.1:255.255.255.0'),
        'no client for the kernel' => $kernel('::172.22.8.1:255.255.255.0:wren:eth0:off'),
        'another way for the kernel' => $kernel('172.22.8.20::172.22.8.1:255.255.255.0:wren:eth0:sometimes'),
        'keys that nobody knows' => [
            'user-data' => $user.$many(60, fn (int $i): string => "unheard_of_{$i}: 1\n"),
            'meta-data' => "instance-id: w\n",
        ],
        'keys without end' => [
            'user-data' => "#cloud-config\nusers:\n  - name: warden\n    ssh_authorized_keys:\n".
                $many(110, fn (int $i): string => "      - ssh-ed25519 {$i}\n"),
            'meta-data' => "instance-id: w\n",
        ],
        'accounts without end' => [
            'user-data' => "#cloud-config\nusers:\n".$many(110, fn (int $i): string => "  - name: user{$i}\n"),
            'meta-data' => "instance-id: w\n",
        ],
        'hashes that are tried' => [
            'user-data' => "#cloud-config\nusers:\n".
                $many(
                    6,
                    fn (int $i): string => "  - {name: u{$i}, lock_passwd: false, hashed_passwd: \"".
                        crypt('password', '$6$thistle'.$i.'$').
                        "\"}\n",
                ),
            'meta-data' => "instance-id: w\n",
        ],
        'a mark at the front' => [
            'user-data' => "\xEF\xBB\xBF{$user}",
            'meta-data' => "\xEF\xBB\xBFinstance-id: w\n",
            'network-config' => "\xEF\xBB\xBFversion: 2\r\nethernets: {eth0: {dhcp4: true}}\r\n",
        ],
        'too large' => [
            'user-data' => $user.str_repeat("# words\n", 20_000),
            'meta-data' => "instance-id: w\n",
        ],
        'nothing' => [],
    ];
}

test('what is said of an odd card stays as it was looked through', function (): void {
    $now = '';
    foreach (oddCards() as $name => $files) {
        $now .= "=== {$name}\n".saidOfCard($files);
    }
    expect($now)->toBe(onFile(__DIR__.'/said/odd.txt', $now));
});
