<?php

declare(strict_types=1);

use App\Journal\Measures;
use App\Models\Box;
use App\Models\ConditionSample;
use App\Models\FillSample;
use App\Models\Measurement;
use App\Models\Run;
use App\Models\RunStep;

// What was measured, by kind and box, and nothing that cannot be so.

test('each kind comes from its own record, the newest first', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16']);
    foreach ([[100, 0.5], [0, 0.5], [110, 2]] as [$rate, $idle]) {
        Measurement::query()->create(['box_id' => $box->id, 'megabytes' => $rate, 'idle' => $idle]);
    }
    Measurement::query()->create(['box_id' => $box->id, 'board_celsius' => 61.5, 'room_celsius' => 21]);
    $run = Run::query()->create(['box_id' => $box->id, 'learned' => []]);
    $step = fn (string $id, int $position, array $more): RunStep => RunStep::query()->create(
        [
            'run_id' => $run->id,
            'step' => $id,
            'position' => $position,
            'state' => RunStep::DONE,
            'began_at' => now()->subMinutes(12),
            'finished_at' => now(),
        ] + $more,
    );
    $step('first-start', 1, ['stages' => ['address' => 20.0, 'login' => 41.0]]);
    $step('index', 2, []);
    $step('upgrade', 3, []);
    FillSample::query()->create([
        'box_id' => $box->id,
        'mount' => '/srv',
        'bytes' => 1000,
        'used_bytes' => 250,
        'taken_at' => now(),
    ]);
    ConditionSample::query()->create([
        'box_id' => $box->id,
        'celsius' => 48.3,
        'volts' => 5.1,
        'undervoltage' => true,
        'throttled' => false,
        'taken_at' => now(),
    ]);
    $values = fn (string $what): array => array_map(
        fn (float $one): float => round($one, 1),
        array_column(Measures::readings($box, $what), 'value'),
    );
    expect([$values('copy'), $values('heat'), $values('start'), $values('update'), $values('fill')])
        ->toBe([[100.0], [40.5], [41.0], [12.0], [25.0]])
        ->and(array_map($values, ['celsius', 'volts', 'undervoltage', 'throttled']))
        ->toBe([[48.3], [5.1], [1.0], [0.0]]);
    foreach (array_keys(Measures::ALL) as $what) {
        expect(Box::query()->whereIn('id', Measures::boxes($what))->pluck('name')->all())->toContain('wren');
        $this->asKeeper()
            ->get("/journal/measured?what={$what}")
            ->assertSee('wren');
        $this->get("/journal/compare?what={$what}&a=wren&since=2026-01-01")->assertOk();
    }
    // A day cuts.
    expect(Measures::readings($box, 'fill', null, new DateTimeImmutable('2020-01-01')))->toBe([]);
});

test('a house in which nothing was measured says so', function (): void {
    Measurement::query()->delete();
    $this->asKeeper()->get('/journal/measured?what=heat')->assertSee('Nothing of this kind was measured yet');
    $this->get('/journal/measured?what=%00%ff')->assertOk();
});
