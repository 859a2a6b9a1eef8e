<?php

declare(strict_types=1);

use Burrow\Filter\FilterAnswer;
use Burrow\Filter\FilterConcern;
use Burrow\Filter\ListMemory;
use Burrow\Filter\Lists;
use Burrow\Filter\Replay;
use Burrow\Filter\Workbench;
use Burrow\Household\NameCheck;
use Burrow\Household\NameExpected;
use Burrow\Intake\Names\QueryLog;
use Burrow\Judgement\Findings;

// All that is reckoned of drawn lists and a drawn log: reckoned/ holds it. That each list's share is right is held
// against a plain count in WorkbenchTest and ReplayTest.

/** @return array{array<string, list<string>>, list<string>} lists by name, and the lines of a log of nine days */
function drawnLists(int $seed): array
{
    mt_srand($seed);
    $names = [];
    foreach (range(1, 24) as $i) {
        $names[] = ["n{$i}.example", "a.n{$i}.example", "b.a.n{$i}.test", "x{$i}.test"][mt_rand(0, 3)];
    }
    $lists = [];
    foreach (range(1, 3 + ($seed % 4)) as $number) {
        $lines = ['# a list'];
        foreach ($names as $name) {
            $lines[] = match (mt_rand(0, 8)) {
                0 => $name,
                1 => "0.0.0.0 {$name}",
                2 => "*.{$name}",
                3 => "||{$name}^",
                4 => "||{$name}/path^",
                5 => mt_rand(0, 3) === 0 ? "@@||{$name}^" : '',
                default => '! words',
            };
        }
        $lists["list {$number}"] = array_combine(range(1, count($lines)), $lines);
    }
    $log = ['time,client,name,answer'];
    foreach (range(1, 260) as $i) {
        $name = $names[(int) ((mt_rand(0, 23) * mt_rand(0, 100)) / 100)];
        $log[] =
            sprintf('2026-11-%02dT%02d:%02d:00Z', 16 + intdiv($i, 30), mt_rand(0, 23), mt_rand(0, 59)).
            ',172.22.8.'.
            mt_rand(20, 24).
            ','.
            (mt_rand(0, 4) === 0 ? "sub.{$name}" : $name).
            ','.
            (mt_rand(0, 5) === 0 ? 'refused' : 'answered');
    }

    return [$lists, $log];
}

test('what is reckoned of lists and a log', function (int $seed): void {
    [$lists, $log] = drawnLists($seed);
    $all = new Lists();
    foreach ($lists as $name => $lines) {
        $all->add($name, $lines);
    }
    $replay = new Replay($all);
    $read = new QueryLog();
    foreach ($log as $line) {
        array_map($replay->ask(...), $read->line($line) ?? []);
    }
    array_map($replay->ask(...), $read->rest());
    $answer = new FilterAnswer($all, $replay, Findings::of());
    $now =
        json_encode(
            [
                $answer->sentence(),
                $answer,
                Workbench::of($lists, ['n7.example', '*.Test'], $log, fn (): bool => true)->told(),
                array_column(ListMemory::of($all->together()->unique), 'count'),
            ],
            CORPUS_JSON | JSON_PRETTY_PRINT,
        )."\n";
    expect($now)->toBe(onFile(__DIR__."/reckoned/{$seed}.json", $now));
})->with([1, 2, 3, 4]);

test('what was seen to hold is told when it is old', function (string $via, int $hours, bool $old): void {
    $asked = (new DateTimeImmutable(THREE_O_CLOCK))->modify("-{$hours} hours");
    $check = new NameCheck(
        1,
        'sieve',
        'listed.example',
        NameExpected::Refused,
        $via,
        'refused',
        true,
        $asked,
    );
    $found = (new FilterConcern())->findings(household([dweller('sieve')], told: ['names' => [$check]]));
    expect(in_array('filter.proof_old', $found->codes(), true))->toBe($old);
})->with([
    ['', 71, false],
    ['', 72, true],
    ['reading-desk', 24 * 91 - 1, false],
    ['reading-desk', 24 * 91, true],
]);

test('three checks are named, of more it is said that there are more', function (
    int $many,
    string $named,
): void {
    $checks = array_map(
        fn (int $at): NameCheck => new NameCheck(
            $at,
            'sieve',
            "n{$at}.example",
            NameExpected::Refused,
            $at === 2 ? 'reading-desk' : '',
            'answered',
        ),
        range(1, $many),
    );
    expect(FilterConcern::named($checks))->toBe($named);
})->with([
    [1, 'n1.example: answered'],
    [3, 'n1.example: answered; n2.example asked by reading-desk: answered; n3.example: answered'],
    [4, 'n1.example: answered; n2.example asked by reading-desk: answered; n3.example: answered; and more'],
]);
