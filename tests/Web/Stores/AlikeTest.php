<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\FolderPair;
use App\Models\JournalEntry;
use App\Models\Medium;

// Folders kept alike, what comes by itself, and the register of disks, as pages.

beforeEach(function (): void {
    $this->larder = Box::query()->where('name', 'larder')->firstOrFail();
    $this->pair = fn (array $with = []): array => $with + [
        'pair_box' => (string) $this->larder->id,
        'pair_folder' => '/srv/<b>papers',
        'pair_peer' => 'desk',
        'pair_keeps' => '',
    ];
});

test('a folder is written down, looked at from both ends, and told', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/alike', ($this->pair)())
        ->assertSee('One folder is kept alike.')
        ->assertSee('/srv/&lt;b&gt;papers', false)
        ->assertSee('was never looked at');
    $pair = FolderPair::query()->sole();
    $sum = str_repeat('ab', 32);
    $this->followingRedirects()
        ->post("/stores/alike/{$pair->id}", [
            'pasted' => "conflict 5 ./a (conflict)\nalike 7 {$sum} larder:/a",
        ])
        ->assertSee('One end was looked at; paste what the other says, too.')
        ->assertSee("alike 7 {$sum}");
    expect($pair->refresh()->in_step_at)
        ->toBeNull()
        ->and($pair->conflicts)
        ->toBe(1);
    $this->followingRedirects()
        ->post("/stores/alike/{$pair->id}", ['pasted' => "alike 7 {$sum} larder:/a\nalike 7 {$sum} desk:/a"])
        ->assertSee('Both ends hold the same 7 files.');
    expect($pair->refresh()->in_step_at)
        ->not->toBeNull()
        ->and($pair->conflicts)
        ->toBe(0);
    $this->followingRedirects()
        ->post("/stores/alike/{$pair->id}", [
            'pasted' => "alike 7 {$sum} larder:/a\nalike 6 ".str_repeat('c', 64).' desk:/a',
        ])
        ->assertSee('The ends do not hold the same: 7 and 6 files.')
        ->assertSee('did not hold the same on');
    expect(JournalEntry::query()->where('kind', 'alike')->count())->toBe(3);
    $this->followingRedirects()
        ->post("/stores/alike/{$pair->id}/away")
        ->assertSee('No folder is kept alike');
});

test('what cannot be is told at its field, and stays typed', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/alike', ($this->pair)(['pair_folder' => 'papers here', 'pair_keeps' => 'x']))
        ->assertSee('This is no folder of the box.')
        ->assertSee('Days are a whole number')
        ->assertSee('value="papers here"', false);
    expect(FolderPair::query()->count())->toBe(0);
});

test('a text without the line keeps what was pasted', function (): void {
    $pair = FolderPair::query()->create([
        'box_id' => $this->larder->id,
        'folder' => '/srv/papers',
        'peer' => 'desk',
    ]);
    $this->asKeeper()
        ->followingRedirects()
        ->post("/stores/alike/{$pair->id}", ['pasted' => 'a <i>kettle'])
        ->assertSee('is not in this text')
        ->assertSee('a &lt;i&gt;kettle', false);
});

test('what comes by itself is worked out in the address, and told at its field', function (): void {
    $this->asGuest()
        ->get(
            '/stores/growth?room=100&picture=3&every=30&lit=14&lapse_days=90&megabits=0&changed=0&queries=0',
        )
        ->assertSee('The disk is full after 20 days.');
    $this->get(
        '/stores/growth?room=1000&picture=3&every=30&lit=14&lapse_days=90&megabits=0&changed=0',
    )->assertSee('It fits.');
    $this->get('/stores/growth?every=0&moving=25')
        ->assertSee('What comes by itself fills a disk by itself.')
        ->assertSee('value="25"', false);
});

test('the register has the warranty of a disk, and how it is', function (): void {
    $this->larder
        ->getConnection()
        ->table('health_samples')
        ->insert([
            'box_id' => $this->larder->id,
            'serial' => 'SEED0099',
            'model' => 'store drive',
            'passed' => 1,
            'hours' => 20_500,
            'reallocated' => 8,
            'taken_at' => now(),
        ]);
    $disk = [
        'label' => 'S9',
        'kind' => 'drive',
        'serial' => 'SEED0099',
        'purpose' => 'store',
        'warranty_until' => 'next year',
    ];
    $this->asKeeper()
        ->from('/stores/media')
        ->followingRedirects()
        ->post('/stores/media', $disk)
        ->assertSee('A day, written as 2027-03-31.')
        ->assertSee('value="next year"', false);
    $until = now()->addDays(20)->format('Y-m-d');
    $this->followingRedirects()
        ->post('/stores/media', ['warranty_until' => $until] + $disk)
        ->assertSee('20 500 h')
        ->assertSee('8 bad sectors')
        ->assertSee('warranty until');
    expect(Medium::query()->where('label', 'S9')->firstOrFail()->warranty_until->format('Y-m-d'))->toBe(
        $until,
    );
    $this->get('/stores')->assertSee("is under warranty until {$until}");
});

test('an export is worked out for the numbers that come', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/rights', [
            'pasted' => <<<'TEXT'
            /srv/store    172.22.8.0/24(rw,sync,root_squash)
            warden:x:1000:1000::/home/warden:/bin/bash
            drwxr-xr-x 1000 1000 /srv/store
            uid=1000(desk) gid=1000(desk) groups=1000(desk)
            uid=0(root) gid=0(root) groups=0(root)
            TEXT
            ,
        ])
        ->assertSee('One export, 2 who come.')
        ->assertSee('Taken for warden (1000); export and folder let owner do both.')
        ->assertSee('Taken for number 65534; the folder does not let others write');
});
