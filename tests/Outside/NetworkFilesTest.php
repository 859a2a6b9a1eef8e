<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;
use Tests\Support\SshServer;

// Files of names and addresses, read by the programs that will read them.

const KEY_OF_LARDER = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIMWH4EN1JEiFILUR1VHuV/TmlHwRyjSYbpDbRKSfA/hX';

const HOUSE_NETWORK = <<<'YAML'
networks:
  - name: home
    prefix: 172.22.8.0/24
    gateway: 172.22.8.1
    pools: [{from: 172.22.8.100, to: 172.22.8.149}, {from: 172.22.8.160, to: 172.22.8.199}]
    dns: [172.22.8.11]
    domain: thistledown.home.arpa
    serial: 2026112601
    hosts:
      - {name: larder, address: 172.22.8.10, mac: "02:4b:1e:90:00:01", ipv6: "fd4b:1e90:7:8::10", aliases: [files], user: warden, host_keys: ["KEY"]}
      - {name: Sieve, address: 172.22.8.11, mac: 024b.1e90.0002, port: 2222, filters: true, host_keys: ["KEY"]}
      - {name: chalk, address: 172.22.8.20, by: static}
      - {name: lantern, mac: "02:4b:1e:90:00:03"}
YAML;

/** The file of this kind, in a folder of its own inside the userland. */
function writtenFile(string $kind, string $values = HOUSE_NETWORK): array
{
    $file = scratch().'/values.yaml';
    file_put_contents($file, str_replace('KEY', KEY_OF_LARDER, $values));

    return json_decode(run("./burrow write {$kind} {$file} --json")['out'], true);
}

test('a file is taken by the program that reads it', function (string $kind, string $command): void {
    $root = userland();
    $written = writtenFile($kind);
    expect($written['text'])->toBeString();
    file_put_contents("{$root}/tmp/made", $written['text']);
    $said = run('chroot '.escapeshellarg($root).' sh -c '.escapeshellarg($command));
    expect([$said['exit'], $said['exit'] === 0 ? '' : $said['all']])->toBe([0, '']);
})->with([
    ['dnsmasq-hosts', 'dnsmasq --test --conf-file=/tmp/made'],
    ['dnsmasq-names', 'dnsmasq --test --conf-file=/tmp/made'],
    ['unbound', 'unbound-checkconf /tmp/made'],
    // A test of it opens no lease file, but wants its folders.
    ['kea', 'mkdir -p /run/kea /var/lib/kea && kea-dhcp4 -t /tmp/made'],
    ['dhcpd', 'dhcpd -t -cf /tmp/made'],
    ['zone', 'named-checkzone thistledown.home.arpa /tmp/made'],
    ['zone-reverse', 'named-checkzone 8.22.172.in-addr.arpa /tmp/made'],
    [
        'hosts',
        'cp /tmp/made /etc/hosts && getent hosts 172.22.8.10 | grep -q "larder.thistledown.home.arpa larder files" && getent ahostsv6 files | grep -q fd4b:1e90:7:8::10',
    ],
]);

test('a box is found by its entry, and its key by every one of its names', function (): void {
    $folder = scratch();
    file_put_contents("{$folder}/config", writtenFile('ssh-config')['text']);
    $asked = fn (string $host): string => run(
        "ssh -G -F {$folder}/config {$host} | grep -E '^(hostname|user|port|hostkeyalias) '",
    )['out'];
    expect($asked('larder'))
        ->toContain('hostname 172.22.8.10')
        ->toContain('user warden')
        ->toContain('hostkeyalias larder.thistledown.home.arpa')
        ->and($asked('sieve.thistledown.home.arpa'))
        ->toContain('port 2222')
        ->and($asked('files'))
        ->toContain('hostname 172.22.8.10');

    $known = writtenFile('known-hosts')['text'];
    file_put_contents("{$folder}/known", $known);
    foreach (
        [
            'larder',
            'larder.thistledown.home.arpa',
            '172.22.8.10',
            'fd4b:1e90:7:8::10',
            '[sieve]:2222',
            '[172.22.8.11]:2222',
        ] as $host
    ) {
        expect(run("ssh-keygen -F '{$host}' -f {$folder}/known")['out'])->toContain(explode(' ', KEY_OF_LARDER)[1]);
    }
    // And back by our own reader.
    $keys = Intake::standard()->read('hostkeys', $known)->all(KeySeen::class);
    expect(count(array_filter($keys, fn (KeySeen $key): bool => $key->isFor('larder'))))->toBe(1);
});

test('ssh with both files knows a server on another port, and refuses another key there', function (): void {
    $folder = scratch();
    $server = new SshServer('127.0.0.1', $folder);
    run("ssh-keygen -q -t ed25519 -N '' -f {$folder}/other");
    $says = function (string $key) use ($folder, $server): string {
        $values = <<<YAML
        networks:
          - prefix: 127.0.0.0/8
            domain: thistledown.home.arpa
            hosts:
              - {name: sieve, address: 127.0.0.1, by: static, user: warden, port: {$server->port}, host_keys: ["KEY"]}
        YAML;
        $values = str_replace('KEY', trim((string) file_get_contents("{$folder}/{$key}.pub")), $values);
        file_put_contents("{$folder}/config", writtenFile('ssh-config', $values)['text']);
        file_put_contents("{$folder}/known", writtenFile('known-hosts', $values)['text']);

        return run(
            "ssh -F {$folder}/config -o UserKnownHostsFile={$folder}/known -o GlobalKnownHostsFile=/dev/null -o StrictHostKeyChecking=yes -o BatchMode=yes sieve true",
        )['all'];
    };
    expect($says('host'))
        ->toContain('Permission denied')
        ->and($says('other'))
        ->toContain('Host key verification failed');
});

test('a value that the format cannot carry stops, and nothing is written', function (
    string $from,
    string $to,
    string $code,
): void {
    foreach (['hosts', 'dnsmasq-hosts', 'kea', 'zone', 'ssh-config'] as $kind) {
        $written = writtenFile($kind, str_replace($from, $to, HOUSE_NETWORK));
        expect($written['text'])->toBeNull()->and(array_column($written['findings'], 'code'))->toContain($code);
    }
})->with([
    'a comma' => ['name: larder', 'name: "lar,der"', 'addresses.not_carried'],
    'a line break' => ['name: larder', 'name: "larder\ndhcp-host=x"', 'yaml.control_in_value'],
    'a blank' => ['aliases: [files]', 'aliases: ["fi les"]', 'addresses.not_carried'],
    'a hash' => ['name: chalk', 'name: "#chalk"', 'addresses.not_carried'],
    'a domain' => ['thistledown.home.arpa', 'thistledown home.arpa', 'addresses.not_carried'],
    'an account' => ['user: warden', 'user: "warden\n  ProxyCommand x"', 'yaml.control_in_value'],
    'an alias that is a host' => ['aliases: [files]', 'aliases: [chalk]', 'addresses.name_twice'],
    'an address twice' => ['172.22.8.20', '172.22.8.10', 'addresses.address_twice'],
    'an address outside' => ['172.22.8.20', '172.22.9.20', 'addresses.outside_prefix'],
    'no address' => ['172.22.8.20', '172.22.8', 'addresses.not_read'],
]);

test('the kinds are listed with their schemas, and an unknown one is refused', function (): void {
    expect(run('./burrow write')['out'])
        ->toContain('zone-reverse')
        ->toContain('core/Addresses/schema/network.schema.json')
        ->and(run('./burrow write tea')['exit'])
        ->toBe(2);
});

const OWN_ADDRESS = "interface: eth0\naddress: 172.22.8.16/24\ngateway: 172.22.8.1\ndns: [172.22.8.10, 'fd4b:1e90:7:8::10']\ndomain: Thistledown.home.arpa\nhost: wren\n";

/** What a file of systemd-networkd says, key by key. */
function networkSays(string $text): array
{
    preg_match_all('/^(Name|Address|Gateway|DNS|Domains)=(.*)$/m', $text, $lines, PREG_SET_ORDER);
    $said = array_map(fn (array $line): string => "{$line[1]} {$line[2]}", $lines);
    sort($said);

    return $said;
}

test('an address of a box\'s own means the same in both files, as netplan itself sees it', function (): void {
    $root = scratch();
    mkdir("{$root}/etc/netplan", 0700, true);
    file_put_contents("{$root}/etc/netplan/10-own.yaml", writtenFile('netplan', OWN_ADDRESS)['text']);
    chmod("{$root}/etc/netplan/10-own.yaml", 0600);
    $said = run("netplan generate --root-dir {$root}");
    $made = glob("{$root}/run/systemd/network/*.network") ?: [];
    expect([$said['exit'], count($made)])
        ->toBe([0, 1])
        ->and(networkSays((string) file_get_contents($made[0])))
        ->toBe(networkSays(writtenFile('networkd', OWN_ADDRESS)['text']));
});

test('beside the first-boot file a radio keeps its networks, and a VLAN is one', function (): void {
    $made = function (string $own, string $first): array {
        $root = scratch();
        mkdir("{$root}/etc/netplan", 0700, true);
        file_put_contents("{$root}/etc/netplan/50-first.yaml", $first);
        file_put_contents("{$root}/etc/netplan/60-own.yaml", writtenFile('netplan', $own)['text']);
        run("chmod 600 {$root}/etc/netplan/*");
        $said = run("netplan generate --root-dir {$root}");
        expect([$said['exit'], $said['all']])->toBe([0, $said['all']]);

        return [$root, fn (string $file): string => (string) @file_get_contents("{$root}/run/{$file}")];
    };
    $first =
        "network:\n  version: 2\n  wifis:\n    wlan0:\n      dhcp4: true\n      access-points:\n        seeds: {password: 'three dry seed heads'}\n";
    [, $file] = $made(str_replace('eth0', 'wlan0', OWN_ADDRESS), $first);
    expect($file('netplan/wpa-wlan0.conf'))
        ->toContain('ssid="seeds"')
        ->and($file('systemd/network/10-netplan-wlan0.network'))
        ->toContain('Address=172.22.8.16/24')
        ->not->toContain('DHCP=');
    [, $file] = $made(str_replace('eth0', 'eth0.7', OWN_ADDRESS), "network: {version: 2}\n");
    expect($file('systemd/network/10-netplan-eth0.7.netdev'))
        ->toContain('Id=7')
        ->and($file('systemd/network/10-netplan-eth0.network'))
        ->toContain('VLAN=eth0.7')
        ->and($file('systemd/network/10-netplan-eth0.7.network'))
        ->toContain('Address=172.22.8.16/24');
    // The kernel has no radio network when it sets its address.
    expect(writtenFile('kernel-address', str_replace('eth0', 'wlan0', OWN_ADDRESS))['findings'][0]['code'])->toBe(
        'addresses.not_carried',
    );
});

test('a domain may end in the dot of the root', function (string $kind): void {
    $dotted = str_replace('Thistledown.home.arpa', 'thistledown.home.arpa.', OWN_ADDRESS);
    expect(writtenFile($kind, $dotted)['text'])->toBe(writtenFile($kind, OWN_ADDRESS)['text']);
})->with(['netplan', 'networkd', 'kernel-address']);

test('the word for the kernel stands in one line', function (): void {
    expect(writtenFile('kernel-address', OWN_ADDRESS)['text'])->toBe(
        'ip=172.22.8.16::172.22.8.1:255.255.255.0:wren:eth0:off:172.22.8.10',
    );
});

test('an address of its own that cannot be is said at its line', function (
    string $from,
    string $to,
    string $code,
    int $line,
): void {
    foreach (['netplan', 'networkd', 'kernel-address'] as $kind) {
        $written = writtenFile($kind, str_replace($from, $to, OWN_ADDRESS));
        expect([$written['text'], $written['findings'][0]['code'], $written['findings'][0]['line']])->toBe([
            null,
            $code,
            $line,
        ]);
    }
})->with([
    'no length' => ['172.22.8.16/24', '172.22.8.16', 'addresses.not_read', 2],
    'the network itself' => ['172.22.8.16/24', '172.22.8.0/24', 'addresses.network_address', 2],
    'everybody' => ['172.22.8.16/24', '172.22.8.255/24', 'addresses.broadcast', 2],
    'router elsewhere' => ['gateway: 172.22.8.1', 'gateway: 172.22.9.1', 'addresses.outside_prefix', 3],
    'an interface with a line break' => ['interface: eth0', 'interface: "eth0\nx"', 'yaml.control_in_value', 1],
    'the router\'s own address' => ['gateway: 172.22.8.1', 'gateway: 172.22.8.16', 'addresses.router', 3],
    'a host with blanks' => ['host: wren', 'host: "wren init=/bin/sh"', 'addresses.not_carried', 6],
]);
