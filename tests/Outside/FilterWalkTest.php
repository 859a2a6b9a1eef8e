<?php

declare(strict_types=1);

use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Intake\Intake;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;
use Burrow\Ports\Filter\FilterWalk;
use Burrow\Ports\Filter\Verdict;

// What a packet filter does, as we say it from its listing, against the kernel that does it.

/** A set of rules of the kinds that people have: sets, ranges, exceptions, several chains, several tables. */
function someRules(int $seed): string
{
    mt_srand($seed);
    $any = fn (array $of): string => $of[array_rand($of)];
    $port = fn (): string => $any(['22', '80', '445', '8081', '{ 22, 80 }', '8000-8089', '{ 445, 8090 }']);
    $from = fn (): string => $any([
        '',
        '',
        'ip saddr 172.22.8.0/24 ',
        'ip saddr 172.22.8.20 ',
        'ip saddr { 172.22.8.20, 172.22.8.32/28 } ',
        'ip saddr != 172.22.8.0/24 ',
        'ip saddr 172.22.8.100-172.22.8.199 ',
        'iifname "lan0" ',
        'iifname "wg0" ',
        'ip daddr 172.22.8.11 ',
    ]);
    $does = fn (): string => $any([
        'accept',
        'accept',
        'accept',
        'drop',
        'counter drop',
        'reject',
        'jump some',
        'goto some',
    ]);
    $rule = fn (): string => match (mt_rand(0, 9)) {
        0 => "{$from()}counter",
        1 => 'iifname "lo" accept',
        2 => 'ct state vmap { established : accept, related : accept, invalid : drop }',
        3 => 'udp dport 53 accept',
        default => "{$from()}tcp dport {$port()} {$does()}",
    };
    $rules = fn (int $most): string => implode("\n", array_map($rule, range(1, mt_rand(1, $most))));
    $plain = str_replace(['jump some', 'goto some'], ['accept', 'return'], $rules(4));
    $second =
        mt_rand(0, 2) === 0
            ? "table ip other {\nchain early {\ntype filter hook input priority -10; policy accept;\n".
                str_replace(['jump some', 'goto some'], 'drop', $rules(3)).
                "\n}\n}"
            : '';

    return "table inet house {\nchain some {\n{$plain}\n}\nchain in {\ntype filter hook input priority 0; policy ".
        $any(['accept', 'drop', 'drop']).
        ";\nct state established,related accept\n{$rules(
            6,
        )}\n}\nchain away { type filter hook output priority 0; policy accept; }\n}\n{$second}\n";
}

test('what gets in is what the rules were read to let in', function (): void {
    $folder = scratch();
    for ($i = 100; $i < 140; $i++) {
        file_put_contents("{$folder}/{$i}.nft", someRules($i));
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
    $in = array_flip(explode("\n", trim($said['out'])));
    $other = [];
    $sure = $count = 0;
    for ($i = 100; $i < 140; $i++) {
        $read = Intake::standard()->read('firewall', (string) file_get_contents("{$folder}/{$i}.listed"));
        $walk = FilterWalk::of($read->all(FirewallRule::class));
        foreach (['172.22.8.20', '172.22.8.33', '172.22.8.199', '198.51.100.7'] as $source) {
            foreach ([22, 80, 445, 8081, 8090] as $port) {
                $told = $walk->verdict(
                    Protocol::Tcp,
                    $port,
                    Ipv4::parse($source),
                    Ipv4::parse('172.22.8.10'),
                );
                $count++;
                $sure += $told === Verdict::NotSure ? 0 : 1;
                if (
                    $told !== Verdict::NotSure &&
                    ($told === Verdict::LetsIn) !== isset($in["{$i} {$source} {$port}"])
                ) {
                    $other[] = "{$i} {$source} {$port}: {$told->value}";
                }
            }
        }
    }
    expect($other)
        ->toBe([])
        ->and(count($in))
        ->toBeGreaterThan($count / 10)
        ->toBeLessThan(($count * 9) / 10)
        // Doubt is for what cannot be known; here nearly all can.
        ->and($sure / $count)
        ->toBeGreaterThan(0.95);
});
