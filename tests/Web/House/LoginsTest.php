<?php

declare(strict_types=1);

use App\Models\JournalEntry;
use App\Models\User;
use Illuminate\Support\Facades\Hash;

// Logins and roles, and everybody's own password.

const LONG_ENOUGH = 'four words in a row';

test('a keeper makes a login, gives it another password and role, and takes it away', function (): void {
    $this->asKeeper()->get('/settings/logins')->assertSee('Who may log in')->assertSee('desk');
    $this->post('/settings/logins', [
        'login_name' => 'Kitchen',
        'login_role' => 'guest',
        'login_password' => LONG_ENOUGH,
    ])->assertRedirect();
    $kitchen = User::query()->where('name', 'kitchen')->firstOrFail();
    expect($kitchen->role)
        ->toBe('guest')
        ->and(Hash::check(LONG_ENOUGH, $kitchen->password))
        ->toBeTrue();
    $token = $kitchen->remember_token;
    $this->post('/settings/logins', [
        'login_name' => 'kitchen',
        'login_role' => 'keeper',
        'login_password' => 'another four words',
    ]);
    expect($kitchen->refresh()->role)
        ->toBe('keeper')
        ->and($kitchen->remember_token)
        ->not->toBe($token)
        ->and(JournalEntry::query()->where('kind', 'login')->pluck('text')->implode(' '))
        ->toContain('kitchen may log in as guest')
        ->not->toContain('four words');
    $this->delete("/settings/logins/{$kitchen->id}")->assertRedirect();
    expect(User::query()->whereKey($kitchen->id)->exists())->toBeFalse();
});

test('what is wrong is said at its field, keeps what was typed, and no secret comes back', function (
    array $typed,
    string $said,
): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post(
            '/settings/logins',
            $typed + ['login_name' => 'attic', 'login_role' => 'guest', 'login_password' => LONG_ENOUGH],
        )
        ->assertSee($said)
        ->assertDontSee($typed['login_password'] ?? LONG_ENOUGH);
    expect(User::query()->where('name', 'attic')->exists())
        ->toBeFalse()
        ->and(session()->getOldInput('login_password'))
        ->toBeNull();
})->with([
    [['login_password' => 'short'], 'aria-invalid'],
    [['login_role' => 'owner'], 'That is no role'],
    [['login_name' => 'Not a name!'], 'not a name!'],
    [['login_name' => 'warden', 'login_role' => 'guest'], 'warden is the last keeper'],
]);

test('the last keeper and one’s own login stay', function (): void {
    $warden = User::query()->where('name', 'warden')->firstOrFail();
    $this->asKeeper()
        ->followingRedirects()
        ->delete("/settings/logins/{$warden->id}")
        ->assertSee('is the last keeper');
    User::query()->create(['name' => 'second', 'password' => LONG_ENOUGH, 'role' => 'keeper']);
    $this->followingRedirects()
        ->delete("/settings/logins/{$warden->id}")
        ->assertSee('your own login');
    expect($warden->refresh()->exists)->toBeTrue();
});

test('anybody changes their own password, who knows it', function (): void {
    $desk = User::query()->where('name', 'desk')->firstOrFail();
    $now = App\Demo\DemoLogins::ALL['desk'][0];
    $send = fn (array $typed) => $this->followingRedirects()->post('/settings/password', $typed);
    $this->asGuest()
        ->get('/settings/logins')
        ->assertSee('Your own password')
        ->assertDontSee('Who may log in');
    $send([
        'password_now' => 'wrong',
        'password_new' => LONG_ENOUGH,
        'password_again' => LONG_ENOUGH,
    ])->assertSee('That is not your password');
    $send([
        'password_now' => $now,
        'password_new' => LONG_ENOUGH,
        'password_again' => LONG_ENOUGH.'x',
    ])->assertSee('The two are not the same');
    $send(['password_now' => $now, 'password_new' => 'desk', 'password_again' => 'desk'])->assertSee(
        'aria-invalid',
        false,
    );
    expect(Hash::check($now, $desk->refresh()->password))->toBeTrue();
    $send([
        'password_now' => $now,
        'password_new' => LONG_ENOUGH,
        'password_again' => LONG_ENOUGH,
    ])->assertSee('Your password is the new one');
    expect(Hash::check(LONG_ENOUGH, $desk->refresh()->password))->toBeTrue();
    // Still logged in here, and still a guest.
    $this->get('/settings/logins')->assertSee('a guest');
});

test('guessing one’s password through an open window is slowed like the login', function (): void {
    $this->asGuest();
    for ($try = 0; $try < 7; $try++) {
        $page = $this->followingRedirects()->post('/settings/password', ['password_now' => "guess {$try}"]);
    }
    $page->assertSee('Too many wrong tries');
});
