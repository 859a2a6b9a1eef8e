<?php

declare(strict_types=1);

use App\BringUp\RunStart;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Service;
use Burrow\Household\Stage;
use Tests\Bench\BenchProcess;

// What happens to a box over the years: steps once more, one job less, and made anew when it died.

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
