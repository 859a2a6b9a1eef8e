<?php

declare(strict_types=1);

use App\Models\Box;

test('every box in service says what would be if it died tonight', function (): void {
    $this->asKeeper();
    foreach (Box::query()->standing()->get() as $box) {
        $this->get("/boxes/{$box->id}/lost")
            ->assertOk()
            ->assertSee('Back in about');
    }
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    $this->get("/boxes/{$larder->id}")->assertSee('What if it died tonight?');
    $this->get("/boxes/{$larder->id}/lost")
        ->assertSee('lantern loses files')
        ->assertSee('Bring seed-scans back')
        ->assertSee('What came since the last copy of seed-scans, 13 hours ago, would be gone.');
});

test('a box on its way has nothing to lose', function (): void {
    $box = newBox(['name' => 'fresh']);
    $this->asKeeper()
        ->get("/boxes/{$box->id}/lost")
        ->assertNotFound();
});

test('a guest is told nothing', function (): void {
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asGuest()
        ->get("/boxes/{$larder->id}/lost")
        ->assertForbidden();
});
