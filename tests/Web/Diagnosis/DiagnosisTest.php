<?php

declare(strict_types=1);

use App\Bench\BenchClient;
use App\Catalogue\KnownCauses;
use App\Demo\DemoBench;
use App\Models\Box;
use App\Models\Diagnosis;
use App\Models\JournalEntry;
use App\Models\Rehearsal;
use Illuminate\Support\Facades\DB;

// The page that leads through a search.

function silentBox(): Box
{
    return Box::query()->where('name', 'seedpress')->firstOrFail();
}

/** One post to the search of a box, as the page that stands now would send it. */
function searching(Box $box, string $action, array $given = [])
{
    return test()->post("/boxes/{$box->id}/diagnosis".($action === '' ? '' : "/{$action}"), [
        'revision' => Diagnosis::openOf($box)->revision ?? 0,
        ...$given,
    ]);
}

beforeEach(function (): void {
    app(BenchClient::class)->ask(['do' => 'load', 'state' => ['speed' => 1000] + DemoBench::state()]);
    $this->asKeeper();
});

test('one answer begins it, the tool asks what it can, and one check stands next', function (): void {
    $box = silentBox();
    $this->get("/boxes/{$box->id}/diagnosis")
        ->assertOk()
        ->assertSee('What happens?')
        ->assertSee('Answered before, silent now');
    expect(Diagnosis::query()->count())->toBe(0);

    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old'])->assertRedirect();
    $kept = Diagnosis::openOf($box);
    $by = collect($kept->observations())->keyBy('check');
    expect($by['reach']->answer)
        ->toBe('silent')
        ->and($by['reach']->byTool)
        ->toBeTrue()
        ->and($by['reach']->at)
        ->toBeGreaterThan(now()->getTimestamp() - 60)
        ->and($by['neighbours']->answer)
        ->toBe('all')
        ->and($by['complaint']->byTool)
        ->toBeFalse();
    $this->get("/boxes/{$box->id}/diagnosis")
        ->assertSee('Nothing answers')
        ->assertSee('Why this check')
        ->assertSee('Something else');
});

test(
    'answers lead to a cause with its cure, and what it was goes into the journal and the odds of this house',
    function (): void {
        $box = silentBox();
        $box->update(['link' => 'wired']);
        $before = KnownCauses::ofThisHouse()->causes['cable-out']->odds;
        searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old']);
        searching($box, '', ['check' => 'power-light', 'answer' => 'steady']);
        searching($box, '', ['check' => 'activity-light', 'answer' => 'quiet']);
        searching($box, '', ['check' => 'link-lights', 'answer' => 'dark']);
        searching($box, '', ['check' => 'other-cable', 'answer' => 'light']);
        $this->get("/boxes/{$box->id}/diagnosis")
            ->assertSee('It is this, most likely')
            ->assertSee('Plug it in until it clicks')
            ->assertSee('Done, and still not well');
        searching($box, 'cure', ['cause' => 'cable-out', 'came' => 'well'])->assertRedirect();
        $over = Diagnosis::query()->where('box_id', $box->id)->firstOrFail();
        expect($over->cause)
            ->toBe('cable-out')
            ->and($over->ended_at)
            ->not->toBeNull()
            ->and(JournalEntry::query()->where('kind', 'diagnosis')->value('text'))
            ->toContain('well again')
            ->toContain('Network cable out')
            ->and(KnownCauses::ofThisHouse()->causes['cable-out']->odds)
            ->toBeGreaterThan($before);
        $this->get("/boxes/{$box->id}/diagnosis")
            ->assertSee('Earlier searches')
            ->assertSee('network cable out or broken');
    },
);

test('a cure that did not help wholly goes on with what is left', function (): void {
    $box = silentBox();
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old']);
    searching($box, '', ['check' => 'link-lights', 'answer' => 'dark']);
    searching($box, '', ['check' => 'touch', 'answer' => 'warm']);
    searching($box, 'cure', ['cause' => 'cable-out', 'came' => 'still']);
    $kept = Diagnosis::openOf($box);
    expect($kept->cleared)
        ->toBe(['cable-out'])
        ->and(array_column($kept->seen, 'check'))
        ->toContain('touch')
        ->not->toContain('link-lights')
        ->not->toContain('complaint');
    $this->get("/boxes/{$box->id}/diagnosis")
        ->assertOk()
        ->assertSee('What happens?');
});

test('what is no answer is said and changes nothing', function (array $given, string $says): void {
    $box = silentBox();
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old']);
    $before = Diagnosis::openOf($box)->seen;
    test()->followingRedirects();
    searching($box, '', $given)->assertOk()->assertSee($says);
    expect(Diagnosis::openOf($box)->seen)->toBe($before);
})->with([
    'no such check' => [['check' => 'tea', 'answer' => 'yes'], 'There is no such check.'],
    'no such answer' => [['check' => 'reach', 'answer' => 'perhaps'], 'There is no such answer.'],
    'a paste without a list' => [['check' => 'router-list', 'pasted' => 'a kettle'], 'Nothing in that text'],
]);

test('a pasted list and a pasted address are read', function (): void {
    $box = silentBox();
    $box->update(['on_bench' => false]);
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old']);
    searching($box, '', [
        'check' => 'router-list',
        'pasted' => "1795691763 {$box->mac} 172.22.8.131 seedpress *\n",
    ]);
    searching($box, '', [
        'check' => 'desk-address',
        'pasted' => "2: eth0: <BROADCAST,UP> mtu 1500 state UP\n    inet 192.0.2.40/24 scope global eth0\n",
    ]);
    $by = collect(Diagnosis::openOf($box)->seen)->keyBy('check');
    expect($by['router-list']['answer'])->toBe('other-address')->and($by['desk-address']['answer'])->toBe('other');
});

test('a second window is told, and nothing is overwritten', function (): void {
    $box = silentBox();
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old']);
    $old = Diagnosis::openOf($box)->revision;
    searching($box, '', ['check' => 'power-light', 'answer' => 'dark']);
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/diagnosis", ['revision' => $old, 'check' => 'power-light', 'answer' => 'steady'])
        ->assertSee('in another window');
    expect(collect(Diagnosis::openOf($box)->seen)->firstWhere('check', 'power-light')['answer'])->toBe('dark');
});

test('an answer is taken back, a check is passed over, the search is ended', function (): void {
    $box = silentBox();
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old']);
    searching($box, '', ['check' => 'power-light', 'answer' => 'dark']);
    searching($box, 'forget', ['check' => 'power-light']);
    searching($box, 'cannot', ['check' => 'activity-light']);
    $kept = Diagnosis::openOf($box);
    expect(array_column($kept->seen, 'check'))
        ->not->toContain('power-light')
        ->and($kept->skipped)
        ->toBe(['activity-light']);
    searching($box, 'stop')->assertRedirect();
    expect(Diagnosis::openOf($box))
        ->toBeNull()
        ->and(Diagnosis::query()->value('cause'))
        ->toBeNull();
});

test('the way back leads to the step of the run', function (): void {
    $step = runAt('found');
    $box = $step->run->box;
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-new']);
    searching($box, '', ['check' => 'since-power', 'answer' => 'early']);
    searching($box, '', ['check' => 'activity-light', 'answer' => 'busy']);
    searching($box, '', ['check' => 'waited', 'answer' => 'comes']);
    $this->get("/boxes/{$box->id}/diagnosis")
        ->assertSee('Still starting')
        ->assertSee('step '.($step->position + 1));
});

test('a guest looks and cannot answer', function (): void {
    $box = silentBox();
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old']);
    $this->flushSession()
        ->asGuest()
        ->get("/boxes/{$box->id}/diagnosis")
        ->assertOk()
        ->assertSee('Nothing answers');
    $this->post("/boxes/{$box->id}/diagnosis", ['check' => 'complaint', 'answer' => 'slow'])->assertForbidden();
});

test(
    'a rehearsal hides something, tells afterwards what it was, and touches neither journal nor odds',
    function (): void {
        $box = Box::query()->where('name', 'dewpoint')->firstOrFail();
        $this->post('/bench/rehearsal', ['box' => $box->id, 'how' => 1])->assertRedirect(
            "/boxes/{$box->id}/diagnosis",
        );
        $practice = Rehearsal::openOf($box);
        expect($practice->faults())->toHaveCount(1);
        $this->post('/bench/rehearsal', ['box' => $box->id, 'how' => 1])->assertSessionHas('told');

        // Known for the test: the cable.
        $practice->update(['fault' => 'no-cable']);
        app(BenchClient::class)->ask(['do' => 'fault', 'board' => "box-{$box->id}", 'fault' => 'no-cable']);
        app(BenchClient::class)->ask(['do' => 'power', 'board' => "box-{$box->id}", 'on' => true]);
        searching($box, '', ['check' => 'complaint', 'answer' => 'silent-new']);
        $this->get("/boxes/{$box->id}/diagnosis?check=link-lights")
            ->assertSee('the bench shows')
            ->assertSee('both dark');
        searching($box, '', ['check' => 'link-lights', 'answer' => 'dark']);
        $this->followingRedirects();
        searching($box, 'cure', ['cause' => 'no-power', 'came' => 'well'])->assertSee('It was not that.');
        $this->followingRedirects();
        searching($box, 'cure', ['cause' => 'cable-out', 'came' => 'well'])
            ->assertSee('That was it')
            ->assertSee('Network cable out or broken')
            ->assertSee('Wrong guesses: 1.')
            ->assertSee('at best');
        $over = $practice->refresh();
        expect($over->ended_at)
            ->not->toBeNull()
            ->and(array_column($over->looks, 'check'))
            ->toBe(['complaint', 'link-lights'])
            ->and($over->looks[1]['bits'])
            ->toBeGreaterThan(0)
            ->and(Diagnosis::causesFound())
            ->toBe([])
            ->and(JournalEntry::query()->where('kind', 'diagnosis')->exists())
            ->toBeFalse();
        $status = app(BenchClient::class)->ask(['do' => 'status']);
        expect(collect($status['boards'])->firstWhere('id', "box-{$box->id}")['fault'])->toBeNull();
    },
);

test('a rehearsal is given up, and the board is well again', function (): void {
    $box = Box::query()->where('name', 'dewpoint')->firstOrFail();
    $this->post('/bench/rehearsal', ['box' => $box->id, 'how' => 2]);
    $practice = Rehearsal::openOf($box);
    expect($practice->faults())->toHaveCount(2);
    $this->followingRedirects()
        ->post("/bench/rehearsal/{$practice->id}/end")
        ->assertSee('Not found');
    $status = app(BenchClient::class)->ask(['do' => 'status']);
    expect(collect($status['boards'])->firstWhere('id', "box-{$box->id}")['fault'])->toBeNull();
});

test('whatever stands in a stored search or rehearsal stops no page', function (mixed $stored): void {
    $box = silentBox();
    DB::table('diagnoses')->insert([
        'box_id' => $box->id,
        'seen' => $stored,
        'skipped' => $stored,
        'cleared' => $stored,
        'begun_at' => now(),
    ]);
    DB::table('rehearsals')->insert([
        'box_id' => $box->id,
        'fault' => 'nobody+knows',
        'looks' => $stored,
        'told' => $stored,
        'begun_at' => now(),
        'ended_at' => now(),
    ]);
    $this->get("/boxes/{$box->id}/diagnosis")->assertOk();
    $this->get('/bench/rehearsal')->assertOk();
    searching($box, '', ['check' => 'complaint', 'answer' => 'silent-old'])->assertRedirect();
    expect(Diagnosis::openOf($box)->observations())->not->toBe([]);
})->with([
    'null' => ['null'],
    'a word' => ['"tea"'],
    'a number' => ['7'],
    'a list of words' => ['["a", 3, null]'],
    'rows of the wrong kind' => [
        '[{"check": ["x"], "answer": 3, "at": "now", "minutes": "many"}, {"check": "reach", "answer": "tea"}]',
    ],
]);
