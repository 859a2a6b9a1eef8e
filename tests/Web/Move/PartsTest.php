<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\JournalEntry;

// A box in service gets another board.

test(
    'whether it does is worked out first; then it is written down, and what is no longer so is forgotten',
    function (): void {
        $box = Box::query()->where('name', 'larder')->firstOrFail();
        $page = "/boxes/{$box->id}/parts";
        $other = $box->board === 'cobble' ? 'flint' : 'cobble';
        $this->asKeeper()->get($page)->assertSee('Choose what is to be another one.');
        $this->get("{$page}?board={$other}")
            ->assertSee('Put its card into the other board')
            ->assertSee('Take the old reservation out');
        // Both at once are not led: what is to be done stands there in its order.
        $this->get("{$page}?board={$other}&card=card-64-endurance")
            ->assertSee('Note the hardware address of the new board')
            ->assertSee('Not led through step by step');
        expect($box->refresh()->board)->not->toBe($other);
        $version = $box->version;
        $this->post($page, ['board' => $other])->assertRedirect("/boxes/{$box->id}");
        expect($box->refresh()->board)
            ->toBe($other)
            ->and($box->mac)
            ->toBeNull()
            ->and($box->pinned_at)
            ->toBeNull()
            ->and($box->version)
            ->toBe($version + 1)
            ->and(JournalEntry::query()->where('kind', 'parts')->sole()->text)
            ->toContain('board: ');
        $this->followingRedirects()
            ->post($page, ['board' => $other])
            ->assertSee('Nothing is another part.');
        // What is no part of the catalogue changes nothing.
        $this->post($page, ['board' => 'a <b>kettle', 'supply' => ['x']])->assertRedirect($page);
        expect($box->refresh()->board)->toBe($other);
    },
);

test('a weaker supply is told before it is bought', function (): void {
    $box = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asKeeper()
        ->get("/boxes/{$box->id}/parts?supply=charger-1a")
        ->assertSee('would speak against it');
});
