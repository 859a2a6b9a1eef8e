<?php

declare(strict_types=1);

use Burrow\Filter\FilterAnswer;
use Burrow\Filter\Lists;
use Burrow\Filter\Replay;
use Burrow\Intake\Names\ListLine;
use Burrow\Intake\Names\NameSet;
use Burrow\Intake\Names\Query;
use Burrow\Judgement\Findings;

/** @param  array<string, list<string>>  $lists  name => lines */
function lists(array $lists, array $allow = []): Lists
{
    $all = new Lists();
    foreach ($lists as $name => $lines) {
        $all->add($name, array_combine(array_map(fn (int $i): int => $i + 1, array_keys($lines)), $lines));
    }
    foreach ($allow as $name) {
        $all->allow($name);
    }

    return $all;
}

/** @param  array<string, int>  $asked  name => how often */
function replayed(Lists $lists, array $asked): Replay
{
    $replay = new Replay($lists);
    foreach ($asked as $name => $times) {
        for (; $times > 0; $times--) {
            $replay->ask(new Query(null, '172.22.8.20', $name, 'A', 'answered', null, 15));
        }
    }

    return $replay;
}

test('a line of a list is the name it means', function (string $line, ?array $names): void {
    expect(ListLine::names($line))->toBe($names);
})->with([
    'plain' => ['ads.example', ['ads.example']],
    'capitals and a dot' => ['Ads.Example.', ['ads.example']],
    'all below' => ['*.ads.example', ['*ads.example']],
    'hosts' => ['0.0.0.0 ads.example', ['ads.example']],
    'hosts of IPv6' => [':: ads.example', ['ads.example']],
    'several' => ["127.0.0.1\tone.example two.example # words", ['one.example', 'two.example']],
    'the machine itself' => ['127.0.0.1 localhost', []],
    'blocker' => ['||ads.example^', ['*ads.example']],
    'blocker with options' => ['||ads.example^$important,third-party', ['*ads.example']],
    'exception' => ['@@||ok.example^', ['@*ok.example']],
    'a path is for a browser' => ['||ads.example/banner^', null],
    'a part of a page' => ['example.com##.banner', null],
    'comment' => ['! words', []],
    'empty' => ['   ', []],
    'umlauts' => ['bücher.example', ['xn--bcher-kva.example']],
    'an address' => ['203.0.113.27', null],
    'one label' => ['ads', null],
    'a label of 63' => [str_repeat('a', 63).'.example', [str_repeat('a', 63).'.example']],
    'a label of 64' => [str_repeat('a', 64).'.example', null],
    'a byte of zero' => ["a\0b ads.example", null],
    'hyphen first' => ['-ads.example', null],
    'hyphen last in a label' => ['ads-.example', null],
    'two dots' => ['ads..example', null],
    'underscore' => ['_track.example', ['_track.example']],
    'dnsmasq' => ['address=/one.example/two.example/0.0.0.0', ['*one.example', '*two.example']],
    'unbound zone' => ['local-zone: "ads.example." always_nxdomain', ['*ads.example']],
    'unbound data' => ['local-data: "ads.example 3600 IN A 0.0.0.0"', ['ads.example']],
    'policy' => ['*.ads.example 300 IN CNAME .', ['*ads.example']],
    'policy that lets through' => ['ok.example CNAME rpz-passthru.', ['@ok.example']],
    'head of a zone' => ['@ IN SOA localhost. root.localhost. 1 3600 600 86400 300', []],
]);

test('what lies below a listed parent is folded', function (): void {
    $names = new NameSet();
    foreach (
        ['*ads.example', 'ads.example', 'one.ads.example', '*two.ads.example', 'ads.test', 'ads.test'] as $name
    ) {
        $names->add($name);
    }
    expect([$names->count(), $names->folded()])
        ->toBe([5, 2])
        ->and([...$names->entries()])
        ->toBe(['*ads.example', 'ads.test'])
        ->and([$names->has('deep.one.ads.example'), $names->has('bads.example'), $names->has('one.ads.test')])
        ->toBe([true, false, false]);
});

test('an exception lets a name through whatever lists say, and all below when it says so', function (): void {
    $lists = lists(['a' => ['||ads.example^']], ['ok.ads.example', '*fine.ads.example']);
    $refused = fn (string $name): bool => $lists->refusing($name) !== 0;
    expect([
        $refused('ads.example'),
        $refused('ok.ads.example'),
        $refused('one.ok.ads.example'),
        $refused('one.fine.ads.example'),
    ])
        ->toBe([true, false, true, false])
        ->and($lists->why('one.ok.ads.example'))
        ->toBe([['list' => 'a', 'entry' => '*.ads.example']])
        ->and($lists->why('fine.ads.example')[0])
        ->toBe(['list' => 'exceptions', 'entry' => 'fine.ads.example']);
});

test('what each list refuses alone and adds, on paper', function (): void {
    $lists = lists([
        'a' => ['one.example', 'two.example'],
        'b' => ['two.example', 'three.example'],
        'c' => ['two.example'],
    ]);
    $replay = replayed($lists, [
        'one.example' => 5,
        'two.example' => 3,
        'three.example' => 1,
        'four.example' => 11,
    ]);
    expect([$replay->queries(), $replay->refused(), $replay->percent($replay->refused())])
        ->toBe([20, 9, 45.0])
        ->and(array_map(fn (int $i): int => $replay->refusedBy(1 << $i), [0, 1, 2]))
        ->toBe([8, 4, 3])
        ->and(array_map($replay->onlyBy(...), [0, 1, 2]))
        ->toBe([5, 1, 0])
        ->and($replay->smallest(0.85))
        ->toBe(['lists' => [0], 'refused' => 8, 'exact' => true])
        ->and($replay->smallest(1.0))
        ->toBe(['lists' => [0, 1], 'refused' => 9, 'exact' => true])
        ->and($replay->byHour())
        ->toBe([['hour' => 15, 'total' => 20, 'refused' => 9]])
        ->and($replay->breaks())
        ->toBe(['one.example' => 5, 'two.example' => 3, 'three.example' => 1]);
});

test('common practice: 93 of 315 is 29.5 percent', function (): void {
    $replay = replayed(lists(['a' => ['ads.example']]), ['ads.example' => 93, 'seeds.example' => 222]);
    expect(round($replay->percent($replay->refused()), 1))->toBe(29.5);
});

test('the smallest set is the smallest of all choices', function (int $seed): void {
    mt_srand($seed);
    $count = mt_rand(2, 7);
    $lines = [];
    for ($list = 0; $list < $count; $list++) {
        $lines["list {$list}"] = array_map(
            fn (): string => 'n'.mt_rand(0, 30).'.example',
            range(1, mt_rand(1, 15)),
        );
    }
    $asked = [];
    for ($i = 0; $i <= 30; $i++) {
        $asked["n{$i}.example"] = mt_rand(0, 6);
    }
    $replay = replayed(lists($lines), $asked);
    $share = [0.5, 0.8, 0.95, 1.0][mt_rand(0, 3)];
    $wanted = $share * $replay->refused();
    // By counting names anew for every choice, without bits.
    $fewest = PHP_INT_MAX;
    for ($choice = 0; $choice < 2 ** $count; $choice++) {
        $names = [];
        for ($list = 0; $list < $count; $list++) {
            ($choice >> $list) % 2 === 1 && array_push($names, ...$lines["list {$list}"]);
        }
        $refused = array_sum(array_intersect_key($asked, array_flip($names)));
        $refused >= $wanted - 1e-9 && ($fewest = min($fewest, substr_count(decbin($choice), '1')));
    }
    $set = $replay->smallest($share);
    expect(count($set['lists']))
        ->toBe($fewest)
        ->and($set['refused'])
        ->toBeGreaterThanOrEqual($wanted - 1e-9);
})->with(range(1, 40));

test(
    'the smallest choice may hold the first list, never one twice, and none where nothing is refused',
    function (): void {
        $lists = lists([
            'most' => ['a.example', 'b.example', 'c.example'],
            'same' => ['a.example', 'b.example', 'c.example'],
            'rest' => ['d.example'],
        ]);
        $replay = replayed($lists, [
            'a.example' => 3,
            'b.example' => 2,
            'c.example' => 1,
            'd.example' => 1,
            'fine.example' => 9,
        ]);
        expect($replay->smallest(0.5))
            ->toBe(['lists' => [0], 'refused' => 6, 'exact' => true])
            ->and($replay->smallest(1.0))
            ->toBe(['lists' => [0, 2], 'refused' => 7, 'exact' => true])
            ->and($replay->smallest(0.0))
            ->toBe(['lists' => [], 'refused' => 0, 'exact' => true])
            ->and(replayed($lists, ['fine.example' => 4])->smallest(1.0))
            ->toBe(['lists' => [], 'refused' => 0, 'exact' => true]);
        // With more lists than all choices can be tried of, the greedy one takes each once.
        $many = [];
        for ($number = 0; $number < 24; $number++) {
            $many["list {$number}"] = ["n{$number}.example", 'all.example'];
        }
        $replay = replayed(
            lists($many),
            ['all.example' => 10] +
                array_fill_keys(array_map(fn (int $n): string => "n{$n}.example", range(0, 23)), 1),
        );
        $all = $replay->smallest(1.0);
        expect($all['lists'])->toBe(range(0, 23))->and($all['refused'])->toBe(34);
    },
);

test('what is told of a log adds up: by client, by hour, by list', function (): void {
    $replay = new Replay(
        ($lists = lists(['short' => ['ads.example'], 'long' => ['ads.example', 'track.example']])),
    );
    foreach (
        [
            ['172.22.8.20', 'ads.example', 15],
            ['172.22.8.20', 'ok.example', 15],
            ['172.22.8.20', 'ok.example', 16],
            ['172.22.8.21', 'track.example', 16],
        ] as [$client, $name, $hour]
    ) {
        $replay->ask(new Query(null, $client, $name, 'A', 'answered', null, $hour));
    }
    $told = json_decode(json_encode(new FilterAnswer($lists, $replay, Findings::of())), true);
    expect(array_column($told['by_client'], 'refused_percent'))
        ->toBe([33.33, 100])
        ->and(array_column($told['by_hour'], 'refused_percent'))
        ->toBe([50, 50])
        ->and([$told['queries'], $told['refused'], $told['refused_percent']])
        ->toBe([4, 2, 50])
        ->and(array_column($told['lists'], 'alone', 'name'))
        ->toBe(['short' => 1, 'long' => 2])
        ->and(array_column($told['lists'], 'folded', 'name'))
        ->toBe(['short' => 1, 'long' => 2])
        ->and(array_column($told['lists'], 'last', 'name'))
        ->toBe(['short' => 0, 'long' => 1])
        ->and(array_column($told['smallest'], 'lists'))
        ->each->toBe(['long']);
});
