<?php

declare(strict_types=1);

use Burrow\Reach\Tunnel\TunnelDevice;
use Burrow\Reach\Tunnel\TunnelEndpoint;
use Burrow\Reach\Tunnel\TunnelProfile;
use Burrow\Reach\Write\NameKeeper;
use Burrow\Stores\Alike\AlikeScript;
use Burrow\Stores\Backup\BackupPlan;
use Burrow\Stores\Backup\BackupUnits;
use Burrow\Stores\CopyTest\WatchScript;
use Burrow\Upkeep\Report\ReportScript;
use Burrow\Upkeep\Report\ReportUnits;

// Scripts, units and settings that pages and playbooks hand out and that no description is written for: scripts/NAME
// has each whole. That they do what they should is tried in tests/Outside.

const KEY_OF_AN_ENDPOINT = 'AbBw5WxYE1bRGMqLqzNVjcdYGgCbDWDGLDmYx4iK6RY=';

/** @return array<string, callable(): string> */
function handedOut(): array
{
    $plan = fn (mixed ...$with): BackupPlan => new BackupPlan(
        ...[
            'name' => 'seeds',
            'box' => 'larder',
            'paths' => ['/srv/store', '/etc/a folder'],
            'account' => 'copies',
            'host' => 'copies.example.net',
            'folder' => '/srv/copies/larder',
            ...$with,
        ],
    );

    return [
        'report.sh' => fn () => ReportScript::text(),
        'report-other-engine.sh' => fn () => ReportScript::text("an engine's"),
        'report.service' => fn () => ReportUnits::service('warden', 'http://172.22.8.20:8738/report'),
        'report.timer' => fn () => ReportUnits::timer(),
        'report.key' => fn () => ReportUnits::authorizedKey(" ssh-ed25519 AAAA burrow\n"),
        'watch.sh' => fn () => WatchScript::text(),
        'alike.sh' => fn () => AlikeScript::of("/srv/the warden's"),
        'name.sh' => fn () => NameKeeper::script('seeds.example.net'),
        'backup.service' => fn () => BackupUnits::service($plan()),
        'backup.timer' => fn () => BackupUnits::timer($plan(at: '04:05')),
        'tunnel-endpoint.conf' => fn () => new TunnelEndpoint(51_944, '10.77.8.0/24').'',
        'tunnel-profile.conf' => fn () => new TunnelProfile(
            KEY_OF_AN_ENDPOINT,
            'seeds.example.net',
            41_000,
            '10.77.8.0/24',
            '172.22.8.0/24',
            '172.22.8.12',
        ).'',
        'tunnel-device.conf' => fn () => new TunnelDevice('warden phone', KEY_OF_AN_ENDPOINT, '10.77.8.0/24').
            '',
    ];
}

test('what is handed out is whole', function (string $name): void {
    $text = handedOut()[$name]();
    expect($text)->toBe(onFile(__DIR__."/scripts/{$name}", $text));
})->with(array_keys(handedOut()));
