<?php

declare(strict_types=1);

use Burrow\Drawing\Way;
use Burrow\Ground\Draw\Chamber;
use Burrow\Ground\Draw\ChamberState;
use Burrow\Ground\Draw\Dwelling;
use Burrow\Ground\Draw\GroundPicture;
use Burrow\Ground\Draw\GroundPlan;
use Burrow\Plan\Draw\ChainPicture;
use Burrow\Plan\Speed\CopyRate;

/** A burrow of this many boxes, some with openings and some that depend on others. */
function burrow(int $count, int $seed, int $width = GroundPlan::WIDE): GroundPicture
{
    mt_srand($seed);
    $boxes = [];
    for ($i = 0; $i < $count; $i++) {
        $openings =
            mt_rand(0, 4) === 0
                ? array_map(fn (int $n): string => 50000 + $n.' udp', range(1, mt_rand(1, 5)))
                : [];
        $boxes[] = new Dwelling(
            "box{$i}",
            "172.22.8.{$i}",
            'files',
            ChamberState::Answers,
            $openings,
            $i > 0 && mt_rand(0, 2) === 0 ? ['box'.mt_rand(0, $i - 1) => 'names'] : [],
        );
    }

    return GroundPlan::draw($boxes, $width);
}

/** Does a level or upright piece enter the rectangle, more than the given depth from its edge? */
function enters(array $from, array $to, Chamber $chamber, float $depth): bool
{
    [$x1, $x2] = [min($from[0], $to[0]), max($from[0], $to[0])];
    [$y1, $y2] = [min($from[1], $to[1]), max($from[1], $to[1])];

    return $x2 > $chamber->x + $depth &&
        $x1 < $chamber->x + $chamber->width - $depth &&
        $y2 > $chamber->y + $depth &&
        $y1 < $chamber->bottom() - $depth;
}

/** @return list<int> */
dataset('sizes', [1, 2, 3, 4, 6, 7, 12, 16, 17, 30, 60]);

dataset('widths', [GroundPlan::WIDE, GroundPlan::NARROW]);

test('chambers never touch and stay inside the picture', function (int $count, int $width): void {
    $picture = burrow($count, $count, $width);
    expect($picture->width)->toBe((float) $width);
    foreach ($picture->chambers as $i => $a) {
        expect($a->x)
            ->toBeGreaterThanOrEqual(0)
            ->and($a->x + $a->width)
            ->toBeLessThanOrEqual($picture->width)
            ->and($a->y)
            ->toBeGreaterThan($picture->turf)
            ->and($a->bottom())
            ->toBeLessThan($picture->height);
        foreach (array_slice($picture->chambers, $i + 1) as $b) {
            $apart =
                $a->x + $a->width + 8 <= $b->x ||
                $b->x + $b->width + 8 <= $a->x ||
                $a->bottom() + 8 <= $b->y ||
                $b->bottom() + 8 <= $a->y;
            expect($apart)->toBeTrue();
        }
    }
    expect(count($picture->chambers))->toBe($count);
})
    ->with('sizes')
    ->with('widths');

test('no tunnel runs behind a chamber', function (int $count, int $width): void {
    foreach ([1, 2, 3] as $seed) {
        $picture = burrow($count, $seed * 100 + $count, $width);
        $lines = [
            ...$picture->ways,
            ...$picture->passages,
            ...array_map(fn ($shaft) => $shaft->way, $picture->shafts),
        ];
        foreach ($lines as $line) {
            for ($i = 1; $i < count($line->points); $i++) {
                foreach ($picture->chambers as $chamber) {
                    expect(enters($line->points[$i - 1], $line->points[$i], $chamber, 8))->toBeFalse();
                }
            }
        }
    }
})
    ->with('sizes')
    ->with('widths');

test('every box has a way in, and every opening its shaft to the sky', function (int $count): void {
    $picture = burrow($count, 9 + $count);
    $open = array_filter($picture->chambers, fn (Chamber $c) => $c->box->openings !== []);
    expect(count($picture->ways))
        ->toBe($count)
        ->and(count($picture->shafts))
        ->toBeLessThanOrEqual(count($open));
    foreach ($picture->shafts as $shaft) {
        expect($shaft->mouth)
            ->toBeLessThan($picture->turf)
            ->and($shaft->labels)
            ->not->toBe([])
            ->and(count($shaft->labels))
            ->toBeLessThanOrEqual(3);
    }
    expect($open === [])->toBe($picture->shafts === []);
})->with('sizes');

test('a label that would leave the picture stands on the other side', function (): void {
    $boxes = array_map(
        fn (int $i): Dwelling => new Dwelling("box{$i}", '172.22.8.9', '', ChamberState::Answers, [
            '51944 udp, tunnel',
        ]),
        range(1, 4),
    );
    $shafts = GroundPlan::draw($boxes)->shafts;
    usort($shafts, fn ($a, $b) => $a->x <=> $b->x);
    expect($shafts[0]->labelsLeft)->toBeFalse()->and($shafts[3]->labelsLeft)->toBeTrue();
});

test('what can be reached from outside lies in the first row', function (): void {
    $boxes = array_map(
        fn (int $i): Dwelling => new Dwelling(
            "box{$i}",
            '172.22.8.9',
            '',
            ChamberState::Answers,
            $i === 11 ? ['22 tcp'] : [],
        ),
        range(0, 11),
    );
    $open = array_values(
        array_filter(GroundPlan::draw($boxes)->chambers, fn (Chamber $c) => $c->box->openings !== []),
    );
    expect($open[0]->row)->toBe(0);
});

test('an empty burrow can be drawn', function (): void {
    expect(GroundPlan::draw([])->chambers)
        ->toBe([])
        ->and(GroundPlan::draw([])->height)
        ->toBeGreaterThan(300.0);
});

test(
    'thirty boxes stand on one screen with their whole names, those on the way behind those that stand',
    function (): void {
        $names = [
            'attic-scales',
            'bellows',
            'cold-frame',
            'drying-loft',
            'garden-gate',
            'potting-shed',
            'reading-desk',
        ];
        $boxes = [];
        for ($at = 0; $at < 30; $at++) {
            $boxes[] = new Dwelling(
                $names[$at % 7].($at < 7 ? '' : '-'.intdiv($at, 7)),
                "172.22.8.{$at}",
                'files',
                $at < 3 ? ChamberState::Building : ChamberState::Answers,
            );
        }
        $picture = GroundPlan::draw($boxes);
        // The picture is 785 wide of a page of 1280, and begins at 107 of 800.
        expect(($picture->height * 785) / GroundPlan::WIDE)->toBeLessThan(800 - 107);
        foreach ($picture->chambers as $chamber) {
            expect($chamber->name())
                ->toBe($chamber->box->name)
                // By a width of letters that is on the safe side of the font's own.
                ->and($chamber->nameX() + mb_strlen($chamber->name()) * $chamber->nameSize() * 0.56)
                ->toBeLessThanOrEqual($chamber->x + $chamber->width)
                ->and($chamber->lineY(2))
                ->toBeLessThan($chamber->bottom());
        }
        $last = array_slice($picture->chambers, -3);
        expect(array_map(fn ($one): ChamberState => $one->box->state, $last))->toBe(
            array_fill(0, 3, ChamberState::Building),
        );
    },
);

test('long names are cut to their chamber', function (): void {
    $chamber = GroundPlan::draw([
        new Dwelling(str_repeat('w', 63), '172.22.8.16', str_repeat('very long ', 9), ChamberState::Building),
    ])->chambers[0];
    expect(mb_strlen($chamber->name()))
        ->toBeLessThan(20)
        ->and($chamber->note())
        ->toEndWith('…');
});

test('a tunnel is a path from its first to its last point', function (): void {
    $path = (new Way([[0.0, 0.0], [0.0, 100.0], [50.0, 100.0]]))->path(10, 4);
    expect($path)->toStartWith('M0.0 0.0')->toEndWith('50.0 100.0')->toContain('Q0.0 100.0 10.0 100.0');
});

test('pieces of the chain are as wide as what they let through', function (): void {
    $copy = CopyRate::of(plan('cobble')) ?? throw new LogicException();
    $pieces = ChainPicture::of($copy)->pieces;
    $byName = array_column(
        array_map(fn ($p) => ['name' => $p['limit']->name, 'height' => $p['height']], $pieces),
        'height',
        'name',
    );
    expect($byName['disk'])
        ->toBe(72.0)
        ->and($byName['processor'] / $byName['disk'])
        ->toEqualWithDelta(41.67 / 380, 0.001)
        ->and(array_values(array_filter($pieces, fn ($p) => $p['narrowest']))[0]['limit']->name)
        ->toBe('network');
});
