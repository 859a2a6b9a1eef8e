<?php

declare(strict_types=1);

use App\Models\Backup;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\RestoreDrill;

// Backups of the household: written down, run, brought back.

/** What the form of a backup sends. */
function backupForm(array $with = []): array
{
    return [
        'backup_box' => (string) Box::query()->where('name', 'lantern')->value('id'),
        'backup_name' => 'pictures',
        'paths' => "/srv/pictures\n/etc/minidlna.conf",
        'database' => 'none',
        'school' => 'folders',
        'target_box' => (string) Box::query()->where('name', 'larder')->value('id'),
        'target_account' => 'copies',
        'target_port' => '22',
        'target_folder' => '/srv/copies/lantern',
        'runs_at' => '03:10',
        'keep_daily' => '7',
        'keep_weekly' => '4',
        'keep_monthly' => '6',
        'keep_yearly' => '0',
        ...$with,
    ];
}

test('a backup is written down, and its files are made of it', function (): void {
    $this->asKeeper()->post('/stores/backups', backupForm())->assertRedirect();
    $backup = Backup::query()->where('name', 'pictures')->firstOrFail();
    expect($backup->paths)->toBe(['/srv/pictures', '/etc/minidlna.conf']);
    $this->get('/stores/backups')
        ->assertSee('copies@172.22.8.11:/srv/copies/lantern')
        ->assertSee('The backup pictures of lantern was never seen to run.');
    $this->get("/stores/backups/{$backup->id}/script")
        ->assertOk()
        ->assertSee("paths=('/srv/pictures' '/etc/minidlna.conf')", false);
    $this->get("/stores/backups/{$backup->id}/restore")
        ->assertOk()
        ->assertSee('RESTORED');
    $this->get("/stores/backups/{$backup->id}/timer")
        ->assertOk()
        ->assertSee('OnCalendar=*-*-* 03:10:00');
    $this->get("/stores/backups/{$backup->id}/service")
        ->assertOk()
        ->assertSee('ExecStart=/usr/local/sbin/backup-pictures');
    $this->get("/stores/backups/{$backup->id}/other")->assertNotFound();
    $this->followingRedirects()
        ->post('/stores/backups', backupForm())
        ->assertSee('There is a backup called pictures already')
        ->assertSee('value="/srv/copies/lantern"', false);
});

test('what is wrong is said at its field, and what was typed stays', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post(
            '/stores/backups',
            backupForm(['backup_name' => 'Pic <b>', 'paths' => '/proc/x', 'keep_daily' => 'x']),
        )
        ->assertSee('value="Pic &lt;b&gt;"', false)
        ->assertSee('It needs a name of small letters')
        ->assertSee('is no folder or file that can be copied')
        ->assertSee('That is no number from 0 to 400.');
    expect(Backup::query()->count())->toBe(2);
});

test('two windows: the later one is told', function (): void {
    $backup = Backup::query()->where('name', 'seed-scans')->firstOrFail();
    $form = backupForm([
        'backup_box' => (string) $backup->box_id,
        'backup_name' => 'seed-scans',
        'target_box' => (string) $backup->target_box_id,
        'revision' => '0',
    ]);
    $this->asKeeper()->post("/stores/backups/{$backup->id}", $form);
    $this->followingRedirects()
        ->post("/stores/backups/{$backup->id}", ['target_folder' => '/srv/other'] + $form)
        ->assertSee('changed in another window');
    expect($backup->refresh()->target_folder)->toBe('/srv/copies/lantern');
});

test('what the scripts said is noted once, and only of backups of the record', function (): void {
    $backup = Backup::query()->where('name', 'seed-scans')->firstOrFail();
    $stamp = gmdate('Y-m-d\\THis\\Z', time() - 60);
    $text =
        "backup seed-scans: OK {$stamp} files=9 sent=77 total=1000 seconds=5 kept=3\nbackup others: OK {$stamp} files=9\n".
        "backup seed-scans: RESTORED {$stamp} into /srv/tried files=9 differ=0 seconds=130\n";
    $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/backups/said', ['pasted' => $text])
        ->assertSee('2 things were noted.');
    $backup->refresh();
    expect([
        (int) $backup->full_bytes,
        (int) $backup->changed_bytes,
        $backup->drills()->first()?->minutes,
    ])->toBe([1000, 77, 3]);
    $this->post('/stores/backups/said', ['pasted' => explode("\n", $text)[0]]);
    expect($backup->refresh()->ran_at?->getTimestamp())->toBe(
        time() - 60 > 0
            ? strtotime(
                substr($stamp, 0, 10).
                    ' '.
                    substr($stamp, 11, 2).
                    ':'.
                    substr($stamp, 13, 2).
                    ':'.
                    substr($stamp, 15, 2).
                    ' UTC',
            )
            : 0,
    );
    $this->followingRedirects()
        ->post('/stores/backups/said', ['pasted' => 'backup seed-scans: STOPPED: no room'])
        ->assertSee('stopped on')
        ->assertSee('no room');
    // A clock that is wrong by years does not make a copy of the future.
    $this->followingRedirects()
        ->post('/stores/backups/said', [
            'pasted' => 'backup seed-scans: OK 2099-01-01T000000Z files=1 sent=1 total=1 seconds=1 kept=1',
        ])
        ->assertSee('Nothing new of a backup of the record');
});

test('a copy that was brought back by hand is written down, whole or not', function (): void {
    $backup = Backup::query()->where('name', 'seed-scans-away')->firstOrFail();
    $this->asKeeper()
        ->followingRedirects()
        ->post("/stores/backups/{$backup->id}/drill", [
            'what' => '',
            'minutes' => '9',
            'drilled' => $backup->id,
        ])
        ->assertSee('What was brought back, and how many minutes did it take?')
        ->assertSee('value="9"', false);
    $this->followingRedirects()
        ->post("/stores/backups/{$backup->id}/drill", [
            'what' => 'one scan',
            'minutes' => '9',
            'worked' => '0',
        ])
        ->assertSee('it was not what it should have been');
    expect(RestoreDrill::query()->where('backup_id', $backup->id)->count())
        ->toBe(1)
        ->and(JournalEntry::query()->where('kind', 'backup')->count())
        ->toBe(1);
});

test('taken out of the record, it is said that the box goes on', function (): void {
    $backup = Backup::query()->where('name', 'seed-scans')->firstOrFail();
    $this->asKeeper()
        ->followingRedirects()
        ->post("/stores/backups/{$backup->id}/away")
        ->assertSee('goes on copying until its timer is stopped');
    expect(Backup::query()->whereKey($backup->id)->exists())->toBeFalse();
});

test('guests see nothing of it', function (): void {
    $this->asGuest()->get('/stores/backups')->assertForbidden();
    $this->asGuest()->get('/stores')->assertDontSee('Backups: what is copied where');
    $this->asGuest()->get('/')->assertDontSee('seed-scans');
});
