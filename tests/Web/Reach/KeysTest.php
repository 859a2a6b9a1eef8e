<?php

declare(strict_types=1);

use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Service;
use App\Models\WayIn;

// Keys that programs hold, accounts, and the name of the house.

/** What the form of a program's key sends. */
function programKey(array $with = []): array
{
    return [
        'program' => 'the cutting program',
        'key_kind' => 'program',
        'key_holder' => 'desk',
        'key_for' => (string) Service::query()->where('purpose', 'its own page')->value('id'),
        'key_ends' => '',
        'key_back' => 'Settings, Application keys, the bin',
        'starts_alone' => '1',
        ...$with,
    ];
}

test('a program\'s key is written down, shown, due before its end, and taken back', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/reach/programs', programKey(['key_ends' => now()->addDays(3)->format('Y-m-d')]))
        ->assertSee('the cutting program is written down')
        ->assertSee('may start it by itself')
        ->assertSee('The key of the cutting program ends on');
    $way = WayIn::query()->where('device', 'the cutting program')->firstOrFail();
    expect([$way->kind, $way->public_key, $way->address])->toBe(['program', null, null]);
    // It is nothing of the tunnel.
    expect((string) $this->get('/reach/endpoint')->getContent())->not->toContain('cutting');
    $this->get("/reach/keys/{$way->id}/lost")
        ->assertSee('Settings, Application keys, the bin')
        ->assertSee('it must be refused now')
        ->assertDontSee('wg set wg0');
    $this->post("/reach/keys/{$way->id}/back")->assertRedirect();
    $this->get('/reach')->assertSee('is out of the record');
    $this->get('/reach')->assertDontSee('the cutting program');
    expect(JournalEntry::query()->where('kind', 'key')->count())->toBe(2);
});

test('a key without its words is told at the field, and keeps what was typed', function (): void {
    $count = WayIn::query()->count();
    $this->asKeeper()
        ->followingRedirects()
        ->post(
            '/reach/programs',
            programKey([
                'program' => 'slicer <b>',
                'key_for' => '0',
                'key_ends' => '31.12.2026',
                'key_back' => '',
            ]),
        )
        ->assertSee('value="slicer &lt;b&gt;"', false)
        ->assertSee('Which page or port does it open?')
        ->assertSee('value="31.12.2026"', false)
        ->assertSee('aria-invalid="true"', false);
    $this->followingRedirects()->post('/reach/programs', programKey(['program' => 'twice']));
    $this->followingRedirects()
        ->post('/reach/programs', programKey(['program' => 'twice']))
        ->assertSee('There is one of twice already');
    expect(WayIn::query()->count())->toBe($count + 1);
});

test(
    'where the house\'s name leads is read from what was pasted, with since when it is wrong',
    function (): void {
        $answer = fn (
            string $address,
        ): string => ";; Got answer:\n;; ->>HEADER<<- opcode: QUERY, status: NOERROR, id: 7\n;; ANSWER SECTION:\nseeds.example.net.\t300\tIN\tA\t{$address}\n";
        $this->asKeeper()
            ->followingRedirects()
            ->post('/reach/name', ['pasted_name' => $answer('203.0.113.99')])
            ->assertSee('seeds.example.net leads to 203.0.113.99.')
            ->assertSee('seeds.example.net leads to 203.0.113.99 since');
        $since = Network::home()->name_wrong_since;
        $this->travel(2)->hours();
        $this->post('/reach/name', ['pasted_name' => $answer('203.0.113.98')]);
        expect((string) Network::home()->name_wrong_since)->toBe((string) $since);
        $this->followingRedirects()
            ->post('/reach/name', ['pasted_name' => $answer('172.22.8.10')])
            ->assertSee('an address inside');
        expect(Network::home()->name_led_to)->toBe('203.0.113.98');
        $this->followingRedirects()
            ->post('/reach/name', ['pasted_name' => $answer('203.0.113.27')])
            ->assertSee('It led here');
        expect(Network::home()->name_wrong_since)
            ->toBeNull()
            ->and(JournalEntry::query()->where('kind', 'name')->count())
            ->toBe(2);
        $this->followingRedirects()
            ->post('/reach/name', ['pasted_name' => str_replace('seeds', 'other', $answer('203.0.113.1'))])
            ->assertSee('Nothing in this text says where');
    },
);

test('a guest reads and writes none of it', function (): void {
    $this->asGuest()->post('/reach/programs', programKey())->assertForbidden();
    $this->asGuest()->post('/reach/name', [])->assertForbidden();
    $this->asGuest()->get('/reach/name-keeper')->assertForbidden();
});

test(
    'the script that keeps the name current is for keepers, and only where there is a name',
    function (): void {
        $this->asKeeper()
            ->get('/reach/name-keeper')
            ->assertOk()
            ->assertSee('Keeps seeds.example.net leading to this house');
        Network::home()->update(['outside_name' => null]);
        $this->get('/reach/name-keeper')->assertNotFound();
    },
);
