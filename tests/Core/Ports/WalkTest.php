<?php

declare(strict_types=1);

use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Intake\Intake;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;
use Burrow\Ports\Filter\FilterWalk;
use Burrow\Ports\Filter\Verdict;

// What a packet filter does, as we say it from its listing, against what a kernel did: told/packets.jsonl holds forty
// filters of the kinds that people have, and which of twenty packets each let in. tests/Outside asks the kernel again.

test('what gets in is what the rules were read to let in', function (): void {
    $other = [];
    $sure = $count = $all = 0;
    foreach (told('packets', 'Ports') as ['listed' => $rules, 'in' => $in]) {
        $read = Intake::standard()->read('firewall', $rules);
        $walk = FilterWalk::of($read->all(FirewallRule::class));
        $all += count($in);
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
                    ($told === Verdict::LetsIn) !== in_array("{$source} {$port}", $in, true)
                ) {
                    $other[] = "{$rules}{$source} {$port}: {$told->value}";
                }
            }
        }
    }
    expect($other)
        ->toBe([])
        ->and($all)
        ->toBeGreaterThan($count / 10)
        ->toBeLessThan(($count * 9) / 10)
        // Doubt is for what cannot be known; here nearly all can.
        ->and($sure / $count)
        ->toBeGreaterThan(0.95);
});

/** What a filter of one chain says to a packet from the desk computer. */
function walked(array $rules, int $port = 22, Protocol $protocol = Protocol::Tcp, ?string $box = null): string
{
    return FilterWalk::of(
        array_map(
            fn (array $with): FirewallRule => new FirewallRule(
                ...[
                    'chain' => 'in',
                    'policy' => 'drop',
                    'action' => 'accept',
                    'family' => 'ip',
                    'table' => 'filter',
                    'hook' => 'input',
                    ...$with,
                ],
            ),
            $rules,
        ),
    )->verdict($protocol, $port, Ipv4::parse('172.22.8.20'), $box === null ? null : Ipv4::parse($box))->value;
}

test('one rule, and what it lets in', function (array $rule, string $verdict, mixed ...$packet): void {
    expect(walked([$rule], ...$packet))->toBe($verdict);
})->with([
    'whatever it is' => [[], 'lets in'],
    'its port' => [['port' => 22], 'lets in'],
    'another port' => [['port' => 23], 'keeps out'],
    'the first of a range' => [['port' => 22, 'portTo' => 30], 'lets in'],
    'the last of a range' => [['port' => 20, 'portTo' => 22], 'lets in'],
    'before a range' => [['port' => 23, 'portTo' => 30], 'keeps out'],
    'after a range' => [['port' => 20, 'portTo' => 21], 'keeps out'],
    'its protocol' => [['protocol' => 'udp'], 'lets in', 'protocol' => Protocol::Udp],
    'another protocol' => [['protocol' => 'udp'], 'keeps out'],
    'what is new' => [['state' => 'new,established'], 'lets in'],
    'only what is known already' => [['state' => 'established,related'], 'keeps out'],
    'from its network' => [['source' => '172.22.8.0/24'], 'lets in'],
    'from another network' => [['source' => '172.22.9.0/24'], 'keeps out'],
    'from itself' => [['source' => '172.22.8.20'], 'lets in'],
    'from all but it' => [['source' => '!172.22.8.20'], 'keeps out'],
    'from all but another' => [['source' => '!172.22.8.21'], 'lets in'],
    'from a range that begins with it' => [['source' => '172.22.8.20-172.22.8.30'], 'lets in'],
    'from a range that ends with it' => [['source' => '172.22.8.10-172.22.8.20'], 'lets in'],
    'from a range behind it' => [['source' => '172.22.8.21-172.22.8.30'], 'keeps out'],
    'from a range before it' => [['source' => '172.22.8.10-172.22.8.19'], 'keeps out'],
    'from a range with a name' => [['source' => 'desk-172.22.8.30'], 'not sure'],
    'from a name' => [['source' => 'desk'], 'not sure'],
    'by the box\'s card' => [['interface' => 'eth0'], 'lets in'],
    'by the tunnel' => [['interface' => 'wg0'], 'keeps out'],
    'by all but the tunnel' => [['interface' => '!wg0'], 'lets in'],
    'by all but the card' => [['interface' => '!eth0'], 'not sure'],
    'by the tunnel or the card' => [['interface' => 'wg0, eth0'], 'not sure'],
    'by containers and tunnels' => [['interface' => 'podman1, tun3'], 'keeps out'],
    'to the box' => [['to' => '172.22.8.10'], 'lets in', 'box' => '172.22.8.10'],
    'to another address of it' => [['to' => '172.22.8.11'], 'keeps out', 'box' => '172.22.8.10'],
    'to a box whose address is not known' => [['to' => '172.22.8.10'], 'not sure'],
    'that asks more' => [['more' => true], 'not sure'],
    'that only counts' => [['action' => 'count'], 'keeps out'],
    'that limits' => [['action' => 'limit'], 'lets in'],
    'that refuses' => [['policy' => 'accept', 'action' => 'reject'], 'keeps out'],
    'a policy that nobody knows' => [['policy' => 'queue', 'port' => 23], 'not sure'],
    'a chain without a policy' => [['policy' => null, 'port' => 23], 'lets in'],
    'of the newer kind of address' => [
        ['family' => 'ip6', 'action' => 'drop', 'policy' => 'drop'],
        'lets in',
    ],
    'of both kinds' => [['family' => 'inet', 'port' => 23], 'keeps out'],
    'of a table for other things' => [['table' => 'nat', 'action' => 'drop'], 'lets in'],
    'on another way through the kernel' => [['hook' => 'forward', 'action' => 'drop'], 'lets in'],
]);

test('rules one after the other', function (array $rules, string $verdict): void {
    expect(walked($rules))->toBe($verdict);
})->with([
    'the first that meets counts' => [[['action' => 'drop'], []], 'keeps out'],
    'what is not sure, and then the same' => [[['more' => true], []], 'lets in'],
    'what is not sure, and then the other' => [[['more' => true, 'action' => 'drop'], []], 'not sure'],
    'not sure twice, of two kinds' => [
        [['more' => true], ['more' => true, 'action' => 'drop'], []],
        'not sure',
    ],
    'a jump comes back' => [
        [
            ['action' => 'jump a'],
            [],
            ['chain' => 'a', 'hook' => null, 'policy' => null, 'port' => 23, 'action' => 'drop'],
        ],
        'lets in',
    ],
    'a jump decides' => [
        [['action' => 'jump a'], [], ['chain' => 'a', 'hook' => null, 'policy' => null, 'action' => 'drop']],
        'keeps out',
    ],
    'what was gone to does not come back' => [
        [['action' => 'goto a'], [], ['chain' => 'a', 'hook' => null, 'policy' => null, 'port' => 23]],
        'keeps out',
    ],
    'what may have been gone to' => [
        [
            ['action' => 'goto a', 'more' => true],
            [],
            ['chain' => 'a', 'hook' => null, 'policy' => null, 'port' => 23],
        ],
        'lets in',
    ],
    'a return ends its chain' => [
        [
            ['action' => 'jump a'],
            ['action' => 'drop'],
            ['chain' => 'a', 'hook' => null, 'policy' => null, 'action' => 'return'],
            ['chain' => 'a', 'hook' => null, 'policy' => null],
        ],
        'keeps out',
    ],
    'a return for others does not' => [
        [
            ['action' => 'jump a'],
            ['action' => 'drop'],
            ['chain' => 'a', 'hook' => null, 'policy' => null, 'action' => 'return', 'port' => 23],
            ['chain' => 'a', 'hook' => null, 'policy' => null],
        ],
        'lets in',
    ],
    'two chains both have to let it in' => [
        [[], ['chain' => 'early', 'family' => 'inet', 'action' => 'drop']],
        'keeps out',
    ],
    'one of two is not sure' => [[[], ['chain' => 'early', 'family' => 'inet', 'more' => true]], 'not sure'],
]);
