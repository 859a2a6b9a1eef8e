<?php

declare(strict_types=1);

use App\Probe\OwnNeighbours;

// Echoes of a real kernel, in a network namespace of their own; the system's own ping is asked the same.

/** @return array<string, bool> what PingProbe hears in a namespace whose groups may ask for echoes, or may not */
function echoesIn(string $groups, string ...$hosts): array
{
    $php =
        'require "vendor/autoload.php";'.
        'echo json_encode((new App\Probe\PingProbe(1.0))->echoes(array_slice($argv, 1)));';
    $asked = implode(' ', array_map(escapeshellarg(...), $hosts));
    $said = run(
        'unshare -n sh -c '.
            escapeshellarg(
                'ip link set lo up; ip addr add 172.22.8.1/32 dev lo; '.
                    'ip link add quiet type veth peer name far; ip addr add 172.22.8.2/24 dev quiet; '.
                    'ip link set quiet up; ip link set far up; '.
                    "echo '{$groups}' > /proc/sys/net/ipv4/ping_group_range; ".
                    'php -r '.
                    escapeshellarg($php).
                    " {$asked}",
            ),
    );

    return json_decode($said['out'], true);
}

test(
    'who sends an echo back is there, as the system’s own ping says; who does not is not',
    function (): void {
        $hosts = ['127.0.0.1', '172.22.8.1', '172.22.8.9', '203.0.113.5'];
        $heard = echoesIn('0 2147483647', ...$hosts);
        $asked = implode(' ', $hosts);
        $ping = run(
            'unshare -n sh -c '.
                escapeshellarg(
                    'ip link set lo up; ip addr add 172.22.8.1/32 dev lo; '.
                        "for h in {$asked}; do ping -n -c1 -W1 \$h >/dev/null 2>&1 && echo \$h; done; true",
                ),
        );
        expect(array_keys($heard, true, true))
            ->toBe(preg_split('/\s+/', trim($ping['out'])))
            ->toBe(['127.0.0.1', '172.22.8.1']);
        // A neighbour that is silent was asked; where no way leads, nobody was.
        expect($heard)->toBe(['127.0.0.1' => true, '172.22.8.1' => true, '172.22.8.9' => false]);
    },
);

test('where the system does not let a program ask, nothing was asked', function (): void {
    expect(echoesIn('1 0', '127.0.0.1'))->toBe([]);
});

test('a burst of a whole network is one wait', function (): void {
    $hosts = array_map(fn (int $last): string => "127.22.8.{$last}", range(1, 254));
    expect(array_keys(echoesIn('0 2147483647', ...$hosts), true, true))->toBe($hosts);
});

test('hardware addresses come from the kernel’s list as its own tool prints it', function (): void {
    $own = (new OwnNeighbours())->macs();
    $said = [];
    foreach (json_decode(run('ip -j -4 neigh')['out'], true) as $one) {
        if (isset($one['lladdr'])) {
            $said[$one['dst']] = $one['lladdr'];
        }
    }
    ksort($own);
    ksort($said);
    expect($own)->toBe($said);
    expect((new OwnNeighbours('/nonexistent'))->macs())->toBe([]);
});
