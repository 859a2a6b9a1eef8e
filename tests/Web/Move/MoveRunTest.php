<?php

declare(strict_types=1);

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Dependency;
use App\Models\JournalEntry;
use App\Models\Opening;
use App\Models\Run;
use Burrow\Household\Stage;
use Tests\Bench\BenchProcess;

// What one box does moves to another, on the bench, with real questions to real addresses.

/** @return array{BenchProcess, Box, Box} the bench, the old box and the new one */
function moving(): array
{
    $bench = new BenchProcess(3000);
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);

    return [
        $bench,
        upOnBench($bench, 'kettle', '172.22.8.31', '02:4b:1e:90:00:31'),
        upOnBench($bench, 'wren', '172.22.8.32', '02:4b:1e:90:00:32'),
    ];
}

/** Plays one step of a move as somebody at the bench would; what was said when it is not over. */
function moveStep(Run $run, string $id, array $given = []): ?string
{
    $run = $run->refresh()->load(['box.jobs', 'box.network', 'steps']);
    $step = $run->steps->firstWhere('step', $id);
    if ($given !== []) {
        test()->post("/runs/{$run->id}/steps/{$step->id}/done", ['version' => $step->version, ...$given]);

        return $step->refresh()->isFinished() ? null : (string) json_encode($step->findings);
    }
    $said = playStep($run, $step, (new RunBook($run, app(Playbooks::class)))->step($step));

    return $step->refresh()->isFinished() ? null : $said;
}

test(
    'a box takes another one’s place: never two at one address, and nothing of the record before it answered',
    function (): void {
        [$bench, $old, $new] = moving();
        $lantern = Box::query()->where('name', 'lantern')->firstOrFail();
        $hangs = Dependency::query()->create([
            'box_id' => $lantern->id,
            'on_box_id' => $old->id,
            'what' => 'files',
        ]);
        $opening = Opening::query()->create([
            'box_id' => $old->id,
            'outside_port' => 58123,
            'inside_port' => 443,
            'protocol' => 'tcp',
            'purpose' => 'pages',
            'reason' => 'seen from outside',
            'review_on' => '2027-01-01',
        ]);
        $this->asKeeper()
            ->get("/boxes/{$old->id}/move?to={$new->id}&backup_gb=2.4")
            ->assertSee('wren can take over. The house is without it for about 21 min')
            ->assertSee('lantern');
        $this->post("/boxes/{$old->id}/move", [
            'to' => $new->id,
            'school' => 'dummy',
            'takes_name' => '1',
            'kept_until' => now()->addDays(30)->format('Y-m-d'),
        ])->assertRedirect();
        $run = $new->run()->firstOrFail();
        $this->get("/runs/{$run->id}")
            ->assertSee('kettle moves to wren')
            ->assertSee('Way back from here');
        expect(moveStep($run, 'move-counted', ['counted' => 'nothing 99999999']))
            ->toContain('line_not_counted')
            ->and(moveStep($run, 'move-counted', ['counted' => "12 devices\n7 automations"]))
            ->toBeNull()
            ->and(moveStep($run, 'move-backup'))
            ->toBeNull()
            ->and(moveStep($run, 'move-sum', ['pasted' => hash('sha256', 'x').'  full.tar']))
            ->toBeNull()
            ->and(moveStep($run, 'move-ready'))
            ->toBeNull()
            ->and(moveStep($run, 'move-parts'))
            ->toBeNull();
        // By word it is off; in truth it is not. The next step finds out, and nothing has changed.
        $step = $run->steps()->where('step', 'move-old-off')->firstOrFail();
        $this->post("/runs/{$run->id}/steps/{$step->id}/start", ['version' => $step->version]);
        $this->post("/runs/{$run->id}/steps/{$step->id}/done", ['version' => $step->refresh()->version]);
        expect($step->refresh()->isFinished())
            ->toBeTrue()
            ->and(moveStep($run, 'move-old-silent'))
            ->toContain('somebody_there')
            ->and($old->refresh()->address)
            ->toBe('172.22.8.31');
        // Taken back, and done: now it is silent.
        $this->post("/runs/{$run->id}/steps/{$step->id}/reopen", ['reopened' => $step->version]);
        $this->post("/runs/{$run->id}/steps/{$step->id}/old-off", ['version' => $step->refresh()->version]);
        $bench->until(fn () => ! $bench->isOpen('127.22.8.31', 22));
        expect(moveStep($run, 'move-old-off'))
            ->toBeNull()
            ->and(moveStep($run, 'move-old-silent'))
            ->toBeNull()
            ->and(moveStep($run, 'move-card-aside'))
            ->toBeNull()
            ->and([$old->refresh()->address, $new->refresh()->address])
            ->toBe(['172.22.8.31', '172.22.8.32']);
        // On the wire there is never more than one at the old address, from here to the end.
        expect(moveStep($run, 'reserve-new'))->toBeNull()->and(moveStep($run, 'change-restart'))->toBeNull();
        $answers = $bench->isOpen('127.22.8.32', 22) && $bench->isOpen('127.22.8.31', 22);
        expect($answers)->toBeFalse()->and(moveStep($run, 'new-answers'))->toBeNull();
        expect($bench->isOpen('127.22.8.32', 22))
            ->toBeFalse()
            ->and([$new->refresh()->address, $old->refresh()->address, $old->stage, $old->name])
            ->toBe(['172.22.8.31', null, Stage::Retired, 'kettle-before'])
            ->and($hangs->refresh()->on_box_id)
            ->toBe($new->id)
            ->and($opening->refresh()->box_id)
            ->toBe($new->id);
        foreach (['move-old-entry', 'move-name', 'move-restore', 'move-login'] as $id) {
            expect(moveStep($run, $id))->toBeNull();
        }
        // One is missing: it is named, and the run does not end.
        expect(moveStep($run, 'move-counted-again', ['counted' => "11 devices\n7 automations"]))
            ->toContain('devices (11 of 12)')
            ->and(moveStep($run, 'move-counted-again', ['counted' => "automations: 7\nDevices: 12"]))
            ->toBeNull()
            ->and(moveStep($run, 'move-holders'))
            ->toBeNull()
            ->and(moveStep($run, 'move-old-end'))
            ->toBeNull();
        expect($run->refresh()->finished_at)
            ->not->toBeNull()
            ->and($new->refresh()->name)
            ->toBe('kettle')
            ->and($new->stage)
            ->toBe(Stage::InService)
            ->and(JournalEntry::query()->where('kind', 'moved')->sole()->text)
            ->toContain('7 automations, 12 Devices');
        // From beginning to end, moment by moment: nobody was where another one was. The list would show it: that both
        // were there at different times stands in it.
        $wire = $bench->ask(['do' => 'wire'])['wire'];
        $held = array_filter($wire, fn (array $one): bool => $one['address'] === '172.22.8.31');
        expect(array_values(array_unique(array_column($held, 'board'))))
            ->toBe(["box-{$old->id}", "box-{$new->id}"])
            ->and(twoAtOne($bench))
            ->toBe([]);
        // The way back is refused while the new one answers, and goes the whole way when it is off.
        $this->get("/runs/{$run->id}/back")->assertSee('kettle gets its address');
        $this->followingRedirects()
            ->post("/runs/{$run->id}/back")
            ->assertSee('still answers at 172.22.8.31');
    },
);

test('the way back gives the old one what it had, once the new one is silent', function (): void {
    [$bench, $old, $new] = moving();
    $lantern = Box::query()->where('name', 'lantern')->firstOrFail();
    $hangs = Dependency::query()->create([
        'box_id' => $lantern->id,
        'on_box_id' => $old->id,
        'what' => 'files',
    ]);
    $this->asKeeper()->post("/boxes/{$old->id}/move", [
        'to' => $new->id,
        'school' => 'welcome',
        'takes_name' => '1',
        'takes_disk' => '1',
        'kept_until' => now()->addDays(9)->format('Y-m-d'),
    ]);
    $run = $new->run()->firstOrFail();
    $drive = $new->drive;
    $store = App\Models\Store::query()->create([
        'box_id' => $old->id,
        'label' => 'store',
        'mount_point' => '/srv/store',
        'share' => 'store',
    ]);
    $old->update(['drive' => 'ssd-500']);
    (new App\BringUp\TakeOver())->forth($run);
    expect([$store->refresh()->box_id, $new->refresh()->drive])->toBe([$new->id, 'ssd-500']);
    $new->update(['address' => '172.22.8.31', 'name' => 'kettle']);
    foreach ([$old, $new] as $box) {
        $bench->ask(['do' => 'power', 'board' => "box-{$box->id}", 'on' => false]);
    }
    $bench->until(fn () => ! $bench->isOpen('127.22.8.31', 22));
    $this->post("/runs/{$run->id}/back")->assertRedirect("/boxes/{$old->id}");
    expect([$old->refresh()->address, $old->name, $old->stage])
        ->toBe(['172.22.8.31', 'kettle', Stage::Unfinished])
        ->and([$new->refresh()->address, $new->name])
        ->toBe(['172.22.8.32', 'wren'])
        ->and($hangs->refresh()->on_box_id)
        ->toBe($old->id)
        ->and([$store->refresh()->box_id, $new->drive])
        ->toBe([$old->id, $drive]);
    // Twice is no way.
    $this->followingRedirects()
        ->post("/runs/{$run->id}/back")
        ->assertSee('The way back is closed');
});

test('what cannot take over is told, and begins nothing', function (): void {
    $old = newBox(['name' => 'kettle', 'address' => '172.22.8.31', 'stage' => Stage::InService]);
    $new = newBox(['name' => 'wren', 'address' => '172.22.8.32', 'stage' => Stage::Named]);
    $this->asKeeper()
        ->get("/boxes/{$old->id}/move?to={$new->id}")
        ->assertSee('wren is not up yet');
    $this->get("/boxes/{$old->id}/move?to={$old->id}")->assertSee('That is the same box');
    $post = ['school' => 'x', 'kept_until' => now()->addDays(9)->format('Y-m-d')];
    foreach ([['to' => $new->id], ['to' => $old->id], ['to' => 'none'], []] as $to) {
        $this->post("/boxes/{$old->id}/move", $post + $to)->assertRedirect();
    }
    $new->update(['stage' => Stage::InService]);
    foreach (['2020-01-01', '2199-01-01', '2026-02-31', "2027-01-01\0", 'soon', ''] as $day) {
        $this->post("/boxes/{$old->id}/move", ['to' => $new->id, 'kept_until' => $day])->assertRedirect();
    }
    expect(Run::query()->where('change', 'move')->exists())->toBeFalse();
});

test('a program on a desk computer hands over to a box', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.32', 'stage' => Stage::InService]);
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$box->id}/from-desk", ['program' => '', 'desk_name' => 'desk'])
        ->assertSee('Say which program it is');
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/from-desk", [
            'program' => 'the surface <b>',
            'desk_name' => 'desk',
        ])
        ->assertSee('the surface &lt;b&gt; moves to wren', false);
    $run = $box->run()->firstOrFail();
    expect($run->steps()->orderBy('position')->pluck('step')->all())->toBe([
        'desk-counted',
        'desk-export',
        'desk-closed',
        'desk-plugged',
        'desk-import',
        'desk-restart',
        'desk-back',
        'desk-scanned',
        'desk-counted-again',
        'desk-kept',
    ]);
});
