<?php

declare(strict_types=1);

use Burrow\Card\CardFolder;
use Burrow\Card\Linter;

// What the linter says of cards that are beyond what a household has, and of slips that every reader takes.

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

test('a card beyond what a household has is looked over within its bounds', function (array $files): void {
    $findings = (new Linter())->lint(new CardFolder($files));
    expect(count($findings))->toBeLessThan(400);
})->with(fn (): array => array_map(fn (array $files): array => [$files], oddCards()));

// Slips of people who know what they do: the reader takes each, and the box does not do what was meant.
test('what every reader takes and cannot work is found, and the right form beside it is not', function (
    string $file,
    string $wrong,
    string $right,
    string $code,
): void {
    $key = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk';
    $user = "#cloud-config\nhostname: wren\nusers:\n  - name: warden\n    ssh_authorized_keys:\n";
    $codes = fn (string $text): array => (new Linter())->lint(
        new CardFolder(
            match ($file) {
                'user-data' => ['user-data' => $user.strtr($text, ['KEY' => $key]), 'meta-data' => "instance-id: a\n"],
                'network-config' => [
                    'network-config' => "version: 2\nethernets:\n  eth0:\n    addresses: [172.22.8.16/24]\n{$text}",
                    'user-data' => $user."      - {$key}\n",
                    'meta-data' => "instance-id: a\n",
                ],
                'cmdline.txt' => ['cmdline.txt' => "console=tty1 root=PARTUUID=1-02 rootwait {$text}\n"],
                default => [$text => ''],
            },
        ),
    )->codes();
    expect($codes($wrong))->toContain($code)->and($codes($right))->not->toContain($code);
})->with([
    'a key over two lines' => [
        'user-data',
        "      - ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEB\n        AQEBAQEBAQEBAQEBAQEBAQEB warden@desk\n",
        "      - KEY\n",
        'card.key_unusable',
    ],
    'a key with options' => [
        'user-data',
        "      - 'no-pty ssh-ed25519 AAAA'\n",
        "      - 'no-pty,command=\"/usr/bin/seeds -l\" KEY'\n",
        'card.key_unusable',
    ],
    'packages in one text' => [
        'user-data',
        "      - KEY\npackages: samba parted\n",
        "      - KEY\npackages: [samba, parted]\n",
        'card.packages_in_one',
    ],
    'a decimal mode' => [
        'user-data',
        "      - KEY\nwrite_files:\n  - path: /etc/x\n    permissions: 644\n    content: a\n",
        "      - KEY\nwrite_files:\n  - path: /etc/x\n    permissions: 0644\n    content: a\n",
        'card.decimal_mode',
    ],
    'a dash of a text program' => [
        'user-data',
        "      - KEY\nruncmd:\n  - systemctl enable \u{2013}now smbd\n",
        "      - KEY\nruncmd:\n  - systemctl enable --now smbd\n",
        'card.typographic_mark',
    ],
    'quotation marks of a text program' => [
        'user-data',
        "      - KEY\nruncmd:\n  - [sh, -c, \"echo \u{201C}seeds\u{201D}\"]\n",
        "      - KEY\nruncmd:\n  - [sh, -c, \"echo 'seeds'\"]\n",
        'card.typographic_mark',
    ],
    'a router that is the box' => [
        'network-config',
        "    routes:\n      - {to: default, via: 172.22.8.16}\n",
        "    routes:\n      - {to: default, via: 172.22.8.1}\n",
        'card.gateway_is_itself',
    ],
    'an address on two interfaces' => [
        'network-config',
        "  eth1:\n    addresses: [172.22.8.16/24]\n",
        "  eth1:\n    addresses: [172.22.9.16/24]\n",
        'card.address_on_two_links',
    ],
    'a route over nobody' => [
        'network-config',
        "    routes:\n      - {to: default}\n",
        "    routes:\n      - {to: 172.22.9.0/24, scope: link}\n",
        'card.route_nowhere',
    ],
    'a route over a network' => [
        'network-config',
        "    routes:\n      - {to: default, via: 172.22.8.1/24}\n",
        "    routes:\n      - {to: default, via: 172.22.8.1}\n",
        'card.route_nowhere',
    ],
    'the netmask in the place of the server' => [
        'cmdline.txt',
        'ip=172.22.8.16:255.255.255.0:172.22.8.1::wren:eth0:off',
        'ip=172.22.8.16::172.22.8.1:255.255.255.0:wren:eth0:off',
        'card.mask_as_server',
    ],
    'the kernel as its own router' => [
        'cmdline.txt',
        'ip=172.22.8.16::172.22.8.16:255.255.255.0:wren:eth0:off',
        'ip=172.22.8.16::172.22.8.1:255.255.255.0:wren:eth0:off',
        'card.gateway_is_itself',
    ],
    'an extension twice' => ['', 'ssh.txt.txt', 'ssh', 'card.marker_extension'],
]);
