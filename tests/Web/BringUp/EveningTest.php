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
    expect($calendar->validate())->toBe([])->and(count($calendar->VEVENT))->toBeGreaterThan(0);
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
    $this->asKeeper()->get('/evening')->assertOk()->assertSee('Nothing is being brought up')->assertSee('New box');
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
    $this->asKeeper()->get('/evening')->assertSee('card reader')->assertSee('write its card')->assertSee('/card');
});
