<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\Tunnel\TunnelInterface;
use Burrow\Reach\Tunnel\TunnelAnswer;
use Burrow\Reach\Tunnel\TunnelKey;

// Tunnels, against wg, wg-quick and two machines that meet through one.

/** @return array{string, string} private and public, as wg makes them */
function keyPair(): array
{
    $secret = trim(run('wg genkey')['out']);

    return [$secret, trim(run('wg pubkey', $secret)['out'])];
}

function described(array $with): TunnelAnswer
{
    return TunnelAnswer::to(
        (string) json_encode($with),
        (string) file_get_contents('core/Reach/schema/tunnel.schema.json'),
        'tunnel',
    );
}

test('what wg takes for a key is one, and what it refuses is none', function (): void {
    mt_srand(7748);
    $texts = [
        keyPair()[1],
        'AAAA',
        '',
        str_repeat('A', 43).'=',
        str_repeat('A', 42).'B=',
        str_repeat('A', 44),
    ];
    for ($i = 0; $i < 60; $i++) {
        $key = base64_encode(random_bytes(32));
        $texts[] = $key;
        $key[mt_rand(0, 43)] = chr(mt_rand(33, 126));
        $texts[] = $key;
    }
    foreach ($texts as $text) {
        // wg pubkey reads a private key by the same grammar.
        $taken = run('wg pubkey', "{$text}\n")['exit'] === 0;
        expect([$text, TunnelKey::isOne($text)])->toBe([$text, $taken]);
    }
});

test(
    'the files of a tunnel are those that wg-quick reads, and what it makes of them is what was described',
    function (): void {
        [$secret, $open] = keyPair();
        [, $phone] = keyPair();
        [, $laptop] = keyPair();
        $answer = described([
            'endpoint' => ['outside' => 'seeds.example.net', 'public_key' => $open, 'port' => 41000],
            'house' => ['172.22.8.0/24'],
            'names' => ['172.22.8.10'],
            'devices' => [
                ['name' => "warden's phone", 'public_key' => $phone],
                ['name' => 'desk laptop', 'public_key' => $laptop, 'everything' => true, 'keepalive' => 0],
            ],
        ]);
        $folder = scratch();
        foreach ($answer->files() as $name => $text) {
            $file = $folder.'/'.preg_replace('/\W/', '', (string) $name).'.conf';
            file_put_contents(
                $file,
                str_replace("[Interface]\n", "[Interface]\nPrivateKey = {$secret}\n", $text),
            );
            chmod($file, 0600);
            $stripped = run("wg-quick strip {$file}");
            expect([$name, $stripped['exit'], $stripped['err']])->toBe([$name, 0, '']);
            // Our reader sees in the whole file what wg's own parser is given.
            $read = fn (string $said): array => array_map(
                fn (TunnelInterface $end): array => [$end->listenPort, json_encode($end->peers)],
                Intake::standard()->read('tunnel', $said)->all(TunnelInterface::class),
            );
            expect($read((string) file_get_contents($file)))->toBe($read($stripped['out']));
        }
        expect($answer->files())->toHaveCount(3);
    },
);

test('a device comes in through the tunnel that was described, and wg shows what we read', function (): void {
    $id = 'kt'.bin2hex(random_bytes(3));
    $made = run(
        <<<SH
        set -e
        ip netns add {$id}e; ip netns add {$id}d
        ip link add {$id}0 netns {$id}e type veth peer name {$id}1 netns {$id}d
        ip -n {$id}e link set {$id}0 name eth0; ip -n {$id}d link set {$id}1 name eth0
        ip -n {$id}e addr add 203.0.113.27/24 dev eth0; ip -n {$id}d addr add 203.0.113.90/24 dev eth0
        ip -n {$id}e addr add 172.22.8.12/32 dev lo
        for one in e d; do for dev in lo eth0; do ip -n {$id}\$one link set \$dev up; done; done
        SH
        ,
    );
    register_shutdown_function(fn () => exec("ip netns del {$id}e; ip netns del {$id}d"));
    expect($made['all'])->toBe('');
    [$secret, $open] = keyPair();
    [$own, $phone] = keyPair();
    $answer = described([
        'endpoint' => ['outside' => '203.0.113.27', 'public_key' => $open],
        'wan' => ['kind' => 'fixed'],
        'house' => ['172.22.8.0/24'],
        'names' => ['172.22.8.10'],
        'devices' => [['name' => 'phone', 'public_key' => $phone]],
    ]);
    $folder = scratch();
    $name = substr($id, 0, 8);
    // The endpoint's key lies in a file of its own, which the file names; here that folder is this test's.
    mkdir("{$folder}/etc");
    file_put_contents("{$folder}/etc/{$name}e.key", $secret);
    file_put_contents(
        "{$folder}/{$name}e.conf",
        str_replace('/etc/wireguard/', "{$folder}/etc/", $answer->files()['endpoint']),
    );
    file_put_contents(
        "{$folder}/{$name}d.conf",
        str_replace("[Interface]\n", "[Interface]\nPrivateKey = {$own}\n", $answer->files()['phone']),
    );
    // Whoever tells a system its resolver is not there in a namespace.
    file_put_contents("{$folder}/resolvconf", "#!/bin/sh\ncat >/dev/null\n");
    run("chmod 755 {$folder}/resolvconf; chmod 600 {$folder}/*.conf");
    $at = fn (string $end, string $command): array => run(
        "timeout 40 ip netns exec {$id}{$end} env PATH={$folder}:\$PATH WG_QUICK_USERSPACE_IMPLEMENTATION=wireguard-go bash -c ".
            escapeshellarg($command),
    );
    $up = $at('e', "wg-quick up {$folder}/{$name}e.conf");
    expect([$up['exit'], $up['exit'] === 0 ? '' : $up['all']])->toBe([0, '']);
    $up = $at('d', "wg-quick up {$folder}/{$name}d.conf");
    expect([$up['exit'], $up['exit'] === 0 ? '' : $up['all']])->toBe([0, '']);

    // From the device into the house, and the largest packet that is not cut.
    $inside = $answer->plan->mtu->bytes - 28;
    $ping = $at('d', "ping -c 2 -W 3 -M do -s {$inside} 172.22.8.12");
    expect($ping['out'])->toContain('2 received');
    $show = $at('e', "wg show {$name}e");
    $read = Intake::standard()->read('tunnel', $show['out'])->all(TunnelInterface::class);
    expect($read)
        ->toHaveCount(1)
        ->and($read[0]->publicKey)
        ->toBe($open)
        ->and($read[0]->peers[0]->publicKey)
        ->toBe($phone)
        ->and($read[0]->peers[0]->handshake)
        ->toBeLessThan(30)
        ->and($read[0]->peers[0]->receivedBytes)
        ->toBeGreaterThan(2 * $inside);
    $dump = Intake::standard()
        ->read('tunnel', $at('e', "wg show all dump | grep {$name}e")['out'])
        ->all(TunnelInterface::class);
    expect($dump[0]->peers[0]->handshake)
        ->toBeGreaterThan(time() - 60)
        ->and($dump[0]->interface)
        ->toBe("{$name}e");

    // Taken back: as the page of a lost device says it.
    $at('e', "wg set {$name}e peer {$phone} remove");
    expect($at('d', 'ping -c 1 -W 2 172.22.8.12')['exit'])->not->toBe(0);
    $at('d', "wg-quick down {$folder}/{$name}d.conf");
    $at('e', "wg-quick down {$folder}/{$name}e.conf");
});
