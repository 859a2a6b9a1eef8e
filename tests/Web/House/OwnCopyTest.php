<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\Network;
use App\Models\User;

test('the demo never goes over a household\'s own records', function (): void {
    config(['burrow.demo' => false]);
    $this->artisan('burrow:demo')->expectsOutputToContain('Nothing was changed')->assertExitCode(1);
    $this->artisan('burrow:demo --if-empty')->assertExitCode(1);
    expect(Box::query()->count())->toBe(6);
});

test('a demo that is there is left alone when the copy starts', function (): void {
    Box::query()->where('name', 'seedpress')->delete();
    $this->artisan('burrow:demo --if-empty')->assertExitCode(0);
    expect(Box::query()->count())->toBe(5);
});

test('a password that is typed twice in two ways changes nothing', function (): void {
    $before = User::query()->where('name', 'warden')->value('password');
    $this->artisan('burrow:user warden')
        ->expectsQuestion('Password for warden (nothing shows while you type)', 'thistle down feather')
        ->expectsQuestion('The same once more', 'thistle down feathr')
        ->expectsOutputToContain('not the same')
        ->assertExitCode(1);
    expect(User::query()->where('name', 'warden')->value('password'))->toBe($before);
});

test('the first login of an own copy, with a network to be described', function (): void {
    User::query()->delete();
    Network::query()->delete();
    $ask = 'Password for keeper-one (nothing shows while you type)';
    $this->artisan('burrow:user keeper-one')
        ->expectsQuestion($ask, 'short')
        ->doesntExpectOutputToContain('card.password')
        ->assertExitCode(1);
    $this->artisan('burrow:user keeper-one')
        ->expectsQuestion($ask, 'thistle down feather')->expectsQuestion('The same once more', 'thistle down feather')
        ->expectsOutputToContain('may log in')
        ->assertExitCode(0);
    $this->post('/login', ['name' => 'keeper-one', 'password' => 'thistle down feather'])->assertRedirect('/');
    foreach (
        [
            '/' => 'Nobody lives here yet',
            '/boxes' => 'Plan the first one',
            '/ports' => 'No ports yet',
            '/stores' => 'No store yet',
            '/upkeep' => 'Nothing to look after yet',
            '/journal' => 'Nothing written yet',
            '/reach' => 'No opening',
            '/addresses' => '192.168.1.10',
            '/bench' => 'Bench',
        ] as $page => $text
    ) {
        $this->get($page)->assertOk()->assertSee($text);
    }
});
