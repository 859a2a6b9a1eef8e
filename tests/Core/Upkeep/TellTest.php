<?php

declare(strict_types=1);

use Burrow\Household\BoxReport;
use Burrow\Household\Certificate;
use Burrow\Household\Fill;
use Burrow\Household\HearingState;
use Burrow\Household\Reported;
use Burrow\Household\Service;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use Burrow\Upkeep\Retention;
use Burrow\Upkeep\Tell\HouseMetrics;
use Burrow\Upkeep\Tell\Message;
use Burrow\Upkeep\Tell\Metrics;
use Burrow\Upkeep\Tell\TypedTelling;
use Burrow\Upkeep\UpkeepFindings;

// What the house tells, and to whom.

test('one message a day, and one when a box falls silent', function (
    bool $wants,
    array $silent,
    ?int $hoursAgo,
    array $told,
    ?string $subject,
): void {
    $boxes = array_map(
        fn (string $name) => in_array($name, $silent, true)
            ? dweller($name, hearing: heard('2026-11-25 12:00'))
            : dweller($name),
        ['larder', 'sieve'],
    );
    $house = household($boxes);
    foreach ($silent as $name) {
        expect(collectBox($house->boxes(), $name)->is(HearingState::Silent))->toBeTrue();
    }
    $findings = $wants
        ? Findings::of(UpkeepFindings::undervoltage('larder'), UpkeepFindings::restartWaits('sieve'))
        : Findings::of(UpkeepFindings::restartWaits('sieve'));
    $last = $hoursAgo === null ? null : $house->now->getTimestamp() - 3600 * $hoursAgo;
    expect(Message::due($house, $findings, $last, $told)?->subject)->toBe($subject);
})->with([
    'never told, and something wants somebody' => [true, [], null, [], 'one thing needs you'],
    'told this morning' => [true, [], 5, [], null],
    'told yesterday' => [true, [], 24, [], 'one thing needs you'],
    'told yesterday, and nothing wants anybody' => [false, [], 24, [], null],
    'told this morning, and one fell silent' => [false, ['larder'], 5, [], 'larder fell silent'],
    'the same one, told as silent already' => [false, ['larder'], 5, ['larder'], null],
    'another one beside it' => [false, ['larder', 'sieve'], 5, ['larder'], 'sieve fell silent'],
]);

function collectBox(array $boxes, string $name): Burrow\Household\Box
{
    return array_values(array_filter($boxes, fn ($box): bool => $box->name === $name))[0];
}

test('a message is plain text, and says where the rest stands', function (): void {
    $findings = array_map(fn (int $i) => UpkeepFindings::undervoltage("box{$i}"), range(1, 25));
    $message = Message::due(household([dweller('larder')]), Findings::of(...$findings), null, []);
    expect($message->text('http://here/'))
        ->toContain("25 things need you.\n")
        ->toContain('- Box1 had too little voltage')
        ->toContain("And 5 more.\n")
        ->toContain("http://here/\n");
});

test('only the house and this machine are told', function (array $typed, array $fields): void {
    $house = new LocalNetwork(
        Prefix::parse('172.22.8.0/24'),
        Ipv4::parse('172.22.8.1'),
        AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199')),
        'thistledown.home.arpa',
    );
    expect(
        array_map(fn ($one) => (string) $one->place, TypedTelling::of($typed, $house)->findings->list),
    )->toBe($fields);
})->with([
    'nobody' => [[], []],
    'by mail through this machine' => [['mail_to' => 'warden@example.org'], []],
    'through a server of the house' => [
        ['mail_to' => 'warden@example.org', 'mail_server' => '172.22.8.5:587'],
        [],
    ],
    'through a server elsewhere' => [
        ['mail_to' => 'warden@example.org', 'mail_server' => '203.0.113.5:25'],
        ['mail_server'],
    ],
    'no address of mail' => [['mail_to' => "warden\n@example.org"], ['mail_to']],
    'a line more in the header' => [['mail_to' => "a@example.org\r\nBcc: b@example.org"], ['mail_to']],
    'a hook of the house' => [['hook' => 'http://172.22.8.13:8082/api/hook?x=1'], []],
    'a hook elsewhere' => [['hook' => 'http://203.0.113.9/'], ['hook']],
    'a hook by name' => [['hook' => 'http://dewpoint/'], ['hook']],
    'another kind of address' => [['hook' => 'file:///etc/passwd'], ['hook']],
    'somebody else behind an at' => [['hook' => 'http://172.22.8.13@203.0.113.9/'], ['hook']],
    'a port that is none' => [['hook' => 'http://172.22.8.13:70000/'], ['hook']],
]);

test('the same labels twice are one sample, and what is not known is none', function (): void {
    $text = (string) (new Metrics())
        ->add('a', 'x', ['box' => "la\"r\nder\\"], 1)
        ->add('a', 'x', ['box' => "la\"r\nder\\"], 2)
        ->add('b', 'y', [], null)
        ->add('c', 'z', [], NAN);
    expect($text)->toBe("# TYPE a gauge\n# HELP a x\na{box=\"la\\\"r\\nder\\\\\"} 1\n# EOF\n");
});

test('a message names three boxes and tells twenty things, and counts the others', function (): void {
    $silent = array_map(
        fn (string $name): Burrow\Household\Box => dweller($name, hearing: heard('2026-11-25 12:00')),
        ['larder', 'sieve', 'wren', 'press'],
    );
    $subject = fn (int $boxes): ?string => Message::due(
        household(array_slice($silent, 0, $boxes)),
        Findings::of(),
        null,
        [],
    )?->subject;
    $warned = fn (int $count): Findings => Findings::of(
        ...array_map(
            fn (int $i): Finding => Finding::warn("x.{$i}", "Thing {$i}.", 'Why.', 'Do.'),
            range(1, $count),
        ),
    );
    $text = fn (int $count): string => (string) Message::due(household([]), $warned($count), null, [])?->text(
        'page',
    );
    expect([$subject(1), $subject(3), $subject(4)])
        ->toBe([
            'larder fell silent',
            'larder, sieve, wren fell silent',
            'larder, sieve, wren and 1 more fell silent',
        ])
        ->and($text(1))
        ->toBe("One thing needs you.\n\n- Thing 1. Do.\n\npage\n")
        ->and(substr_count($text(20), "\n- "))
        ->toBe(20)
        ->and($text(20))
        ->not->toContain('more.')
        ->and(substr_count($text(21), "\n- "))
        ->toBe(20)
        ->and($text(21))
        ->toContain("\nAnd 1 more.\n")
        ->toStartWith('21 things need you.');
});

test('the message of a day waits for its day', function (int $after, bool $is): void {
    $house = household([]);
    $findings = Findings::of(Finding::stop('x.y', 'Found.', 'Why.', 'Do.'));
    expect(Message::due($house, $findings, $house->now->getTimestamp() - $after, []) !== null)->toBe($is);
})->with([[86_399, false], [86_400, true]]);

test('which copies may go is what counting day by day gives', function (int $seed): void {
    mt_srand($seed);
    $made = [];
    for ($i = 0; $i < 120; $i++) {
        $made["copy {$i}"] = new DateTimeImmutable('@'.(1_795_618_800 - mt_rand(0, 500 * 86_400)));
    }
    [$days, $weeks, $months] = [mt_rand(1, 9), mt_rand(1, 9), mt_rand(1, 14)];
    $newest = fn (string $form, int $count): array => array_slice(
        array_values(
            array_map(
                fn (array $of): string => array_search(max($of), $of),
                array_reduce(
                    array_keys($made),
                    function (array $by, string $name) use ($made, $form): array {
                        $by[$made[$name]->format($form)][$name] = $made[$name]->getTimestamp();
                        uksort(
                            $by,
                            fn (string $one, string $other): int => max($by[$other]) <=> max($by[$one]),
                        );

                        return $by;
                    },
                    [],
                ),
            ),
        ),
        0,
        $count,
    );
    $stay = [...$newest('Y-m-d', $days), ...$newest('o-W', $weeks), ...$newest('Y-m', $months)];
    $go = array_diff(array_keys($made), $stay);
    usort($go, fn (string $one, string $other): int => $made[$one] <=> $made[$other]);
    expect((new Retention($days, $weeks, $months))->spare($made))->toBe($go);
})->with(range(1, 8));

test('seven days, five weeks and twelve months stay where nobody says otherwise', function (): void {
    $made = [];
    for ($i = 0; $i < 800; $i++) {
        $day = (new DateTimeImmutable('2026-11-27 12:00'))->modify("-{$i} days");
        $made[$day->format('Y-m-d')] = $day;
    }
    $stay = array_diff(array_keys($made), (new Retention())->spare($made));
    expect(array_values($stay))->toBe([
        '2026-11-27',
        '2026-11-26',
        '2026-11-25',
        '2026-11-24',
        '2026-11-23',
        '2026-11-22',
        '2026-11-21',
        '2026-11-15',
        '2026-11-08',
        '2026-11-01',
        '2026-10-31',
        '2026-09-30',
        '2026-08-31',
        '2026-07-31',
        '2026-06-30',
        '2026-05-31',
        '2026-04-30',
        '2026-03-31',
        '2026-02-28',
        '2026-01-31',
        '2025-12-31',
    ]);
});

test('what the house tells a monitor, in its text form', function (): void {
    $now = new DateTimeImmutable(THREE_O_CLOCK);
    $house = household(
        [
            dweller('larder', job: 'file-store', updated: $now->modify('-20 days')),
            dweller('press', hearing: heard('2026-11-25 10:00')),
            dweller('wren', hearing: heard(asked: '2026-11-20 10:00')),
        ],
        stores: [
            'fills' => [
                new Fill('larder', '/srv/store', 500_000_000_000, [
                    [1_795_000_000, 100],
                    [1_795_500_000, 250],
                ]),
            ],
        ],
        told: [
            'reports' => [
                new Reported(
                    'larder',
                    $now->modify('-1 hour'),
                    new BoxReport(
                        uptimeSeconds: 86_400,
                        pending: ['nano', 'samba'],
                        security: ['samba'],
                        failed: [],
                        restart: false,
                        celsius: 48.3,
                        availableBytes: 1_000_000,
                    ),
                ),
            ],
            'certificates' => [
                new Certificate(
                    new Service('larder', Port::of(443), Protocol::Tcp, 'page'),
                    str_repeat('ab', 32),
                    'larder',
                    'larder',
                    ['larder'],
                    $now->modify('-1 day'),
                    $now->modify('+90 days'),
                    $now,
                ),
            ],
        ],
    );
    $text = (string) HouseMetrics::of(
        $house,
        Findings::of(
            Finding::stop('a', 'b', 'c', 'd'),
            Finding::note('a', 'b', 'c', 'd'),
            Finding::note('a', 'b', 'c', 'd'),
        ),
    );
    expect($text)->toBe(onFile(__DIR__.'/metrics.txt', $text));
});

test('a server of the house has a port', function (string $port, bool $is): void {
    $network = Prefix::parse('172.22.8.0/24');
    $pool = AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199'));
    $house = new LocalNetwork($network, $network->hosts()->first, $pool, 'thistledown.home.arpa');
    $typed = ['mail_to' => 'warden@thistledown.home.arpa', 'mail_server' => "172.22.8.11:{$port}"];
    expect(TypedTelling::of($typed, $house)->findings->forField('mail_server')->isEmpty())->toBe($is);
})->with([['0', false], ['1', true], ['25', true], ['65535', true], ['65536', false], ['', false]]);
