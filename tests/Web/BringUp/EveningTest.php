<?php

declare(strict_types=1);

use App\BringUp\RunBook;
use App\BringUp\RunStart;
use App\Catalogue\Playbooks;
use App\Evening\EveningDesk;
use App\Models\RunStep;
use Burrow\BringUp\Evening\Slot;
use Burrow\Household\Stage;
use Sabre\VObject\Reader;

// The page that leads through several runs.

test('two runs stand in one timetable, with what wants the hands now', function (): void {
    $first = runAt('found')->run;
    $other = app(RunStart::class)->begin(
        newBox(['name' => 'lark', 'address' => '172.22.8.17', 'user' => 'warden', 'login' => 'key']),
    );
    $this->asKeeper()
        ->get('/evening')
        ->assertOk()
        ->assertSee('Bringing up 2 boxes')
        ->assertSee('now, for your hands')
        ->assertSee('one after another it would take until')
        ->assertSee('lark')
        ->assertSee('wren');
    $this->get("/runs/{$first->id}")
        ->assertSee('Another box is')
        ->assertSee('/evening');

    $calendar = Reader::read(
        $this->get('/evening/hands.ics')
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent(),
    );
    expect($calendar->validate())
        ->toBe([])
        ->and(count($calendar->VEVENT))
        ->toBeGreaterThan(0);
    $other->update(['finished_at' => now()]);
    $this->get("/runs/{$first->id}")->assertDontSee('Another box is');
});

test('a wait that runs stands beside the hands with what is left of it', function (): void {
    $run = newRun();
    $book = new RunBook($run, app(Playbooks::class));
    $step = $run->steps->first(fn (RunStep $one): bool => $book->step($one)->waitTo !== null);
    $run->steps()
        ->where('position', '<', $step->position)
        ->update(['state' => RunStep::DONE]);
    $step->update(['state' => RunStep::RUNNING, 'began_at' => now()->subSeconds(20)]);
    $this->asKeeper()->get('/evening')->assertSee('Meanwhile, without you');
});

test('done by a time of the clock, and what is none', function (string $by, string $says): void {
    runAt('found');
    $this->travelTo(new DateTimeImmutable('2026-11-26 20:00:00 Europe/London'));
    $this->asKeeper()
        ->get('/evening?by='.urlencode($by))
        ->assertSee($says);
})->with([
    'in time' => ['23:59', 'at the latest'],
    'too late' => ['20:01', 'cannot be reached'],
    'no time' => ['25:00', 'is no time of the clock'],
    'a word' => ['soon', 'is no time of the clock'],
]);

test('without a run the page says what would stand here', function (): void {
    $this->asKeeper()
        ->get('/evening')
        ->assertOk()
        ->assertSee('Nothing is being brought up')
        ->assertSee('New box');
    expect(Reader::read($this->get('/evening/hands.ics')->getContent())->VEVENT)->toBeNull();
});

test('two boxes that wait for their cards share one reader', function (): void {
    foreach (['lark' => '172.22.8.17', 'finch' => '172.22.8.18'] as $name => $address) {
        newBox([
            'name' => $name,
            'address' => $address,
            'stage' => Stage::Named,
            'card' => 'card-32-a1',
            'image' => 'server-64',
            'case' => 'vented',
        ]);
    }
    $slots = array_values(
        array_filter(
            app(EveningDesk::class)->evening->timetable->slots,
            fn (Slot $slot): bool => $slot->task->id === 'card',
        ),
    );
    expect($slots)
        ->toHaveCount(2)
        ->and($slots[0]->task->wait)
        ->toBeGreaterThan(120)
        ->and($slots[1]->start)
        ->toBeGreaterThanOrEqual($slots[0]->end());
    $this->asKeeper()
        ->get('/evening')
        ->assertSee('card reader')
        ->assertSee('write its card')
        ->assertSee('/card');
});

test('a wait that takes longer moves the end, or does not, and what is no wait says so', function (): void {
    runAt('found');
    foreach (['lark' => '172.22.8.17', 'finch' => '172.22.8.18'] as $name => $address) {
        newBox([
            'name' => $name,
            'address' => $address,
            'stage' => Stage::Named,
            'card' => 'card-32-a1',
            'image' => 'server-64',
            'case' => 'vented',
        ]);
    }
    $desk = app(EveningDesk::class);
    $waits = $desk->waits();
    expect(count($waits))->toBeGreaterThan(4);
    $longest = array_key_first($waits);
    foreach (array_keys($waits) as $wait) {
        $longer = $desk->longer($wait, 30);
        expect($longer)
            ->not->toBeNull()
            // Half an hour on one of three boxes costs half an hour at most.
            ->and($longer->later)
            ->toBeLessThanOrEqual(1800 * 1.05);
        $longer->spare === null || $longer->spare > 31 ? expect($longer->later)->toBeLessThan(60) : null;
    }
    $this->asKeeper()
        ->get('/evening?longer='.urlencode($longest).'&minutes=30')
        ->assertOk()
        ->assertSee('If a wait takes longer')
        ->assertSeeInOrder(['value="30"', 'ver by']);
    $this->get('/evening?longer=nobody/nothing&minutes=x')
        ->assertOk()
        ->assertSee('That wait is over, or was none.');
});

test(
    'the way to the boxes is kept, walked where hands go elsewhere, and refused when it is none',
    function (): void {
        runAt('found');
        newBox([
            'name' => 'lark',
            'address' => '172.22.8.17',
            'stage' => Stage::Named,
            'card' => 'card-32-a1',
            'image' => 'server-64',
            'case' => 'vented',
        ]);
        $near = app(EveningDesk::class)->evening->timetable;
        $this->asKeeper()
            ->post('/evening/walk', ['walk' => '20'])
            ->assertRedirect('/evening');
        $far = app(EveningDesk::class)->evening->timetable;
        expect($far->finish())->toBeGreaterThan($near->finish() + 1000);
        // Nobody is in two places: between a step at the desk and one at the box lie twenty minutes.
        $hands = array_values(array_filter($far->slots, fn (Slot $slot): bool => $slot->task->hands > 0));
        foreach ($hands as $at => $slot) {
            $before = $hands[$at - 1] ?? null;
            if ($before !== null && $before->task->place !== $slot->task->place) {
                expect($slot->start - $before->handsEnd())->toBeGreaterThanOrEqual(1200 - 1e-6);
            }
        }
        foreach (['-1', '31', '1.5', 'far'] as $wrong) {
            $this->post('/evening/walk', ['walk' => $wrong]);
            expect(App\Models\Network::home()->walk)->toBe(20);
        }
    },
);
