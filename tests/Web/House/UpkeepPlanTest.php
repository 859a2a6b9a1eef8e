<?php

declare(strict_types=1);

use App\Models\Rhythm;

// The plan of the week, with the rhythm of the house.

test('the plan stands on the page, and as a calendar file', function (): void {
    $this->asKeeper()
        ->get('/upkeep?through=culvert')
        ->assertOk()
        ->assertSeeInOrder(['In this order', 'lantern', 'culvert', 'last, because you work through it'])
        ->assertSee('film evening');
    $this->get('/upkeep/plan.ics')
        ->assertOk()
        ->assertSee('BEGIN:VEVENT')
        ->assertSee('SUMMARY:lantern: update and restart');
});

test('hours are written down, planned by, and taken out', function (): void {
    Rhythm::query()->delete();
    $sent = [
        'hours_kind' => 'window',
        'hours_what' => 'early <b>',
        'hours_from' => '05:00',
        'hours_to' => '06:00',
        'hours_days' => ['mon', 'nonsense'],
        'hours_boxes' => ['lantern', 'nobody'],
    ];
    $this->asKeeper()
        ->followingRedirects()
        ->post('/upkeep/hours', $sent)
        ->assertSee('early &lt;b&gt;', false)
        ->assertSee('Mon 05:00');
    $rhythm = Rhythm::query()->firstOrFail();
    expect([$rhythm->days, $rhythm->boxes])->toBe(['mon', ['lantern']]);
    $this->followingRedirects()
        ->post("/upkeep/hours/{$rhythm->id}/away")
        ->assertDontSee('early &lt;b&gt;', false);
    $this->followingRedirects()
        ->post('/upkeep/hours', ['hours_from' => 'five!'] + $sent)
        ->assertSee('That is no time of the clock.')
        ->assertSee('value="five!"', false);
    expect(Rhythm::query()->count())->toBe(0);
});

test('hours that are damaged where they are kept are left out', function (): void {
    Rhythm::query()->update(['from' => '99:99']);
    Rhythm::query()
        ->limit(1)
        ->update(['boxes' => '{"a":[7]}', 'from' => '10:00', 'days' => 'xx yy']);
    $this->asKeeper()->get('/upkeep')->assertOk()->assertSee('film evening')->assertDontSee('watering');
});

test('a guest is told nothing of it', function (): void {
    $this->asGuest()
        ->get('/upkeep')
        ->assertOk()
        ->assertDontSee('In this order')
        ->assertDontSee('film evening');
    $this->get('/upkeep/plan.ics')->assertForbidden();
    $this->post('/upkeep/hours', [])->assertForbidden();
});
