<?php

declare(strict_types=1);

// What tests/Core/Ports/told has on record of packets that forty packet filters let in: the kernel is asked again.

test('the kernel lets in what it let in', function (): void {
    $folder = scratch();
    foreach (told('packets', 'Ports') as $at => ['listed' => $rules]) {
        file_put_contents(sprintf('%s/%02d.nft', $folder, $at), $rules);
    }
    $id = 'kf'.bin2hex(random_bytes(3));
    try {
        $made = run(
            <<<SH
            set -e
            ip netns add {$id}s; ip netns add {$id}c
            ip link add {$id}0 netns {$id}s type veth peer name {$id}1 netns {$id}c
            ip -n {$id}s link set {$id}0 name lan0
            ip -n {$id}s addr add 172.22.8.10/24 dev lan0
            ip -n {$id}s link set lan0 up
            ip -n {$id}s route add 198.51.100.0/24 dev lan0
            ip -n {$id}c link set {$id}1 name eth0
            for a in 172.22.8.20 172.22.8.33 172.22.8.199 198.51.100.7; do ip -n {$id}c addr add \$a/24 dev eth0; done
            ip -n {$id}c link set eth0 up
            SH
            ,
        );
        expect($made['exit'])->toBe(0, $made['all']);
        $said = run('timeout 120 python3 '.__DIR__."/packets.py {$id}s {$id}c {$folder}");
    } finally {
        exec("ip netns del {$id}s; ip netns del {$id}c");
    }
    expect($said['exit'])->toBe(0, $said['all']);
    $in = [];
    foreach (explode("\n", trim($said['out'])) as $line) {
        [$set, $packet] = explode(' ', $line, 2);
        $in[(int) $set][] = $packet;
    }
    foreach (told('packets', 'Ports') as $at => ['listed' => $rules, 'in' => $before]) {
        $now = $in[$at] ?? [];
        sort($now);
        sort($before);
        expect([$rules, $now])->toBe([$rules, $before]);
    }
});
