<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Measurement;

// The journal: looked for, added to, taken along; and what was measured, compared.

beforeEach(function (): void {
    $this->larder = Box::query()->where('name', 'larder')->firstOrFail();
});

test('it is looked through by words, box, kind and days', function (): void {
    JournalEntry::query()->delete();
    foreach (
        [
            ['2026-10-01 12:00', 'run', 'brought up 100% done'],
            ['2026-10-05 21:00', 'update', 'brought up to date'],
            ['2026-11-01 00:00', 'update', 'another thing'],
        ] as [$at, $kind, $text]
    ) {
        JournalEntry::query()->create([
            'network_id' => $this->larder->network_id,
            'box_id' => $this->larder->id,
            'kind' => $kind,
            'text' => $text,
            'by' => 'warden',
            'at' => $at,
        ]);
    }
    $this->asGuest();
    $see = fn (string $search, int $count) => $this->get("/journal?{$search}")->assertSee(
        $count === 1 ? 'One entry of what' : "{$count} entries of what",
    );
    $see('words=brought', 2);
    $see('words=100%25', 1);
    $see('words=_', 0)->assertSee('Nothing of the kind');
    $see('of=larder&kind=update', 2);
    $see('of=nobody', 0);
    $see('day_from=2026-10-05&day_to=2026-10-05', 1);
    $see('day_from=2026-10-05&day_to=never', 2);
    $this->get('/journal?day_from[]=x&words[]=y')->assertOk();
});

test('a note is written once, and a wrong one stays typed', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/journal/note', ['noted' => 'the fan <b>rattles', 'note_box' => 'larder'])
        ->assertSee('It is written down')
        ->assertSee('the fan &lt;b&gt;rattles', false);
    $this->followingRedirects()
        ->post('/journal/note', ['noted' => 'x', 'note_box' => 'nobody'])
        ->assertSee('There is no such box.');
    $this->followingRedirects()
        ->post('/journal/note', ['noted' => ' '])
        ->assertSee('A note has 1 to 500 letters.');
    expect(JournalEntry::query()->where('kind', 'note')->sole()->box_id)->toBe($this->larder->id);
});

test('it goes out as a table that runs no formula, and as JSON', function (): void {
    JournalEntry::write($this->larder, 'note', '=HYPERLINK("x")', "a,\"b\"\nc");
    $csv = $this->asKeeper()->get('/journal/file.csv?kind=note')->assertOk()->streamedContent();
    $rows = json_decode(
        run("python3 -c 'import csv, json, sys; print(json.dumps(list(csv.DictReader(sys.stdin))))'", $csv)[
            'out'
        ],
        true,
    );
    expect($rows)
        ->toHaveCount(1)
        ->and($rows[0]['text'])
        ->toBe('\'=HYPERLINK("x")')
        ->and($rows[0]['by'])
        ->toBe("a,\"b\"\nc");
    $json = json_decode($this->get('/journal/file.json')->assertOk()->streamedContent(), true);
    expect(count($json))
        ->toBe(JournalEntry::query()->count())
        ->and($json[0])
        ->toHaveKeys(['at', 'box', 'kind', 'text', 'by']);
    $this->get('/journal/file.exe')->assertNotFound();
});

test('two boxes, and one before and since a day, are compared', function (): void {
    Measurement::query()->delete();
    $sieve = Box::query()->where('name', 'sieve')->firstOrFail();
    foreach ([100, 101, 102, 103, 104] as $i => $rate) {
        $this->larder->measurements()->create(['megabytes' => $rate, 'idle' => 0.5]);
        $sieve
            ->measurements()
            ->create(['megabytes' => $rate - 60, 'idle' => 0.5])
            ->forceFill(['created_at' => now()->subDays($i)])
            ->save();
    }
    $this->asGuest()
        ->get('/journal/compare?what=copy&a=larder&b=sieve')
        ->assertSee('larder is 60 MB/s higher in the mean.')
        ->assertSee('hardly chance');
    $this->get('/journal/compare?what=copy&a=sieve&since='.now()->subDays(2)->format('Y-m-d'))->assertSee(
        'sieve before',
    );
    $this->get('/journal/compare?what=heat&a=larder&b=sieve')->assertSee('Nothing to compare.');
    $this->get('/journal/compare?a=nobody&since=2026-02-31')->assertSee(
        'Two boxes, or one before and after a day.',
    );
});

test('what reports found open, and who fetches what, is for keepers', function (): void {
    JournalEntry::write($this->larder, 'report', 'a key that nobody knows');
    $this->asKeeper()->get('/journal')->assertSee('a key that nobody knows');
    $this->get("/boxes/{$this->larder->id}")->assertSee('a key that nobody knows');
});

test('a guest is shown neither, on no page and in no file', function (): void {
    JournalEntry::write($this->larder, 'report', 'a key that nobody knows');
    $this->asGuest()->get('/journal')->assertDontSee('a key that nobody knows');
    $this->get('/journal?kind=report')->assertSee('Nothing of the kind');
    $this->get("/boxes/{$this->larder->id}")->assertDontSee('a key that nobody knows');
    expect($this->get('/journal/file.json')->streamedContent())->not->toContain('a key that nobody knows');
});
