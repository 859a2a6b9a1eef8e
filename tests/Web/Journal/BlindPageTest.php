<?php

declare(strict_types=1);

use App\Models\JournalEntry;

// Listening blind on its page: the list is drawn, hidden from the listener, and judged once.

test('drawn, hidden, judged and written down', function (): void {
    $this->asKeeper()->get('/journal/blind')->assertSee('Do you hear it, or do you know it?');
    $this->followingRedirects()
        ->post('/journal/blind', ['thing_a' => 'one', 'thing_b' => 'one', 'trials' => '16'])
        ->assertSee('they are not the same');
    $this->followingRedirects()
        ->post('/journal/blind', ['thing_a' => 'one', 'thing_b' => 'two', 'trials' => '4'])
        ->assertSee('From 5 to 40 times')
        ->assertSee('value="two"', false);
    $this->post('/journal/blind', ['thing_a' => 'the <b>new', 'thing_b' => 'the old', 'trials' => '16']);
    $played = session('blind')['played'];
    expect($played)->toMatch('/^[AB]{16}$/');
    $this->get('/journal/blind')->assertDontSee($played)->assertDontSee('blind-list', false);
    $this->get('/journal/blind?helper=1')
        ->assertSee('the &lt;b&gt;new', false)
        ->assertSee('blind-list', false);
    $this->followingRedirects()
        ->post('/journal/blind/judge', ['heard' => 'ABC'])
        ->assertSee('Write 16 letters');
    $this->followingRedirects()
        ->post('/journal/blind/judge', ['heard' => $played])
        ->assertSee('16 of 16 right')
        ->assertSee('hardly by chance');
    expect(JournalEntry::query()->where('kind', 'measured')->latest('id')->first()->text)->toContain(
        "Played {$played}",
    );
    // It is judged once.
    $this->followingRedirects()
        ->post('/journal/blind/judge', ['heard' => $played])
        ->assertDontSee('16 of 16');
});

test('a session that holds something else stops nothing', function (): void {
    foreach (
        ['x', [], ['played' => 3], ['played' => 'ABC'], ['played' => 'ABABAB', 'a' => [], 'b' => null]] as $kept
    ) {
        $this->asKeeper()
            ->withSession(['blind' => $kept])
            ->get('/journal/blind')
            ->assertOk();
        $this->get('/journal/blind?helper=1')->assertOk();
    }
});
