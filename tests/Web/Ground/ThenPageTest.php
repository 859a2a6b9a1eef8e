<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\Opening;
use App\Models\PastOpening;
use Burrow\Household\Stage;

// A way in that was closed, changed or dropped with its box is still known for the day on which it was open.

test('closing, changing and dropping each leave what was open', function (): void {
    $this->travelTo('2026-05-01 12:00');
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'stage' => Stage::InService,
        'in_service_at' => now(),
    ]);
    $make = fn (int $port): Opening => Opening::query()->create([
        'box_id' => $box->id,
        'outside_port' => $port,
        'inside_port' => 443,
        'protocol' => 'tcp',
        'purpose' => 'pages',
        'reason' => 'seen',
        'review_on' => '2027-01-01',
        'since' => now(),
    ]);
    [$closed, $changed, $dropped] = [$make(50001), $make(50002), $make(50003)];
    $this->travelTo('2026-06-01 12:00');
    $this->asKeeper()->post("/reach/openings/{$closed->id}/close");
    $changed->update(['outside_port' => 50009]);
    $this->travelTo('2026-06-10 12:00');
    $box->update(['stage' => Stage::Retired, 'retired_at' => now(), 'wiped_at' => now()]);
    $this->delete("/boxes/{$box->id}");
    expect(Box::query()->whereKey($box->id)->exists())->toBeFalse();
    $past = PastOpening::query()->orderBy('outside_port')->get();
    expect($past->pluck('outside_port')->map(intval(...))->all())->toBe([50001, 50002, 50003, 50009]);
    $this->travelTo('2026-11-27 12:00');
    $this->get('/then?day=2026-05-15')
        ->assertSee('50001 tcp')
        ->assertSee('50002 tcp')
        ->assertDontSee('50009 tcp');
    $this->get('/then?day=2026-06-05')->assertDontSee('50001 tcp')->assertSee('50003 tcp');
    $this->get('/then?day=2026-07-01')->assertDontSee('50003 tcp');
});

test('a day that is none, or to come, is the end of last month', function (string $day): void {
    $this->asKeeper()
        ->get('/then?day='.urlencode($day))
        ->assertOk()
        ->assertSee(now()->modify('last day of previous month')->format('j F Y'));
})->with(['', 'soon', '2026-02-31', '2999-01-01', '0001-01-01']);

test('a guest is not told what was open', function (): void {
    $this->asGuest()->get('/then')->assertForbidden();
});
