<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;

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
    'a line break' => ['name: larder', 'name: "larder\ndhcp-host=x"', 'addresses.not_carried'],
    'a blank' => ['aliases: [files]', 'aliases: ["fi les"]', 'addresses.not_carried'],
    'a hash' => ['name: chalk', 'name: "#chalk"', 'addresses.not_carried'],
    'a domain' => ['thistledown.home.arpa', 'thistledown home.arpa', 'addresses.not_carried'],
    'an account' => ['user: warden', 'user: "warden\n  ProxyCommand x"', 'addresses.not_carried'],
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
