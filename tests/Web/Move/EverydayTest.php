<?php

declare(strict_types=1);

use App\BringUp\RunBook;
use App\BringUp\RunStart;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\Service;
use Burrow\Household\Stage;
use Tests\Bench\BenchProcess;

// What happens to a box over the years: steps once more, one job less, and made anew when it died.

/** A box for one job with its card in a board of the bench, not yet brought up. */
function carded(BenchProcess $bench, string $job, string $mac): Box
{
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'user' => 'warden',
        'login' => 'key',
        'on_bench' => true,
        'image' => 'server-64',
        'card_written_at' => now(),
    ]);
    $box->jobs()->update(['job' => $job, 'school' => 'package']);
    intoBoard($bench, $box, $mac);

    return $box->refresh();
}

function intoBoard(BenchProcess $bench, Box $box, string $mac): void
{
    $bench->ask([
        'do' => 'insert',
        'board' => "box-{$box->id}",
        'mac' => $mac,
        'class' => 'Flint',
        'network_after' => 20,
        'files' => (object) benchCard('wren', ['parted']),
        'disk' => null,
    ]);
}

/** Plays what is open of a run; what was said at the step that did not end, or null. */
function playOn(Run $run): ?string
{
    foreach ($run->steps()->orderBy('position')->get() as $step) {
        if ($step->isFinished()) {
            continue;
        }
        $book = new RunBook(
            $run->refresh()->load(['box.jobs', 'box.network', 'steps']),
            app(Playbooks::class),
        );
        $said = playStep($run, $step, $book->step($step));
        if ($step->refresh()->state !== RunStep::DONE) {
            return "{$step->step}: {$said}";
        }
    }

    return null;
}

test(
    'a box that died is made anew from its records: the same name and address, another board, and in service only at its end',
    function (): void {
        $bench = new BenchProcess(3000);
        $box = carded($bench, 'dns-filter', '02:4b:1e:90:00:09');
        $this->asKeeper();
        expect(playOn(app(RunStart::class)->begin($box)))->toBeNull();
        $key = $box->refresh()->host_key;
        expect($box->stage)->toBe(Stage::InService)->and($box->mac)->toBe('02:4b:1e:90:00:09');
        // While it answers it is not dead.
        $box->update(['asked_at' => now(), 'answered_at' => now(), 'silent_since' => null]);
        $this->followingRedirects()
            ->post("/boxes/{$box->id}/lost", ['rebuild_name' => 'wren'])
            ->assertSee('is moved, not made anew');
        $bench->ask(['do' => 'power', 'board' => "box-{$box->id}", 'on' => false]);
        $box->update(['silent_since' => now()->subHour()]);
        $this->followingRedirects()
            ->post("/boxes/{$box->id}/lost", ['rebuild_name' => 'wern'])
            ->assertSee('Type wren');
        expect($box->refresh()->stage)->toBe(Stage::InService);
        $this->post("/boxes/{$box->id}/lost", ['rebuild_name' => 'wren'])->assertRedirect(
            "/boxes/{$box->id}/card",
        );
        $box->refresh();
        expect([$box->stage, $box->address, $box->mac, $box->host_key])->toBe([
            Stage::Named,
            '172.22.8.16',
            null,
            null,
        ]);
        // Another board, with the card made anew.
        intoBoard($bench, $box, '02:4b:1e:90:00:44');
        $box->update(['card_written_at' => now()]);
        $run = app(RunStart::class)->begin($box->refresh());
        $ids = $run->steps()->orderBy('position')->pluck('step')->all();
        expect(
            array_slice(
                array_values(
                    array_intersect($ids, [
                        'find',
                        'filter-names',
                        'restore-copies',
                        'restore-known',
                        'restore-desk',
                        'restore-holders',
                    ]),
                ),
                -4,
            ),
        )->toBe(['restore-copies', 'restore-known', 'restore-desk', 'restore-holders']);
        expect($box->refresh()->isInService())->toBeFalse();
        expect(playOn($run))->toBeNull();
        $box->refresh();
        expect([$box->stage, $box->mac, $box->made_anew_at])
            ->toBe([Stage::InService, '02:4b:1e:90:00:44', null])
            ->and($box->host_key)
            ->not->toBe($key)
            ->and($box->identities->where('kind', 'mac')->pluck('value')->sort()->values()->all())
            ->toBe(['02:4b:1e:90:00:09', '02:4b:1e:90:00:44'])
            ->and(JournalEntry::query()->where('text', 'like', '%made anew from its records%')->exists())
            ->toBeTrue();
    },
);

test(
    'steps of a box in service are played once more from one of them on, and it stays in service',
    function (): void {
        $bench = new BenchProcess(3000);
        $box = carded($bench, 'dns-filter', '02:4b:1e:90:00:09');
        $this->asKeeper();
        expect(playOn(app(RunStart::class)->begin($box)))->toBeNull();
        $all = $box->run()->firstOrFail()->steps()->orderBy('position')->pluck('step')->all();
        // From the middle on a step may find its own work and want to be passed over; the end is looked at anew.
        $from = $all[count($all) - 3];
        $this->get("/boxes/{$box->id}")
            ->assertSee('Its steps once more')
            ->assertDontSee('Play them again');
        $this->get("/boxes/{$box->id}?again=1")->assertSee('Play them again');
        $this->followingRedirects()
            ->post("/boxes/{$box->id}/again", ['again_from' => 'no-such-step'])
            ->assertSee('no such step');
        $this->post("/boxes/{$box->id}/again", ['again_from' => $from]);
        $run = $box->run()->firstOrFail();
        expect($run->steps()->orderBy('position')->pluck('step')->all())
            ->toBe(array_slice($all, -3))
            ->and($box->refresh()->stage)
            ->toBe(Stage::InService);
        $this->followingRedirects()
            ->post("/boxes/{$box->id}/again", ['again_from' => $from])
            ->assertSee('under way');
        expect(playOn($run))
            ->toBeNull()
            ->and($box->refresh()->stage)
            ->toBe(Stage::InService);
        $this->get("/runs/{$run->id}")->assertSee('Played again: wren');
        $box->update(['stage' => Stage::Unfinished]);
        $this->post("/boxes/{$box->id}/again", ['again_from' => $from])->assertStatus(409);
    },
);

test(
    'one job less: the record forgets it and its own ports when the run is over, and no sooner',
    function (): void {
        $bench = new BenchProcess(3000);
        config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
        $box = upOnBench($bench, 'wren', '172.22.8.16', '02:4b:1e:90:00:09');
        $box->jobs()->create(['job' => 'dns-filter', 'school' => 'package', 'finished_at' => now()]);
        foreach ([[22, 'tcp'], [53, 'udp'], [53, 'tcp'], [445, 'tcp']] as [$port, $protocol]) {
            Service::query()->create([
                'box_id' => $box->id,
                'port' => $port,
                'protocol' => $protocol,
                'purpose' => 'x',
            ]);
        }
        $this->asKeeper()
            ->get("/boxes/{$box->id}")
            ->assertSee('One job less');
        $this->followingRedirects()
            ->post("/boxes/{$box->id}/drop-job", ['drop_job' => 'print-host'])
            ->assertSee('Choose one of its jobs');
        $this->post("/boxes/{$box->id}/drop-job", ['drop_job' => 'dns-filter']);
        $run = $box->run()->firstOrFail();
        $this->get("/runs/{$run->id}")->assertSee('wren: one job less');
        expect($box->jobs()->count())->toBe(2);
        foreach (['drop-holders', 'drop-copied'] as $id) {
            $step = $run->steps()->where('step', $id)->firstOrFail();
            $this->post("/runs/{$run->id}/steps/{$step->id}/done", [
                'version' => $step->version,
                'answer' => 'no',
            ]);
            expect($step->refresh()->isFinished())->toBeFalse();
        }
        expect(playOn($run))->toBeNull();
        $ports = Service::query()->where('box_id', $box->id)->orderBy('port')->get();
        expect($box->jobs()->pluck('job')->all())
            ->toBe(['file-store'])
            ->and($ports->map(fn (Service $one): string => "{$one->port}/{$one->protocol}")->all())
            ->toBe(['22/tcp', '445/tcp'])
            ->and($box->refresh()->stage)
            ->toBe(Stage::InService);
    },
);

/** The fingerprint that a board of the bench shows. */
function keyOf(BenchProcess $bench, Box $box): string
{
    return array_column($bench->ask(['do' => 'status'])['boards'], 'fingerprint', 'id')["box-{$box->id}"];
}

test(
    'its card goes into another board: the same key at the same address, and the record has that board at the end',
    function (): void {
        $bench = new BenchProcess(3000);
        config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
        $box = upOnBench($bench, 'wren', '172.22.8.16', '02:4b:1e:90:00:09');
        $this->asKeeper();
        // Its key is kept as it was met.
        $box->update([
            'host_key' => keyOf($bench, $box),
            'host_key_at' => now(),
            'board' => 'flint',
        ]);
        $this->get("/boxes/{$box->id}/parts?board=cobble")->assertSee('Be led through it');
        $this->post("/boxes/{$box->id}/parts/lead", ['supply' => $box->supply])->assertRedirect(
            "/boxes/{$box->id}/parts",
        );
        $this->post("/boxes/{$box->id}/parts/lead", ['board' => 'cobble'])->assertRedirect();
        $run = $box->run()->firstOrFail();
        $this->get("/runs/{$run->id}")
            ->assertSee('wren: another board')
            ->assertSee('Way back from here');
        $step = fn (string $id): RunStep => $run->steps()->where('step', $id)->firstOrFail();
        $played = fn (string $id): bool => (bool) (playStep(
            $run->refresh()->load(['box.jobs', 'box.network', 'steps']),
            $step($id),
            (new RunBook($run, app(Playbooks::class)))->step($step($id)),
        ) !== '' && $step($id)->isFinished());
        expect($played('board-copied'))->toBeTrue()->and($played('board-off'))->toBeTrue();
        $bench->ask(['do' => 'swap', 'board' => "box-{$box->id}", 'mac' => '02:4b:1e:90:00:55']);
        expect($played('board-across'))
            ->toBeTrue()
            ->and($box->refresh()->board)
            ->toBe('flint');
        expect(playOn($run))->toBeNull();
        $box->refresh();
        expect([$box->mac, $box->address, $box->board, $box->stage])
            ->toBe(['02:4b:1e:90:00:55', '172.22.8.16', 'cobble', Stage::InService])
            ->and(JournalEntry::query()->where('kind', 'identity')->latest('id')->value('text'))
            ->toContain('the same card in another board')
            ->and(JournalEntry::query()->where('kind', 'parts')->latest('id')->value('text'))
            ->toContain('→')
            ->and(twoAtOne($bench))
            ->toBe([]);
    },
);

test(
    'its board gets another card: a copied one shows the key that is kept, one from an image a new one, expected only then',
    function (string $how, bool $sameKey, bool $says, bool $over): void {
        $bench = new BenchProcess(3000);
        config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
        $box = upOnBench($bench, 'wren', '172.22.8.16', '02:4b:1e:90:00:09');
        $this->asKeeper();
        $key = keyOf($bench, $box);
        $box->update(['host_key' => $key, 'host_key_at' => now()->subDay(), 'card' => 'card-32-a1']);
        $this->post("/boxes/{$box->id}/parts/lead", ['card' => 'card-64-endurance']);
        $run = $box->run()->firstOrFail();
        $at = fn (string $id) => $run->steps()->where('step', $id)->firstOrFail();
        foreach (['card-copied', 'card-off'] as $id) {
            playStep(
                $run->refresh()->load(['box.jobs', 'box.network', 'steps']),
                $at($id),
                (new RunBook($run, app(Playbooks::class)))->step($at($id)),
            );
            expect([$id, $at($id)->isFinished()])->toBe([$id, true]);
        }
        $sameKey || intoBoard($bench, $box, '02:4b:1e:90:00:09');
        $this->post("/runs/{$run->id}/steps/{$at('card-made')->id}/done", [
            'version' => $at('card-made')->version,
            'card_made' => $how,
        ]);
        expect($at('card-made')->isFinished())->toBe($how !== '');
        if ($how === '') {
            return;
        }
        $said = playOn($run);
        expect($said === null)
            ->toBe($over)
            ->and($box->refresh()->card)
            ->toBe($over ? 'card-64-endurance' : 'card-32-a1')
            ->and($box->host_key === $key)
            ->toBe($sameKey || ! $over);
        $says && expect((string) $said)->toContain('host_key_changed');
    },
)->with([
    'copied whole' => ['copied', true, false, true],
    'from an image' => ['image', false, false, true],
    // Somebody says copied, and another system shows itself: the run stops there.
    'said to be copied, and it is not' => ['copied', false, true, false],
    'nothing said' => ['', true, false, false],
]);
