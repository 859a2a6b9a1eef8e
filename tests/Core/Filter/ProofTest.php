<?php

declare(strict_types=1);

use Burrow\Filter\FilterConcern;
use Burrow\Filter\FilterFindings;
use Burrow\Filter\ListMemory;
use Burrow\Filter\ListSize;
use Burrow\Filter\LogTold;
use Burrow\Filter\Proof\Asked;
use Burrow\Filter\Proof\ToldByClient;
use Burrow\Filter\Rollout\Counter;
use Burrow\Filter\Rollout\HandOut;
use Burrow\Filter\Rollout\LeaseWait;
use Burrow\Filter\Rollout\LightsOut;
use Burrow\Filter\Upstream\Upstream;
use Burrow\Household\NameCheck;
use Burrow\Household\NameExpected;
use Burrow\Household\Resolvers;
use Burrow\Intake\Intake;
use Burrow\Intake\Lookup\Answer;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\NameAnswer;
use Burrow\Net\Prefix;

// A filter proved, rolled out, and asked further.

/** @return array<string, string> severities by code */
function saidOfNames(iterable $findings): array
{
    $by = [];
    foreach ($findings as $finding) {
        $by[$finding->code] = $finding->severity->value;
    }

    return $by;
}

function thistledown(string $prefix = '172.22.8.0/24'): LocalNetwork
{
    $router = Ipv4::parse(explode('/', $prefix)[0]);

    return new LocalNetwork(
        Prefix::parse($prefix),
        $router,
        AddressRange::between($router, $router),
        'thistledown.home.arpa',
    );
}

test('both ways of asking have to say what they should', function (
    NameExpected $is,
    array $udp,
    array $tcp,
    bool $held,
): void {
    $asked = Asked::of($is, new NameAnswer(...$udp), new NameAnswer(...$tcp));
    expect($asked->held)->toBe($held);
})->with([
    'refused by both' => [NameExpected::Refused, [3], [3], true],
    'refused by nowhere' => [NameExpected::Refused, [0, ['0.0.0.0']], [5], true],
    'refused over one only' => [NameExpected::Refused, [3], [0, ['203.0.113.80']], false],
    'silent over TCP' => [NameExpected::Refused, [3], [null], false],
    'a resolver that failed refuses nothing' => [NameExpected::Refused, [2], [2], false],
    'answered' => [NameExpected::Answered, [0, ['203.0.113.80']], [0, ['203.0.113.81']], true],
    'answered with nowhere' => [NameExpected::Answered, [0, ['0.0.0.0']], [0, ['0.0.0.0']], false],
    'of the house' => [NameExpected::Local, [0, ['172.22.8.11']], [0, ['172.22.8.11']], true],
    'of the house, led outside' => [NameExpected::Local, [0, ['203.0.113.80']], [0, ['203.0.113.80']], false],
]);

test('what a client says is believed, and whom it asked is looked at', function (
    string $text,
    NameExpected $is,
    bool $held,
    bool $another,
): void {
    $told = ToldByClient::of($is, Intake::standard()->read('lookup', $text)->all(Answer::class), [
        '172.22.8.10',
    ]);
    expect([$told->held, str_contains($told->said, 'which is no filter of the house')])->toBe([
        $held,
        $another,
    ]);
})->with([
    'the filter refuses' => [
        "Server:\t\t172.22.8.10\nAddress:\t172.22.8.10#53\n\n** server can't find listed.example: NXDOMAIN\n",
        NameExpected::Refused,
        true,
        false,
    ],
    'another refuses: by chance' => [
        "Server:\t\t203.0.113.53\nAddress:\t203.0.113.53#53\n\n** server can't find listed.example: NXDOMAIN\n",
        NameExpected::Refused,
        false,
        true,
    ],
    'a stub on the client' => [
        "Server:\t\t127.0.0.53\nAddress:\t127.0.0.53#53\n\n** server can't find listed.example: NXDOMAIN\n",
        NameExpected::Refused,
        true,
        false,
    ],
    'nobody answered' => [
        ";; connection timed out; no servers could be reached\n",
        NameExpected::Refused,
        false,
        false,
    ],
    'answered by the filter' => [
        "Server:\t\t172.22.8.10\nAddress:\t172.22.8.10#53\n\nNon-authoritative answer:\nName:\tplain.example\nAddress: 203.0.113.80\n",
        NameExpected::Answered,
        true,
        false,
    ],
]);

test('what the front page says of filters', function (array $told, array $expected): void {
    $sieve = dweller('sieve', address: Ipv4::parse('172.22.8.10'), job: 'dns-filter');
    expect(saidOfNames((new FilterConcern())->findings(household([$sieve], told: $told))))->toBe($expected);
})->with([
    'nothing known' => [[], []],
    'the filter alone is handed out' => [
        ['resolvers' => new Resolvers('172.22.8.1', ['172.22.8.10'])],
        ['filter.one_filter' => 'note'],
    ],
    'something beside it' => [
        ['resolvers' => new Resolvers('172.22.8.1', ['172.22.8.10', '203.0.113.53'])],
        ['filter.beside_filter' => 'warn'],
    ],
    'another way of asking: the router asks it' => [
        [
            'resolvers' => new Resolvers(
                '172.22.8.1',
                ['172.22.8.1'],
                ['172.22.8.10'],
                ['sieve' => ['203.0.113.53']],
            ),
        ],
        [],
    ],
    'round and round' => [
        [
            'resolvers' => new Resolvers(
                '172.22.8.1',
                ['172.22.8.1'],
                ['172.22.8.10'],
                ['sieve' => ['172.22.8.1']],
            ),
        ],
        ['filter.loop' => 'stop'],
    ],
    'a name that gets through' => [
        ['names' => [new NameCheck(1, 'sieve', 'a.test', NameExpected::Refused, '', 'answered', false)]],
        ['filter.proof_failed' => 'warn'],
    ],
    'asked long ago' => [
        [
            'names' => [
                new NameCheck(
                    1,
                    'sieve',
                    'a.test',
                    NameExpected::Refused,
                    '',
                    'x',
                    true,
                    new DateTimeImmutable('2026-11-20'),
                ),
                new NameCheck(
                    2,
                    'sieve',
                    'a.test',
                    NameExpected::Refused,
                    'desk',
                    'x',
                    true,
                    new DateTimeImmutable('2026-11-20'),
                ),
            ],
        ],
        ['filter.proof_old' => 'note'],
    ],
]);

test('a filter that may get another address is told', function (): void {
    $sieve = dweller('sieve', address: Ipv4::parse('172.22.8.10'), job: 'dns-filter', keepsAddress: false);
    expect(saidOfNames((new FilterConcern())->findings(household([$sieve]))))->toBe([
        'filter.may_move' => 'warn',
    ]);
});

test('a counter that does not rise is told', function (array $before, array $after, string $code): void {
    $one = new Counter('2026-11-20T12:00:00Z', 'before', ...$before);
    $two = new Counter('2026-11-20T13:00:00Z', 'first', ...$after);
    expect(Counter::compare($one, $two)[0]->code)->toBe($code);
})->with([
    'it rises' => [[100, 10], [415, 103], 'filter.counter_rises'],
    'it stands' => [[100, 10], [100, 10], 'filter.counter_stands'],
    'nothing refused' => [[100, 10], [200, 10], 'filter.nothing_refused'],
    'it began anew' => [[100, 10], [20, 1], 'filter.counter_fell'],
]);

// Common practice has 93 of 315 as 29.5 %.
test('a share of a counter', fn () => expect((new Counter('x', 'house', 315, 93))->share())->toBe(29.5));

test('until everybody has it: half the lease, the whole one for those that slept', function (): void {
    $wait = new LeaseWait(86_400);
    expect([$wait->first(), $wait->half(), $wait->all(), $wait->last()])->toBe([0, 21_600, 43_200, 86_400]);
    // A thousand clients at even times, each asking again half a lease after it was last answered.
    $have = array_map(fn (int $i): float => ($i / 1000) * 43_200, range(0, 999));
    sort($have);
    expect($have[500])
        ->toEqualWithDelta($wait->half(), 50)
        ->and(max($have))
        ->toBeLessThanOrEqual($wait->all());
});

test('the sheet for the dark leads by numbers alone', function (HandOut $way): void {
    $sheet = LightsOut::of(
        $way,
        Ipv4::parse('172.22.8.1'),
        [['sieve', '172.22.8.10']],
        [
            'router_dns' => 'Network, then Names',
        ],
    );
    $text = json_encode($sheet->steps(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    expect($sheet->steps())
        ->toHaveCount(5)
        ->and($text)
        ->toContain('http://172.22.8.1')
        ->toContain('172.22.8.10')
        ->toContain('Network, then Names')
        ->not->toContain('.home.arpa')
        ->not->toContain('.local');
})->with(HandOut::cases());

test('what a household was told of its log is held against the log', function (
    LogTold $told,
    int $queries,
    ?float $days,
    bool $more,
): void {
    expect($told->against($queries, $days) !== null)->toBe($more);
})->with([
    'nothing, and there is one' => [LogTold::Nothing, 10, null, true],
    'counts, and there are names' => [LogTold::Counts, 10, 1.0, true],
    'nothing, and it is empty' => [LogTold::Nothing, 0, null, false],
    'a week, and a week' => [LogTold::Week, 10, 7.0, false],
    'a week, and a month' => [LogTold::Week, 10, 30.0, true],
    'a week, without dates' => [LogTold::Week, 10, null, false],
    'a week and a day' => [LogTold::Week, 10, 8.0, false],
    'a little more' => [LogTold::Week, 10, 8.1, true],
    'a month and a day' => [LogTold::Month, 10, 32.0, false],
    'a little more than that' => [LogTold::Month, 10, 32.1, true],
    'a month, and two' => [LogTold::Month, 10, 61.0, true],
    'until deleted' => [LogTold::Kept, 10, 900.0, false],
]);

test('whom it asks is told at its field when it cannot be', function (array $typed, array $fields): void {
    $upstream = Upstream::of($typed, thistledown());
    expect(array_map(fn ($finding) => (string) $finding->place, $upstream->findings->list))->toBe($fields);
})->with([
    'the root servers' => [['way' => 'roots'], []],
    'nobody named' => [['way' => 'line'], ['asks']],
    'a name' => [['way' => 'other', 'asks' => 'names.example.net'], ['asks']],
    'encrypted, by no name' => [['way' => 'tls', 'asks' => '203.0.113.53'], ['tls_name']],
    'encrypted' => [
        ['way' => 'tls', 'asks' => '203.0.113.53 2001:db8::53', 'tls_name' => 'names.example.net'],
        [],
    ],
    'a name that breaks the line' => [
        ['way' => 'tls', 'asks' => '203.0.113.53', 'tls_name' => "a.b\nx"],
        ['tls_name'],
    ],
    'five' => [
        ['way' => 'line', 'asks' => '203.0.113.1 203.0.113.2 203.0.113.3 203.0.113.4 203.0.113.5'],
        ['asks'],
    ],
    'names of the house from outside' => [['way' => 'roots', 'local' => '203.0.113.1'], ['local']],
]);

test('names take the memory that was measured', function (): void {
    expect(ListMemory::of(200_000)['dnsmasq']->count)
        ->toBe(17_400_000)
        ->and(ListMemory::of(0)['rpz']->count)
        ->toBe(0);
});

test('the sheet for the dark says what to do, word for word', function (
    HandOut $way,
    array $filters,
    array $page,
    array $says,
): void {
    $sheet = LightsOut::of($way, Ipv4::parse('172.22.8.1'), $filters, $page)->steps();
    expect([$sheet[1][0], $sheet[2][0], $sheet[2][1], $sheet[3][0]])->toBe($says);
})->with([
    'the router hands the filter out' => [
        HandOut::Handed,
        [['sieve', '172.22.8.10'], ['spare', '172.22.8.11']],
        ['router_dns' => 'Network, then Names', 'router_apply' => 'the button at the top'],
        [
            'Pull the plug of sieve (172.22.8.10) and spare (172.22.8.11), wait ten seconds, put it back, wait five minutes.',
            'Open http://172.22.8.1 in a browser, by this number. Its password is where the house keeps it. Find: Network, then Names.',
            'It shows 172.22.8.10 and 172.22.8.11.',
            'Write 172.22.8.1 in its place. Save it: the button at the top.',
        ],
    ],
    'the router asks the filter itself' => [
        array_values(array_filter(HandOut::cases(), fn (HandOut $one): bool => $one !== HandOut::Handed))[0],
        [['sieve', '172.22.8.10']],
        [],
        [
            'Pull the plug of sieve (172.22.8.10), wait ten seconds, put it back, wait five minutes.',
            'Open http://172.22.8.1 in a browser, by this number. Its password is where the house keeps it. Find: its page has a place for resolvers.',
            'It shows 172.22.8.10.',
            'Set it back to “by the provider”. Save it.',
        ],
    ],
]);

test('two readings of the counter', function (array $before, array $after, string $code): void {
    $found = Counter::compare(
        new Counter('2026-11-25T15:00:00Z', 'before', ...$before),
        new Counter('2026-11-25T15:10:00Z', 'house', ...$after),
    );
    expect(array_map(fn (Burrow\Judgement\Finding $one): string => $one->code, $found))->toBe([$code]);
})->with([
    'it fell' => [[100, 20], [99, 20], 'filter.counter_fell'],
    'it stands' => [[100, 20], [100, 20], 'filter.counter_stands'],
    'nothing was refused since' => [[100, 20], [101, 20], 'filter.nothing_refused'],
    'it rises' => [[100, 20], [101, 21], 'filter.counter_rises'],
]);

test('of what came since a share was refused', function (): void {
    $found = Counter::compare(new Counter('x', 'house', 100, 10), new Counter('x', 'house', 415, 103))[0];
    expect($found->found)->toBe('315 questions since, 93 refused: 29.5 %.');
});

test('lines that are not read are counted, and the first are named', function (
    int $invalid,
    array $named,
    string $found,
    string $do,
    ?int $line,
): void {
    $finding = FilterFindings::notRead(new ListSize('one.txt', 40, $invalid, 30, $named));
    expect([$finding->found, $finding->do, $finding->place?->line])->toBe([$found, $do, $line]);
})->with([
    [1, [7], 'One line of one.txt names nothing that a resolver is asked.', '', 7],
    [2, [7, 9], '2 lines of one.txt name nothing that a resolver is asked.', 'The first are 7, 9.', 7],
    [3, [], '3 lines of one.txt name nothing that a resolver is asked.', '', null],
]);
