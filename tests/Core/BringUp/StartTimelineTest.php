<?php

declare(strict_types=1);

use Burrow\BringUp\Draw\StartTimeline;
use Burrow\BringUp\StartStage;

test('later is further to the right, on one scale for all starts', function (): void {
    $picture = StartTimeline::of([
        ['label' => 'now', 'stages' => ['address' => 31.0, 'login' => 40.0]],
        ['label' => 'May', 'stages' => ['address' => 20.0, 'login' => 28.0, 'page' => 80.0]],
        ['label' => 'April', 'stages' => ['address' => 21.0, 'login' => 34.0, 'what nobody knows' => 9.0]],
    ]);
    expect(array_map(fn (array $row): int => count($row['dots']), $picture->rows))->toBe([2, 3, 2]);
    $x = fn (int $row, StartStage $stage): float => array_values(
        array_filter($picture->rows[$row]['dots'], fn (array $dot): bool => $dot['stage'] === $stage),
    )[0]['x'];
    expect($x(1, StartStage::Page))
        ->toBe(StartTimeline::WIDTH - 40)
        ->and($x(0, StartStage::Login) - 120)
        ->toEqualWithDelta(($x(1, StartStage::Page) - 120) / 2, 1e-9)
        ->and($picture->usual)
        ->toBe([$x(1, StartStage::Login), $x(2, StartStage::Login)]);
    $last = -100.0;
    foreach ($picture->marks as $mark) {
        expect($mark['x'] - $last)->toBeGreaterThan(40)->and($mark['x'])->toBeLessThanOrEqual(StartTimeline::WIDTH);
        $last = $mark['x'];
    }
});

test('one start has nothing to be held against, and none is an empty picture', function (): void {
    expect(StartTimeline::of([['label' => 'now', 'stages' => ['login' => 40.0]]])->usual)
        ->toBeNull()
        ->and(StartTimeline::of([])->rows)
        ->toBe([])
        ->and(StartTimeline::of([['label' => 'now', 'stages' => []]])->rows[0]['dots'])
        ->toBe([]);
});
