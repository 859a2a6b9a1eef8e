<?php

declare(strict_types=1);

use App\House\Codes;
use App\House\Rooms;
use App\Models\Box;
use App\Models\Network;
use Burrow\Household\Stage;
use Illuminate\Support\Facades\Route;

// The first ten minutes, and finding anything.

test('the tour stands where the record stands, step by step, and ends when it is told to', function (): void {
    $this->asKeeper()->get('/tour')->assertSee('Begin');
    $this->get('/ports')->assertDontSee('End the tour');
    $this->post('/tour')->assertRedirect('/plan?job=file-store');
    $this->get('/ports')->assertSee('1 of 6: Plan a box');
    $box = newBox(['stage' => Stage::Planned, 'name' => null, 'address' => null]);
    $this->get('/ports')
        ->assertSee('2 of 6')
        ->assertSee("/boxes/{$box->id}/name");
    $box->update(['name' => 'wren', 'address' => '172.22.8.16', 'stage' => Stage::Named]);
    $this->get('/ports')
        ->assertSee('3 of 6')
        ->assertSee("/boxes/{$box->id}/card");
    $box->update(['card_written_at' => now()]);
    $this->get('/ports')->assertSee('4 of 6');
    $box->update(['on_bench' => true]);
    $this->get('/ports')
        ->assertSee('5 of 6')
        ->assertSee("/boxes/{$box->id}");
    $box->update(['stage' => Stage::InService]);
    $this->get('/ports')->assertSee('6 of 6');
    $this->get('/tour')->assertSee('Go on: look at it in Ground');
    $this->post('/tour/end')->assertRedirect('/');
    $this->get('/ports')->assertDontSee('of 6');
});

test('an empty house says three ways to begin', function (): void {
    Box::query()->delete();
    $this->asKeeper()
        ->get('/')
        ->assertSee('Three ways to begin')
        ->assertSee('/tour')
        ->assertSee('/addresses/find');
});

test('pages are found by other words than their own, and all of them are there', function (): void {
    foreach (Rooms::routes() as $route) {
        expect(Route::has($route))->toBeTrue($route);
    }
    $this->asKeeper()->get('/find?q=sticker')->assertSee('Labels for boxes');
    $this->get('/find?q=internet+gone')->assertSee('Is it on?');
    $this->get('/find?q=own+password')->assertSee('Logins and passwords');
    $this->get('/find?q=zzzz')->assertSee('Nothing called');
});

test('a guest finds no page that opens for keepers alone', function (): void {
    $this->asGuest()->get('/find?q=tour')->assertDontSee('The first ten minutes');
    $this->get('/find?q=internet')->assertSee('Is it on?');
});

test('codes and steps are found', function (): void {
    $this->asKeeper()->get('/find?q=addresses.inside_dhcp')->assertSee('/codes?words=', false);
    $this->get('/codes?words=inside_dhcp')->assertSee('addresses.inside_dhcp_pool');
    $this->get('/codes?words=%3Cb%3E')->assertSee('No code has', false)->assertDontSee('<b>”', false);
    expect(count(Codes::all()))->toBeGreaterThan(400);
    $box = newBox([
        'name' => 'wren',
        'user' => 'warden',
        'address' => '172.22.8.16',
        'stage' => Stage::Named,
        'card_written_at' => now(),
    ]);
    $this->post("/boxes/{$box->id}/run");
    $this->get('/find?q=reservation')->assertSee('wren');
});

test('the network on paper names every box, who to ask, and no secret', function (): void {
    Network::home()->update(['contact' => 'warden, bell <2>']);
    $page = $this->asKeeper()->get('/addresses/register')->assertSee('warden, bell &lt;2&gt;', false);
    foreach (Box::query()->here()->whereNotNull('name')->get() as $box) {
        $page->assertSee($box->name)->assertSee($box->address ?? '—');
    }
    $this->get('/is-it-on')->assertSee('bell &lt;2&gt;', false);
});
