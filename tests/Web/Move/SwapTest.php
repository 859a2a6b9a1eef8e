<?php

declare(strict_types=1);

use App\BringUp\RunBook;
use App\BringUp\RunStart;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\Store;
use Burrow\Household\Stage;
use Tests\Bench\BenchProcess;

// Another board, card, disk, supply or case for a box in service: led through, measured, and on record at its end.

const OLD_DISK = ['bytes' => 500107862016, 'serial' => 'SEED000001'];

/** A box that was brought up on the bench to its end. */
function standing(BenchProcess $bench, string $job, ?array $disk = null): Box
{
    $box = carded($bench, $job, '02:4b:1e:90:00:09', $disk);
    expect(playOn(app(RunStart::class)->begin($box)))->toBeNull();

    return $box->refresh();
}

/** Plays the steps of a run up to one, which stays open. */
function playUpTo(Run $run, string $until): void
{
    foreach ($run->steps()->orderBy('position')->get() as $step) {
        if ($step->step === $until) {
            return;
        }
        $said = $step->isFinished() ? '' : playOne($run, $step->step);
        expect([$step->step, $step->refresh()->isFinished(), $said])->toBe([$step->step, true, $said]);
    }
}

function stepOf(Run $run, string $id): RunStep
{
    return $run->steps()->where('step', $id)->firstOrFail();
}

function playOne(Run $run, string $id): string
{
    $book = new RunBook($run->refresh()->load(['box.jobs', 'box.network', 'steps']), app(Playbooks::class));

    return playStep($run, stepOf($run, $id), $book->step(stepOf($run, $id)));
}

test(
    'another supply is over when the voltage held, and not before; the record has it then',
    function (): void {
        $bench = new BenchProcess(3000);
        $this->asKeeper();
        $box = standing($bench, 'dns-filter');
        $box->update(['board' => 'flint', 'supply' => 'supply-2a5']);
        $bench->ask(['do' => 'fault', 'board' => "box-{$box->id}", 'fault' => 'weak-supply']);
        $this->get("/boxes/{$box->id}/parts?supply=supply-3a")->assertSee('Be led through it');
        $this->post("/boxes/{$box->id}/parts/lead", ['supply' => 'supply-3a'])->assertRedirect();
        $run = $box->run()->firstOrFail();
        $ids = $run->steps()->orderBy('position')->pluck('step')->all();
        expect($ids)->toContain('power-holds')->not->toContain('warm-before', 'warm-now');
        $this->get("/runs/{$run->id}")
            ->assertSee('wren: other parts')
            ->assertSee('Way back from here');
        playUpTo($run, 'parts-change');
        // Said to be changed, and it was not: the flags tell.
        $this->post("/runs/{$run->id}/steps/".stepOf($run, 'parts-change')->id.'/done', [
            'version' => stepOf($run, 'parts-change')->version,
        ]);
        playUpTo($run, 'power-holds');
        expect(playOne($run, 'power-holds'))
            ->toContain('bringup.supply_sags')
            ->and($box->refresh()->supply)
            ->toBe('supply-2a5');
        // A number of a meter does not overrule what the board itself complains of.
        $step = stepOf($run, 'power-holds');
        $say = fn (string $pasted, string $volts) => $this->post("/runs/{$run->id}/steps/{$step->id}/done", [
            'version' => $step->refresh()->version,
            'pasted' => $pasted,
            'volts' => $volts,
        ]);
        foreach (
            [
                ['/sys/devices/platform/soc/soc:firmware/get_throttled:50000', '5.1', 'bringup.supply_sags'],
                ['looked', '', 'bringup.supply_not_told'],
                ['', 'five', 'bringup.not_volts'],
                ['looked', '4,5', 'bringup.volts_low'],
            ] as [$pasted, $volts, $code]
        ) {
            $say($pasted, $volts);
            expect([$step->refresh()->isFinished(), $step->findings[0]['code'] ?? ''])->toBe([false, $code]);
        }
        $bench->ask(['do' => 'other-part', 'board' => "box-{$box->id}"]);
        expect(playOn($run))->toBeNull();
        $box->refresh();
        expect([$box->supply, $box->stage, $box->address])
            ->toBe(['supply-3a', Stage::InService, '172.22.8.16'])
            ->and(JournalEntry::query()->where('kind', 'parts')->latest('id')->value('text'))
            ->toContain('supply:');
    },
);

test(
    'another case is held against the warmth before it; one that slows itself down is not over',
    function (): void {
        $bench = new BenchProcess(3000);
        $this->asKeeper();
        $box = standing($bench, 'dns-filter');
        $box->update(['case' => 'closed']);
        $bench->ask(['do' => 'fault', 'board' => "box-{$box->id}", 'fault' => 'hot']);
        $this->post("/boxes/{$box->id}/parts/lead", ['case' => 'open', 'cooling' => 'small-fan']);
        $run = $box->run()->firstOrFail();
        playUpTo($run, 'warm-now');
        expect($run->refresh()->learnedText('warm_before'))->toBe('83.9');
        // The new case is no better: the bench's hands had made it well.
        $bench->ask(['do' => 'fault', 'board' => "box-{$box->id}", 'fault' => 'hot']);
        expect(playOne($run, 'warm-now'))->toContain('bringup.too_warm');
        $bench->ask(['do' => 'other-part', 'board' => "box-{$box->id}"]);
        expect(playOn($run))
            ->toBeNull()
            ->and(stepOf($run, 'warm-now')->outcome)
            ->toBe('48.3 °C, 83.9 °C before')
            ->and($box->refresh()->case)
            ->toBe('open');
    },
);

test(
    'another disk: copied, compared, its line changed, and the record has the new one; a start in the middle stops it before anything is lost',
    function (): void {
        $bench = new BenchProcess(3000);
        $this->asKeeper();
        $box = standing($bench, 'file-store', OLD_DISK);
        $box->update(['drive' => 'ssd-500']);
        $store = Store::query()->where('box_id', $box->id)->firstOrFail();
        $old = $store->uuid;
        $this->post("/boxes/{$box->id}/parts/lead", ['drive' => 'ssd-1t', 'store' => $store->id]);
        $run = $box->run()->firstOrFail();
        $this->get("/runs/{$run->id}")->assertSee('wren: another disk');
        playUpTo($run, 'store-still');
        $disks = fn (): array => array_column($bench->ask(['do' => 'status'])['boards'], 'disks', 'id')[
            "box-{$box->id}"
        ];
        expect(array_column($disks(), 'mountedAt'))->toBe([$store->mount_point, '/mnt/next']);
        // The power goes in the middle: the new one is no longer mounted, and its place is a folder on the card.
        $bench->ask(['do' => 'power', 'board' => "box-{$box->id}", 'on' => true]);
        $bench->until(fn () => $bench->isOpen('127.22.8.16', 22));
        expect(playOne($run, 'store-still'))
            ->toContain('STOPPED')
            ->and(stepOf($run, 'store-still')->isFinished())
            ->toBeFalse();
        $bench->ask([
            'do' => 'type',
            'board' => "box-{$box->id}",
            'command' => "sudo mount UUID={$run->refresh()->learnedText('uuid')} /mnt/next",
        ]);
        expect(playOn($run))->toBeNull();
        $store->refresh();
        $box->refresh();
        expect([$box->drive, $box->stage, $store->serial, $store->uuid])
            ->toBe(['ssd-1t', Stage::InService, "NEXT{$run->id}", $run->refresh()->learnedText('uuid')])
            ->and($store->uuid)
            ->not->toBe($old)
            ->and($store->label)
            ->toMatch('/^store-\d{6}$/')
            ->and(array_column($disks(), 'serial'))
            ->toBe(["NEXT{$run->id}"])
            ->and(array_column($disks(), 'mountedAt'))
            ->toBe([$store->mount_point]);
    },
);

test('what cannot be led at once is said with its reason, and keeps what was chosen', function (): void {
    $this->asKeeper();
    $box = newBox([
        'name' => 'wren',
        'stage' => Stage::InService,
        'board' => 'flint',
        'card' => 'card-32-a1',
        'drive' => null,
    ]);
    $lead = fn (array $parts) => $this->followingRedirects()->post("/boxes/{$box->id}/parts/lead", $parts);
    $lead(['board' => 'cobble', 'card' => 'card-64-endurance'])
        ->assertSee('is another box: first one of them')
        ->assertSee('value="cobble" selected', false);
    $lead(['supply' => $box->supply])->assertSee('Nothing is another part.');
    $lead(['drive' => 'ssd-500'])->assertSee('A first disk comes with a job');
    $box->update(['drive' => 'ssd-500']);
    $lead(['drive' => 'ssd-1t'])->assertSee('Nothing is on record of what lies on the disk');
    $lead(['drive' => ''])->assertSee('takes what lies on it along');
    $lead(['drive' => 'ssd-1t', 'case' => 'open'])->assertSee('The disk by itself');
    $lead(['alike' => 'nothing of a box'])->assertSee('Nothing is another part.');
    foreach (['store', 'pictures'] as $label) {
        Store::query()->create([
            'box_id' => $box->id,
            'label' => $label,
            'mount_point' => "/srv/{$label}",
            'share' => $label,
            'uuid' => '00000000-0000-4000-8000-000000000001',
        ]);
    }
    $this->get("/boxes/{$box->id}/parts?drive=ssd-1t")->assertSee('What lies on the disk that is changed');
    $lead(['drive' => 'ssd-1t'])->assertSee('Choose what lies on the disk');
    // A store of another box is none of this one's.
    $other = newBox(['name' => 'rook']);
    $foreign = Store::query()->create([
        'box_id' => $other->id,
        'label' => 'x',
        'mount_point' => '/x',
        'share' => 'x',
        'uuid' => 'y',
    ]);
    $lead(['drive' => 'ssd-1t', 'store' => $foreign->id])->assertSee('Choose what lies on the disk');
    $box->update(['start' => 'drive']);
    expect(Run::query()->count())->toBe(0);
    // What its system is on is copied whole, like a card.
    $lead(['drive' => 'ssd-1t'])
        ->assertSee('wren: another drive')
        ->assertSee('What is on the drive of wren');
});

test(
    'its card goes into another board: the same key at the same address, and the record has that board at the end',
    function (): void {
        $bench = new BenchProcess(3000);
        $this->asKeeper();
        $box = standing($bench, 'dns-filter');
        $box->update(['board' => 'flint']);
        $this->get("/boxes/{$box->id}/parts?board=cobble")->assertSee('Be led through it');
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
        expect($played('board-across'))
            ->toBeTrue()
            ->and($box->refresh()->board)
            ->toBe('flint');
        expect(playOn($run))->toBeNull();
        $box->refresh();
        expect([$box->mac, $box->address, $box->board, $box->stage])
            ->toBe(['02:4b:1e:90:00:49', '172.22.8.16', 'cobble', Stage::InService])
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
        $this->asKeeper();
        $box = standing($bench, 'dns-filter');
        $key = $box->host_key;
        $box->update([
            'host_key_at' => now()->subDay(),
            'card_written_at' => now()->subDays(2),
            'card' => 'card-32-a1',
        ]);
        // A card from an image has no job on it yet; what is asked here is whose key it shows.
        $box->jobs()->delete();
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

test('a part that wore out is led through with another one of the same kind', function (): void {
    $this->asKeeper();
    $box = newBox([
        'name' => 'wren',
        'stage' => Stage::InService,
        'board' => 'flint',
        'drive' => 'ssd-500',
        'user' => 'warden',
    ]);
    $store = Store::query()->create([
        'box_id' => $box->id,
        'label' => 'store',
        'mount_point' => '/srv/store',
        'share' => 'store',
        'uuid' => '00000000-0000-4000-8000-000000000001',
    ]);
    $this->get("/boxes/{$box->id}/parts?alike=drive")
        ->assertSee('Nothing new speaks against it')
        ->assertSee('Plug the new disk in beside the old one');
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/parts/lead", ['alike' => 'drive', 'store' => $store->id])
        ->assertSee('wren: another disk');
    $run = $box->run()->firstOrFail();
    expect($run->newParts())
        ->toBe(['drive' => 'ssd-500'])
        ->and($run->learnedText('parts_words'))
        ->toEndWith('→ another one of the same kind');
});
