<?php

declare(strict_types=1);

use App\Bench\BenchClient;
use App\BringUp\RunBook;
use App\BringUp\StartWatch;
use App\Catalogue\Playbooks;
use App\Models\RunStep;
use Burrow\BringUp\StartStage;

// What a box that starts answers first, and when, noted while its step waits.

/** The first boot of wren runs on the bench since so many seconds. */
function firstBoot(int $since): RunStep
{
    $run = newRun();
    $run->box->update(['on_bench' => true, 'address' => null, 'host_key' => null]);
    $step = $run->steps()->where('step', 'first-boot')->firstOrFail();
    $run->steps()
        ->where('position', '<', $step->position)
        ->update(['state' => RunStep::DONE]);
    $step->update(['state' => RunStep::RUNNING, 'began_at' => now()->subSeconds($since)]);

    return $step;
}

beforeEach(fn () => app(BenchClient::class)->ask(['do' => 'load', 'state' => ['speed' => 1000]]));

/** Its board on the bench, with this card and power. */
function wrenBoard(int $box): void
{
    $bench = app(BenchClient::class);
    $bench->ask(['do' => 'load', 'state' => ['speed' => 1000]]);
    $bench->ask([
        'do' => 'insert',
        'board' => "box-{$box}",
        'mac' => '02:4b:1e:90:00:07',
        'class' => 'flint',
        'network_after' => 2,
        'files' => benchCard(),
        'disk' => null,
        'services' => [],
    ]);
    $bench->ask(['do' => 'power', 'board' => "box-{$box}", 'on' => true]);
}

test('stages are noted once, with the seconds since the step began', function (): void {
    $step = firstBoot(40);
    expect(app(StartWatch::class)->look())
        ->toBeTrue()
        ->and($step->refresh()->stages)
        ->toBeNull();

    wrenBoard($step->run->box_id);
    $until = microtime(true) + 10;
    do {
        usleep(100000);
        app(StartWatch::class)->look();
    } while (microtime(true) < $until && ! isset($step->refresh()->stages['login']));
    $stages = $step->refresh()->stages;
    expect($stages)
        ->toHaveKeys(['address', 'login'])
        ->and($stages['login'])
        ->toBeGreaterThanOrEqual($stages['address'])
        ->and($stages['address'])
        ->toBeGreaterThan(39)
        ->toBeLessThan(60);
    app(StartWatch::class)->look();
    expect($step->refresh()->stages)->toBe($stages);
    $this->asKeeper()
        ->get("/runs/{$step->run_id}")
        ->assertSee('remote login answers')
        ->assertSee('It is up.');
    $this->get("/runs/{$step->run_id}", ['HX-Target' => 'stages'])
        ->assertSee('has its address')
        ->assertDontSee('<html', false);
});

test('a box that was up has to go down before its answers count', function (): void {
    $step = firstBoot(5);
    wrenBoard($step->run->box_id);
    $until = microtime(true) + 10;
    do {
        usleep(100000);
        $lease = app(BenchClient::class)->text('leases', 'text');
    } while (microtime(true) < $until && ! str_contains($lease, 'wren'));
    $step->run->box->update(['host_key' => 'SHA256:thistledownthistledownthistledownthistledow']);
    app(StartWatch::class)->look();
    expect($step->refresh()->stages)->toBeNull();
    app(BenchClient::class)->ask(['do' => 'power', 'board' => "box-{$step->run->box_id}", 'on' => false]);
    app(StartWatch::class)->look();
    expect(array_keys($step->refresh()->stages))->toBe([StartStage::Away->value]);
});

test(
    'the next box of its class waits as long as the box took, not as long as the kitchen',
    function (): void {
        $step = firstBoot(0);
        $step->update([
            'state' => RunStep::DONE,
            'began_at' => now()->subSeconds(500),
            'finished_at' => now(),
            'stages' => ['address' => 150.0, 'login' => 170.0],
        ]);
        $step->run->update(['finished_at' => now()]);
        $step->run->box->update(['name' => 'wren-1', 'address' => '172.22.8.44']);
        $next = firstBoot(0);
        $countdown = (new RunBook($next->run->load('steps'), app(Playbooks::class)))
            ->times()
            ->countdown($next);
        expect($countdown?->expected->seconds)
            ->toBe(170.0)
            ->and($countdown->source)
            ->toContain('measured here before');
    },
);

test('where nothing starts there is nothing to watch', function (): void {
    expect(app(StartWatch::class)->look())->toBeFalse();
    $step = runAt('found');
    $step->update(['state' => RunStep::RUNNING, 'began_at' => now()]);
    expect(app(StartWatch::class)->look())
        ->toBeFalse()
        ->and($step->refresh()->stages)
        ->toBeNull();
    $old = firstBootLongAgo();
    expect(app(StartWatch::class)->look())
        ->toBeFalse()
        ->and($old->refresh()->stages)
        ->toBeNull();
});

function firstBootLongAgo(): RunStep
{
    RunStep::query()->delete();
    App\Models\Run::query()->delete();
    App\Models\Box::query()
        ->where('name', 'wren')
        ->update(['name' => 'wren-old', 'address' => null]);

    return firstBoot(4000);
}
