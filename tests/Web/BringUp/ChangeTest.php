<?php

declare(strict_types=1);

use App\Addresses\Books;
use App\BringUp\RunBook;
use App\BringUp\RunStart;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Dependency;
use App\Models\Network;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Change;
use Burrow\Household\Stage;
use Tests\Bench\BenchProcess;

// A box that is up gets another address or another name: its record says what is so, and nothing sooner.

/** A box in service on the bench, up and at its address. */
function standingOnBench(BenchProcess $bench): Box
{
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);

    return upOnBench($bench, 'wren', '172.22.8.16', '02:4b:1e:90:00:09');
}

/** Plays a change to its end; the titles of steps that did not end at once, with what was said. */
function playChange(Run $run): array
{
    $stuck = [];
    foreach ($run->steps()->orderBy('position')->get() as $step) {
        $said = playStep(
            $run,
            $step->refresh(),
            (new RunBook(
                $run->refresh()->load(['box.jobs', 'box.network', 'steps']),
                app(Playbooks::class),
            ))->step($step),
        );
        $step->refresh()->isFinished() || ($stuck[] = [$step->step, $said]);
    }

    return $stuck;
}

test('a box moves to another address, and the record follows what was looked at', function (): void {
    $bench = new BenchProcess(3000);
    $box = standingOnBench($bench);
    $lantern = Box::query()->where('name', 'lantern')->firstOrFail();
    Dependency::query()->create(['box_id' => $lantern->id, 'on_box_id' => $box->id, 'what' => 'files']);
    $this->asKeeper()
        ->get("/boxes/{$box->id}")
        ->assertSee('Another address');
    $this->post("/boxes/{$box->id}/re-address", ['new_address' => '172.22.8.30']);
    $run = $box->run()->firstOrFail();
    $this->get("/runs/{$run->id}")
        ->assertSee('wren: another address')
        ->assertSee('172.22.8.30 is asked');
    // While it is on its way it is at the old one, and nobody is offered the new one.
    expect($box->refresh()->address)
        ->toBe('172.22.8.16')
        ->and(Books::addresses(Network::home())->check('172.22.8.30')->codes())
        ->toBe(['addresses.taken']);
    expect(playChange($run))->toBe([]);
    $box->refresh();
    expect([$box->address, $box->stage, $run->refresh()->finished_at !== null])
        ->toBe(['172.22.8.30', Stage::InService, true])
        ->and($box->identities->where('kind', 'address')->pluck('value')->sort()->values()->all())
        ->toBe(['172.22.8.16', '172.22.8.30']);
    $steps = $run->steps()->pluck('outcome', 'step');
    expect($steps['new-is-free'])
        ->toBe('nobody at 172.22.8.30')
        ->and($steps['old-is-left'])
        ->toBe('nobody at 172.22.8.16');
    $this->get("/runs/{$run->id}")->assertSee('wren is where it belongs');
    // And back.
    $this->post("/boxes/{$box->id}/re-address", ['new_address' => '172.22.8.16']);
    expect(playChange($box->run()->firstOrFail()))
        ->toBe([])
        ->and($box->refresh()->address)
        ->toBe('172.22.8.16');
});

test('a new address at which somebody answers stops the change at its first step', function (): void {
    $bench = new BenchProcess(3000);
    $box = standingOnBench($bench);
    $run = app(RunStart::class)->alter($box, Change::Address, '172.22.8.16');
    $run->update(['learned' => [...$run->learned, 'new_address' => '172.22.8.16']]);
    $step = $run->steps()->orderBy('position')->firstOrFail();
    $this->asKeeper()->post("/runs/{$run->id}/steps/{$step->id}/check", ['version' => $step->version]);
    expect($step->refresh()->isFinished())
        ->toBeFalse()
        ->and($step->findings[0]['code'])
        ->toBe('bringup.somebody_there');
});

test('an address that is taken, or no address, begins nothing and keeps what was typed', function (
    string $typed,
    string $said,
): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'stage' => Stage::InService]);
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$box->id}/re-address", ['new_address' => $typed])
        ->assertSee($said)
        ->assertSee("value=\"{$typed}\"", false);
    expect($box->run()->exists())->toBeFalse();
})->with([
    ['172.22.8.10', 'belongs to sieve'],
    ['172.22.8.120', 'inside the DHCP pool'],
    ['172.22.8', 'is no IPv4 address'],
    ['172.22.8.16', 'what it has already'],
]);

test('a box gets another name when its run is over, and no sooner', function (): void {
    $bench = new BenchProcess(3000);
    $box = standingOnBench($bench);
    $this->asKeeper()->post("/boxes/{$box->id}/rename", ['new_name' => 'Lark']);
    $run = $box->run()->firstOrFail();
    expect($box->refresh()->name)
        ->toBe('wren')
        ->and(playChange($run))
        ->toBe([])
        ->and($box->refresh()->name)
        ->toBe('lark');
    $this->get("/boxes/{$box->id}")->assertSee('lark');
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/rename", ['new_name' => 'sieve'])
        ->assertSee('Another box is called sieve');
});

test('a box that is not up yet is not changed by a run', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'stage' => Stage::Named]);
    $this->asKeeper()
        ->post("/boxes/{$box->id}/re-address", ['new_address' => '172.22.8.30'])
        ->assertStatus(409);
});

test(
    'a box whose address stands in its own files is told where, and the router is left out',
    function (): void {
        $box = newBox([
            'name' => 'wren',
            'address' => '172.22.8.16',
            'stage' => Stage::InService,
            'fixed_address' => true,
            'user' => 'warden',
        ]);
        $run = app(RunStart::class)->alter($box, Change::Address, '172.22.8.30');
        $ids = $run->steps()->orderBy('position')->pluck('step')->all();
        expect($ids)->toContain('own-file', 'own-file-changed')->not->toContain('reserve-new');
    },
);

test('a name that another box got meanwhile ends nothing, and says so', function (): void {
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'stage' => Stage::InService,
        'user' => 'warden',
    ]);
    $run = app(RunStart::class)->alter($box, Change::Name, 'lark');
    newBox(['name' => 'lark', 'address' => '172.22.8.17']);
    $run->steps()
        ->where('step', '!=', 'name-follows')
        ->update(['state' => RunStep::DONE]);
    $last = $run->steps()->where('step', 'name-follows')->firstOrFail();
    $this->asKeeper()
        ->followingRedirects()
        ->post("/runs/{$run->id}/steps/{$last->id}/done", ['version' => $last->version, 'answer' => 'yes'])
        ->assertOk()
        ->assertSee('Another box is called lark by now');
    expect([$last->refresh()->isFinished(), $box->refresh()->name])->toBe([false, 'wren']);
});

test('what was passed over is taken up before a box is changed', function (): void {
    $run = newRun();
    $run->steps()->update(['state' => RunStep::SKIPPED]);
    $run->update(['finished_at' => now()]);
    $run->box->update(['stage' => Stage::Unfinished]);
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$run->box_id}/re-address", ['new_address' => '172.22.8.30'])
        ->assertSee('Take that up first');
    expect($run->box->run()->firstOrFail()->id)->toBe($run->id);
});
