<?php

declare(strict_types=1);

use Burrow\Household\DriveHealth;
use Burrow\Household\Fill;
use Burrow\Stores\Draw\FillPicture;
use Burrow\Stores\StoresConcern;

/** A drive of larder, with what is said otherwise. */
function drive(mixed ...$with): DriveHealth
{
    return new DriveHealth(
        ...[
            'box' => 'larder',
            'serial' => 'SEED000002',
            'model' => 'store drive',
            'at' => 1_795_705_200,
            'passed' => true,
            'hours' => 20_000,
            'celsius' => 31,
            'reallocated' => 0,
            'reallocatedFirst' => 0,
            'pending' => 0,
            'pendingFirst' => 0,
            'wearPercent' => null,
            ...$with,
        ],
    );
}

test('a counter that grows is worse than one that stands', function (array $with, array $expected): void {
    $found = [];
    foreach (StoresConcern::ofDrive(drive(...$with)) as $finding) {
        $found[$finding->code] = $finding->severity->value;
    }
    expect($found)->toBe($expected);
})->with([
    'a good one' => [[], []],
    'eight, and eight before' => [
        ['reallocated' => 8, 'reallocatedFirst' => 8],
        ['stores.counter_stands' => 'note'],
    ],
    'eight, and two before' => [
        ['reallocated' => 8, 'reallocatedFirst' => 2],
        ['stores.counter_grows' => 'warn'],
    ],
    'one that cannot be read, new' => [['pending' => 1], ['stores.counter_grows' => 'warn']],
    'the first look at all' => [
        ['pending' => 1, 'pendingFirst' => null],
        ['stores.counter_stands' => 'note'],
    ],
    'it says itself that it fails' => [['passed' => false], ['stores.failing' => 'stop']],
    'it says nothing' => [['passed' => null], []],
    'worn' => [['wearPercent' => 80], ['stores.worn' => 'warn']],
    'less worn' => [['wearPercent' => 79], []],
]);

/** @param  callable(int): int  $used  by day */
function fillOf(callable $used, int $days = 60): Fill
{
    $now = (new DateTimeImmutable(THREE_O_CLOCK))->getTimestamp();

    return new Fill(
        'larder',
        '/srv/store',
        500_000_000_000,
        array_map(fn (int $day): array => [$now - ($days - $day) * 86400, $used($day)], range(0, $days)),
    );
}

test('a disk that will be full soon is told, and one that is', function (callable $used, array $codes): void {
    $house = household([dweller('larder')], stores: ['fills' => [fillOf($used)]]);
    expect((new StoresConcern())->findings($house)->codes())->toBe($codes);
})->with([
    'far from it' => [fn (int $day): int => 100_000_000_000 + $day * 100_000_000, []],
    'in a month' => [fn (int $day): int => 300_000_000_000 + $day * 1_500_000_000, ['stores.full_soon']],
    'nearly full' => [fn (int $day): int => 430_000_000_000, ['stores.full']],
]);

test('the picture of a disk stays within its frame, whatever the trend', function (int $seed): void {
    mt_srand($seed);
    $from = mt_rand(0, 500);
    $slope = mt_rand(-20, 40) / 10;
    $fill = fillOf(
        fn (int $day): int => (int) max(0, ($from + $slope * $day + mt_rand(-5, 5)) * 1e9),
        mt_rand(1, 400),
    );
    $picture = FillPicture::of($fill, StoresConcern::forecast($fill));
    preg_match_all(
        '/([\d.-]+) ([\d.-]+)/',
        "{$picture->line} {$picture->band} {$picture->trend}",
        $points,
        PREG_SET_ORDER,
    );
    foreach ($points as [, $x, $y]) {
        expect((float) $x)
            ->toBeGreaterThanOrEqual(FillPicture::LEFT - 0.1)
            ->toBeLessThanOrEqual(FillPicture::RIGHT + 0.1)
            ->and((float) $y)
            ->toBeGreaterThanOrEqual(FillPicture::TOP - 0.1)
            ->toBeLessThanOrEqual(FillPicture::BOTTOM + 0.1);
    }
    expect($points)->not->toBe([]);
})->with(range(1, 20));

test('a warranty that ends soon is told, on its last day too; one that is over is not', function (
    int $hours,
    array $with,
    array $codes,
): void {
    $until = (new DateTimeImmutable(THREE_O_CLOCK))->modify("{$hours} hours");
    $house = household(
        [dweller('larder')],
        stores: ['drives' => [drive(...['warrantyUntil' => $until] + $with)]],
    );
    $found = array_values(
        array_filter(
            (new StoresConcern())->findings($house)->codes(),
            fn (string $code): bool => str_contains($code, 'warranty'),
        ),
    );
    expect($found)->toBe($codes);
})->with([
    'over' => [-25, [], []],
    'this very hour' => [0, [], ['stores.warranty_ends']],
    'the forty-fifth day' => [24 * 45 + 23, [], ['stores.warranty_ends']],
    'the forty-sixth' => [24 * 46, [], []],
    'far off' => [24 * 400, [], []],
    'over, and bad' => [-25, ['passed' => false], []],
    'on, and bad' => [24 * 400, ['passed' => false], ['stores.under_warranty']],
]);

test('how many days are left until a disk is nearly full is told as they begin', function (): void {
    $house = household(
        [dweller('larder')],
        stores: ['fills' => [fillOf(fn (int $day): int => 300_000_000_000 + $day * 1_500_000_000)]],
    );
    // 85 % of it are 425 GB; 390 GB are used, so 23.3 days are left, and the earliest of them that may be is told.
    expect((new StoresConcern())->findings($house)->list[0]->found)->toMatch('/\b2[34] days/');
});
