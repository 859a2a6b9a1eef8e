<?php

declare(strict_types=1);

use Burrow\Filter\Lists;
use Burrow\Filter\Replay;
use Burrow\Intake\Names\Query;

// Lists and logs that were drawn, against counting in the plainest way: a name is compared with every entry.

/** @param  list<string>  $entries  "name" or "*name" */
function plainlyHolds(array $entries, string $name): bool
{
    foreach ($entries as $entry) {
        $plain = ltrim($entry, '*');
        if ($plain === $name || ($entry[0] === '*' && str_ends_with($name, ".{$plain}"))) {
            return true;
        }
    }

    return false;
}

/** @param  list<string>  $entries @return list<string> those that refuse nothing more are gone */
function plainlyFolded(array $entries): array
{
    return array_filter(array_unique($entries), function (string $one) use ($entries): bool {
        $plain = ltrim($one, '*');
        foreach ($entries as $other) {
            $is = ltrim($other, '*');
            if ($other[0] === '*' && $other !== $one && ($is === $plain || str_ends_with($plain, ".{$is}"))) {
                return false;
            }
        }

        return true;
    });
}

test('what lists refuse, and why, is what comparing with every entry gives', function (int $seed): void {
    mt_srand($seed);
    $word = fn (): string => ['a', 'b', 'ads', 'b-c'][mt_rand(0, 3)];
    $name = fn (): string => implode('.', array_map($word, range(1, mt_rand(1, 3)))).'.example';
    $entry = fn (): string => (mt_rand(0, 3) === 0 ? '*' : '').$name();
    $given = array_map(fn (): array => array_map($entry, range(1, mt_rand(1, 14))), range(1, mt_rand(1, 4)));
    $exceptions = mt_rand(0, 1) === 0 ? [] : array_map($entry, range(1, 2));
    $lists = new Lists();
    foreach ($given as $number => $entries) {
        $size = $lists->add("list {$number}", [
            '# a remark',
            'not a name',
            ...array_map(fn (string $one): string => str_replace('*', '*.', $one), $entries),
        ]);
        expect([$size->unique, $size->invalid, $size->lines])->toBe([
            count(array_unique($entries)),
            1,
            count($entries) + 2,
        ]);
    }
    array_map($lists->allow(...), $exceptions);
    $replay = new Replay($lists);
    $counts = [
        'refused' => 0,
        'by' => array_fill(0, count($given), 0),
        'alone' => array_fill(0, count($given), 0),
    ];
    $breaks = $clients = [];
    for ($i = 0; $i < 120; $i++) {
        $asked = $name();
        $refuse = plainlyHolds($exceptions, $asked)
            ? []
            : array_keys(array_filter($given, fn (array $entries): bool => plainlyHolds($entries, $asked)));
        $bits = array_sum(array_map(fn (int $number): int => 1 << $number, $refuse));
        expect([$asked, $lists->refusing($asked)])->toBe([$asked, $bits]);
        $because = array_values(array_unique(array_column($lists->why($asked), 'list')));
        plainlyHolds($exceptions, $asked)
            ? expect($because[0])->toBe('exceptions')
            : expect($because)->toEqualCanonicalizing(
                array_map(fn (int $one): string => "list {$one}", $refuse),
            );
        $client = "172.22.8.{$i}" === '172.22.8.7' ? 'kiosk' : ['desk', 'kiosk', 'phone'][mt_rand(0, 2)];
        $outcome = ['answered', 'cached', 'refused', 'failed'][mt_rand(0, 3)];
        $replay->ask(new Query(1795600000 + 100 * $i, $client, $asked, 'A', $outcome, null, intdiv($i, 6)));
        $counts['refused'] += $bits > 0 ? 1 : 0;
        foreach ($refuse as $number) {
            $counts['by'][$number]++;
            $counts['alone'][$number] += count($refuse) === 1 ? 1 : 0;
        }
        if ($bits > 0 && in_array($outcome, ['answered', 'cached'], true)) {
            $breaks[$asked] = ($breaks[$asked] ?? 0) + 1;
        }
        $clients[$client] = [
            ($clients[$client][0] ?? 0) + 1,
            ($clients[$client][1] ?? 0) + ($bits > 0 ? 1 : 0),
        ];
    }
    arsort($breaks);
    ksort($clients);
    $told = array_column(
        array_map(
            fn (array $one): array => [$one['client'], [$one['total'], $one['refused']]],
            $replay->byClient(),
        ),
        1,
        0,
    );
    ksort($told);
    expect([$replay->queries(), $replay->refused()])
        ->toBe([120, $counts['refused']])
        ->and(array_map(fn (int $number): int => $replay->refusedBy(1 << $number), array_keys($given)))
        ->toBe($counts['by'])
        ->and(array_map($replay->onlyBy(...), array_keys($given)))
        ->toBe($counts['alone'])
        ->and($replay->breaks())
        ->toEqual($breaks)
        ->and($told)
        ->toBe($clients)
        ->and($replay->days())
        ->toEqualWithDelta(11900 / 86400, 1e-9)
        ->and(array_column($replay->byHour(), 'total'))
        ->toBe(array_fill(0, 20, 6));
    $all = array_merge(...$given);
    expect([$lists->together()->unique, $lists->together()->folded])
        ->toBe([count(array_unique($all)), count(plainlyFolded($all))])
        ->and($lists->folded())
        ->toBe(array_map(fn (array $entries): int => count(plainlyFolded($entries)), $given));
    foreach ([0.5, 0.9, 1.0] as $share) {
        $wanted = (int) ceil($share * $counts['refused'] - 1e-9);
        $least = 0;
        while ($least <= count($given)) {
            $can = false;
            for ($choice = 0; $choice < 1 << count($given); $choice++) {
                $can =
                    $can ||
                    (substr_count(decbin($choice), '1') === $least && $replay->refusedBy($choice) >= $wanted);
            }
            if ($can) {
                break;
            }
            $least++;
        }
        $smallest = $replay->smallest($share);
        expect(count($smallest['lists']))
            ->toBe($least)
            ->and($smallest['refused'])
            ->toBe(
                $replay->refusedBy(
                    array_sum(array_map(fn (int $number): int => 1 << $number, $smallest['lists'])),
                ),
            )
            ->toBeGreaterThanOrEqual($wanted);
    }
})->with(range(1, 25));

test('a log without dates has no days', function (): void {
    $replay = new Replay(new Lists());
    expect($replay->days())->toBeNull();
    $replay->ask(new Query(null, 'desk', 'a.example', 'A', null, null, null));
    expect($replay->days())->toBeNull();
    $replay->ask(new Query(1795600000, 'desk', 'a.example', 'A', null, null, null));
    expect($replay->days())->toBe(0.0)->and($replay->byHour())->toBe([]);
});
