<?php

declare(strict_types=1);

use Burrow\Ground\Draw\ChamberState;
use Burrow\Ground\Draw\Dwelling;
use Burrow\Ground\Draw\Gathered;

// Very many boxes, gathered by their jobs.

/** @return list<Dwelling> */
function many(int $count, callable $with): array
{
    $boxes = [];
    for ($i = 0; $i < $count; $i++) {
        $boxes[] = $with($i);
    }

    return $boxes;
}

function oneOf(
    int $at,
    string $job,
    ChamberState $state = ChamberState::Answers,
    array $open = [],
    array $on = [],
): Dwelling {
    return new Dwelling("box{$at}", "172.22.8.{$at}", $job, $state, $open, $on, $job);
}

test('up to forty stand for themselves', function (): void {
    $boxes = many(Gathered::SINGLE, fn (int $i): Dwelling => oneOf($i, 'files'));
    expect(Gathered::of($boxes))->toBe($boxes);
});

test('every box is in one chamber, and what can be reached from outside has its own', function (): void {
    $boxes = many(
        300,
        fn (int $i): Dwelling => oneOf(
            $i,
            ['files', 'names', ''][$i % 3],
            ChamberState::Answers,
            $i % 100 === 7 ? ['443 tcp'] : [],
        ),
    );
    $gathered = Gathered::of($boxes);
    expect(array_sum(array_map(fn (Dwelling $one): int => $one->boxes, $gathered)))
        ->toBe(300)
        ->and(array_map(fn (Dwelling $one): string => $one->name, $gathered))
        ->toBe(['box7', 'box107', 'box207', 'files', 'names', 'without a job'])
        ->and($gathered[0]->openings)
        ->toBe(['443 tcp'])
        ->and($gathered[3]->note)
        ->toBe('all answer')
        ->and($gathered[3]->address)
        ->toBe('99 boxes');
});

test('a chamber of many says how many are silent, and the first of those stand out', function (): void {
    $boxes = many(
        60,
        fn (int $i): Dwelling => oneOf($i, 'files', $i < 20 ? ChamberState::Silent : ChamberState::Answers),
    );
    $gathered = Gathered::of($boxes);
    expect(count($gathered))
        ->toBe(13)
        ->and($gathered[0]->state)
        ->toBe(ChamberState::Silent)
        ->and($gathered[12]->note)
        ->toBe('8 silent, 40 answer')
        ->and($gathered[12]->state)
        ->toBe(ChamberState::Silent);
});

test('what hangs on what is kept between chambers and never within one', function (): void {
    $boxes = many(
        50,
        fn (int $i): Dwelling => oneOf(
            $i,
            $i === 0 ? 'names' : 'files',
            ChamberState::Answers,
            [],
            $i > 1 ? ['box0' => 'names', 'box'.($i - 1) => 'copies'] : [],
        ),
    );
    $gathered = Gathered::of($boxes);
    $by = array_combine(array_map(fn (Dwelling $one): string => $one->name, $gathered), $gathered);
    expect($by['files']->dependsOn)
        ->toBe(['box0' => 'names'])
        ->and($by['box0']->dependsOn)
        ->toBe([]);
});
