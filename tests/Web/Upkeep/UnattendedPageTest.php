<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\JournalEntry;

// Updates that install themselves, on the page of a box.

test('files for its hours, and the newest round that went well is its last update', function (): void {
    $box = Box::query()->where('name', 'larder')->firstOrFail();
    $box->update(['updated_system_at' => '2026-01-01 00:00:00']);
    $page = "/boxes/{$box->id}/unattended";
    $this->asKeeper()
        ->get($page)
        ->assertSee('OnCalendar=')
        ->assertSee('Automatic-Reboot &quot;true&quot;', false);
    $this->get("{$page}?restarts=0")->assertSee('Automatic-Reboot &quot;false&quot;', false);
    $this->followingRedirects()
        ->post($page, ['log_text' => 'tea <b>'])
        ->assertSee('not the log of updates')
        ->assertSee('tea &lt;b&gt;', false);
    $log =
        "2026-10-01 03:10:00,1 INFO Starting unattended upgrades script\n2026-10-01 03:11:00,1 INFO All upgrades installed\n".
        "2026-10-02 03:10:00,1 INFO Starting unattended upgrades script\n2026-10-02 03:11:00,1 ERROR <b>bad</b>\n".
        "2999-10-02 03:10:00,1 INFO Starting unattended upgrades script\n";
    $this->followingRedirects()
        ->post($page, ['log_text' => $log])
        ->assertSee('3 rounds are in it')
        ->assertSee('&lt;b&gt;bad&lt;/b&gt;', false)
        ->assertSee('its end is not in the log');
    expect($box->refresh()->updated_system_at->format('Y-m-d'))
        ->toBe('2026-10-01')
        ->and(
            JournalEntry::query()->where('kind', 'update')->where('box_id', $box->id)->latest('id')->first()
                ->text,
        )
        ->toContain('1 Oct 2026');
    // An older log takes nothing back.
    $this->post($page, [
        'log_text' => "2026-09-01 03:10:00,1 INFO Starting unattended upgrades script\n2026-09-01 03:11:00,1 INFO All upgrades installed\n",
    ]);
    expect($box->refresh()->updated_system_at->format('Y-m-d'))->toBe('2026-10-01');
});
