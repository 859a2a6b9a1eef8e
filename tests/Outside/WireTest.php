<?php

declare(strict_types=1);

use Burrow\Intake\Intake;

// Real servers and a real client on a cable of their own, between two network namespaces; what their tools print is
// read, and held against what other programs know of the same cable.

const CLIENT_MAC = '02:4b:1e:90:00:07';

/** The two ends of a cable and the userland behind both; torn down when the test process ends. */
final class Wire
{
    public readonly string $root;

    private readonly string $id;

    public function __construct()
    {
        $this->root = userland();
        $this->id = 'kb'.bin2hex(random_bytes(3));
        $made = run(
            <<<SH
            set -e
            ip netns add {$this->id}s
            ip netns add {$this->id}c
            ip link add {$this->id}0 netns {$this->id}s address 02:4b:1e:90:00:01 \
                type veth peer name {$this->id}1 netns {$this->id}c address 02:4b:1e:90:00:07
            ip -n {$this->id}s link set {$this->id}0 name lan0
            ip -n {$this->id}c link set {$this->id}1 name eth0
            ip -n {$this->id}s addr add 172.22.8.1/24 dev lan0
            ip -n {$this->id}s addr add fd4b:1e90:7:8::1/64 nodad dev lan0
            ip -n {$this->id}s link set lan0 up
            ip -n {$this->id}s link set lo up
            ip -n {$this->id}c link set eth0 up
            ip -n {$this->id}c link set lo up
            SH
            ,
        );
        register_shutdown_function(fn () => exec("ip netns del {$this->id}s; ip netns del {$this->id}c"));
        $made['exit'] === 0 || throw new RuntimeException($made['all']);
        run("mkdir -p {$this->root}/run/kea {$this->root}/tmp/w && chmod 777 {$this->root}/tmp/w");
        $this->client('dhclient.conf', "send host-name \"we{r}n\";\nsend dhcp-client-identifier \"wren-\\\"1\";\n");
    }

    public function client(string $file, string $text): void
    {
        file_put_contents("{$this->root}/tmp/w/{$file}", $text);
        chmod("{$this->root}/tmp/w/{$file}", 0666);
    }

    /** What is typed at one end, inside the userland. */
    public function at(string $end, string $command): array
    {
        return run(
            "timeout 60 ip netns exec {$this->id}{$end} chroot {$this->root} sh -c ".escapeshellarg($command),
        );
    }

    public function text(string $file): string
    {
        return (string) file_get_contents("{$this->root}/tmp/w/{$file}");
    }

    /** The server runs while the client asks for an address and says what it got. */
    public function lease(string $server, string $family = '4'): string
    {
        $said = $this->at('s', "{$server} >/tmp/w/server.log 2>&1 & echo \$! >/tmp/w/server.pid; sleep 0.1");
        $this->until(
            fn (): bool => str_contains($this->at('s', 'ss -lnup')['out'], $family === '4' ? ':67 ' : ':547 ') ||
                str_contains($this->text('server.log'), 'STARTED'),
        );
        $this->client('client.leases', '');
        $asked = $this->at(
            'c',
            "dhclient -{$family} -1 -v -cf /tmp/w/dhclient.conf -lf /tmp/w/client.leases -pf /tmp/w/client.pid -sf /bin/true eth0; kill \$(cat /tmp/w/client.pid)",
        );
        sleep(1);
        $this->at('s', 'kill $(cat /tmp/w/server.pid)');
        $found =
            preg_match(
                '/(?:bound to |iaaddr |IAADDR )([0-9a-f.:]+)/',
                $asked['all'].$this->text('client.leases'),
                $m,
            ) === 1;

        return $found
            ? rtrim($m[1], '.')
            : throw new RuntimeException($said['all'].$asked['all'].$this->text('server.log'));
    }

    public function until(callable $is): void
    {
        for ($end = microtime(true) + 10; microtime(true) < $end && ! $is(); usleep(100_000));
    }
}

function wire(): Wire
{
    static $wire = null;

    return $wire ??= new Wire();
}

function factsRead(string $kind, string $text): array
{
    return json_decode((string) json_encode(Intake::standard()->read($kind, $text)), true)['facts'];
}

test('a real dnsmasq keeps its leases, and we read them', function (): void {
    $wire = wire();
    $run =
        'dnsmasq --no-daemon --conf-file=/dev/null --interface=lan0 --bind-interfaces --dhcp-leasefile=/tmp/w/dnsmasq --user=root --no-resolv --dhcp-authoritative';
    $got = $wire->lease("{$run} --dhcp-range=172.22.8.100,172.22.8.199,2h");
    $facts = factsRead('leases', $wire->text('dnsmasq'));
    expect($facts)
        ->toHaveCount(1)
        ->and($facts[0])
        ->toMatchArray([
            'address' => $got,
            'mac' => CLIENT_MAC,
            'name' => null,
            'client_id' => bin2hexed('wren-"1'),
        ])
        ->and(abs($facts[0]['expires'] - time() - 7200))
        ->toBeLessThan(30);
    $got = $wire->lease("{$run} --enable-ra --dhcp-range=fd4b:1e90:7:8::100,fd4b:1e90:7:8::1ff,64,2h", '6');
    $six = array_values(
        array_filter(
            factsRead('leases', $wire->text('dnsmasq')),
            fn (array $one): bool => str_contains($one['address'], ':'),
        ),
    );
    expect([$six[0]['address'], $six[0]['mac']])->toBe([$got, CLIENT_MAC]);
});

test('a real Kea, fed with our own file, keeps its leases, and we read them', function (): void {
    $wire = wire();
    $values = scratch().'/values.yaml';
    file_put_contents(
        $values,
        "networks:\n  - prefix: 172.22.8.0/24\n    gateway: 172.22.8.1\n    pools: [{from: 172.22.8.100, to: 172.22.8.199}]\n    hosts:\n      - {name: wren, address: 172.22.8.16, mac: \"".
            CLIENT_MAC.
            "\"}\n",
    );
    $config = json_decode(run("./burrow write kea {$values}")['out'], true);
    $config['Dhcp4']['interfaces-config'] = ['interfaces' => ['lan0'], 'dhcp-socket-type' => 'raw'];
    $config['Dhcp4']['lease-database']['name'] = '/tmp/w/kea.csv';
    $wire->client('kea.json', (string) json_encode($config));
    // The reservation that we wrote is what the client gets.
    expect($wire->lease('kea-dhcp4 -c /tmp/w/kea.json'))->toBe('172.22.8.16');
    $facts = factsRead('leases', $wire->text('kea.csv'));
    expect($facts)
        ->toHaveCount(1)
        ->and($facts[0])
        ->toMatchArray([
            'address' => '172.22.8.16',
            'mac' => CLIENT_MAC,
            'name' => 'wren',
            'state' => 'active',
            'client_id' => bin2hexed('wren-"1'),
        ]);
});

test('a real dhcpd, fed with our own file, keeps its leases, and we read them', function (): void {
    $wire = wire();
    $values = scratch().'/values.yaml';
    file_put_contents(
        $values,
        "networks:\n  - prefix: 172.22.8.0/24\n    pools: [{from: 172.22.8.100, to: 172.22.8.199}]\n",
    );
    $wire->client('dhcpd.conf', run("./burrow write dhcpd {$values}")['out']);
    $wire->client('dhcpd.leases', '');
    $got = $wire->lease('dhcpd -4 -f -cf /tmp/w/dhcpd.conf -lf /tmp/w/dhcpd.leases --no-pid lan0');
    $facts = factsRead('leases', $wire->text('dhcpd.leases'));
    expect($facts)
        ->toHaveCount(1)
        ->and($facts[0])
        ->toMatchArray([
            'address' => $got,
            'mac' => CLIENT_MAC,
            'name' => 'we{r}n',
            'state' => 'active',
            'client_id' => bin2hexed('wren-"1'),
        ]);
    $wire->client(
        'dhcpd6.conf',
        "default-lease-time 7200;\nauthoritative;\nsubnet6 fd4b:1e90:7:8::/64 { range6 fd4b:1e90:7:8::100 fd4b:1e90:7:8::1ff; }\n",
    );
    $wire->client('dhcpd6.leases', '');
    $got = $wire->lease('dhcpd -6 -f -cf /tmp/w/dhcpd6.conf -lf /tmp/w/dhcpd6.leases --no-pid lan0', '6');
    $facts = factsRead('leases', $wire->text('dhcpd6.leases'));
    expect([$facts[0]['address'], $facts[0]['mac'], $facts[0]['state']])->toBe([$got, CLIENT_MAC, 'active']);
});

test('neighbours and own addresses in every form are one and the same cable', function (): void {
    $wire = wire();
    $wire->at(
        'c',
        'ip addr add 172.22.8.107/24 dev eth0; ip route add default via 172.22.8.1 metric 75; ping -c 1 172.22.8.1; ping -c 1 -W 1 172.22.8.99',
    );
    $json = json_decode($wire->at('c', 'ip -j neigh')['out'], true);
    $known = array_column($json, 'lladdr', 'dst');
    foreach (['ip neigh', 'ip -j neigh', 'ip -s neigh', 'cat /proc/net/arp', 'arp -an', 'arp -n'] as $command) {
        $facts = array_column(factsRead('neighbours', $wire->at('c', $command)['out']), 'mac', 'address');
        expect([$command, $facts['172.22.8.1']])
            ->toBe([$command, $known['172.22.8.1']])
            ->and($facts['172.22.8.99'] ?? null)
            ->toBeNull();
    }
    foreach (['ip addr', 'ip -j addr', 'ip -o addr', 'ifconfig eth0'] as $command) {
        $own = array_values(
            array_filter(
                factsRead(
                    'own-address',
                    $wire->at('c', $command)['out']."\n".$wire->at('c', 'ip route')['out'],
                ),
                fn (array $one): bool => $one['address'] === '172.22.8.107',
            ),
        );
        $own = str_contains($command, '-j')
            ? factsRead('own-address', $wire->at('c', 'ip -j addr')['out'].$wire->at('c', 'ip -j route')['out'])
            : $own;
        expect([
            $command,
            ...array_values(
                array_intersect_key($own[0], array_flip(['interface', 'address', 'prefix', 'gateway', 'metric'])),
            ),
        ])->toBe([$command, 'eth0', '172.22.8.107', 24, '172.22.8.1', 75]);
    }
});

test('attempts and look-ups are what they were', function (): void {
    $wire = wire();
    $wire->at(
        's',
        'dnsmasq --conf-file=/dev/null --interface=lan0 --bind-interfaces --user=root --no-resolv --address=/ads.example/ --host-record=wren.thistledown.home.arpa,172.22.8.16 --pid-file=/tmp/w/names.pid',
    );
    $state = fn (string $command): array => array_map(
        fn (array $one): array => [$one['address'], $one['port'], $one['state']],
        factsRead('reach', $wire->at('c', $command)['all']),
    );
    expect($state('ping -c 2 -i 0.2 172.22.8.1'))
        ->toBe([['172.22.8.1', null, 'open']])
        ->and($state('ping -c 1 -W 1 172.22.8.98'))
        ->toBe([['172.22.8.98', null, 'silent']])
        ->and($state('arping -c 1 -I eth0 172.22.8.1')[0][2] ?? 'open')
        ->toBe('open');
    $said = fn (string $command): array => array_map(
        fn (array $one): array => [$one['name'], $one['status'], $one['value']],
        factsRead('lookup', $wire->at('c', $command)['all']),
    );
    foreach (
        ['dig @172.22.8.1 %s', 'nslookup %s 172.22.8.1', 'dig +noall +answer +comments +question @172.22.8.1 %s'] as $command
    ) {
        expect([$command, $said(sprintf($command, 'wren.thistledown.home.arpa'))])
            ->toBe([$command, [['wren.thistledown.home.arpa', 'NOERROR', '172.22.8.16']]])
            ->and([$command, $said(sprintf($command, 'ads.example'))])
            ->toBe([$command, [['ads.example', 'NXDOMAIN', null]]]);
    }
    expect($said('dig +time=1 +tries=1 @172.22.8.98 wren')[0])
        ->toBe(['wren', 'TIMEOUT', null])
        ->and($said('dig +time=1 +tries=1 @172.22.8.107 wren')[0])
        ->toBe(['wren', 'UNREACHABLE', null]);
    $wire->at('s', 'kill $(cat /tmp/w/names.pid)');
});

/** Bytes in hexadecimal with colons. */
function bin2hexed(string $bytes): string
{
    return implode(':', str_split(bin2hex($bytes), 2));
}
