<?php

declare(strict_types=1);

use App\Models\JournalEntry;
use App\Models\Network;

// What comes back by itself, on the page of upkeep.

test('something is written down, late, done and taken out', function (): void {
    $this->asKeeper();
    $add = fn (array $with = []) => $this->followingRedirects()->post(
        '/upkeep/care',
        $with + [
            'care_what' => 'clean the <b>filter',
            'care_box' => 'larder',
            'care_every' => '30',
            'care_done' => now()->subDays(40)->format('Y-m-d'),
        ],
    );
    $add(['care_every' => 'soon'])
        ->assertSee('Every how many days? 1 to 3650.')
        ->assertSee('value="soon"', false);
    $add()
        ->assertSee('It is written down.')
        ->assertSee('10 days late')
        ->assertSee('Clean the &lt;b&gt;filter', false);
    $this->get('/')->assertSee('due 10 days ago.');
    $this->followingRedirects()
        ->post('/upkeep/care/done', ['care' => 1])
        ->assertSee('Done today.')
        ->assertDontSee('10 days late');
    expect(JournalEntry::query()->where('kind', 'care')->count())
        ->toBe(1)
        ->and(Network::home()->cares())
        ->toHaveCount(1);
    $this->followingRedirects()
        ->post('/upkeep/care/done', ['care' => 7])
        ->assertSee('It is no longer there.');
    $this->post('/upkeep/care/away', ['care' => 1]);
    expect(Network::home()->cares())->toBe([]);
});
