<?php

declare(strict_types=1);

use Burrow\Household\Hours;
use Burrow\Intake\Updates\UnattendedLog;
use Burrow\Upkeep\Write\UnattendedFiles;

// Updates that install themselves: when, and what they did.

/** Hours in which work may be done. */
function openHours(string $from, string $to, string ...$days): Hours
{
    return new Hours(1, Hours::WINDOW, 'quiet', array_values($days), $from, $to, []);
}

test('the timers begin with the hours, each next start as systemd itself has it', function (
    array $windows,
    array $begins,
): void {
    $files = UnattendedFiles::of($windows, true);
    expect($files->begins())->toBe($begins);
    preg_match_all('/^OnCalendar=(.+)$/m', $files->upgradeTimer(), $lines);
    // systemd names the day and hour of the next start of each line.
    foreach ($lines[1] as $line) {
        $next = run(
            'TZ=UTC systemd-analyze calendar --base-time='.
                escapeshellarg('2026-11-25 12:00:00 UTC').
                ' '.
                escapeshellarg($line),
        );
        expect($next['exit'])->toBe(0);
        preg_match('/Next elapse: (\w{3}) \S+ (\d\d:\d\d):/', $next['out'], $at);
        expect($begins)->toContain("{$at[1]} {$at[2]}");
    }
    preg_match_all('/^OnCalendar=(.+)$/m', $files->listTimer(), $earlier);
    foreach ($earlier[1] as $at => $line) {
        $of = function (string $line): int {
            $out = run(
                'TZ=UTC systemd-analyze calendar --base-time='.
                    escapeshellarg('2026-11-26 12:00:00 UTC').
                    ' '.
                    escapeshellarg($line),
            )['out'];
            preg_match('/Next elapse: \w{3} (\S+ \S+) UTC/', $out, $next);

            return (int) strtotime("{$next[1]} UTC");
        };
        expect(($of($lines[1][$at]) - $of($line) + 7 * 86400) % 86400)->toBe(3600);
    }
})->with([
    'nobody said' => [
        [],
        ['Mon 03:00', 'Tue 03:00', 'Wed 03:00', 'Thu 03:00', 'Fri 03:00', 'Sat 03:00', 'Sun 03:00'],
    ],
    'two days' => [fn (): array => [openHours('22:30', '23:30', 'sat', 'sun')], ['Sat 22:30', 'Sun 22:30']],
    'over midnight' => [fn (): array => [openHours('00:30', '02:00', 'mon')], ['Mon 00:30']],
    'two of them' => [
        fn (): array => [openHours('23:30', '01:00', 'tue'), openHours('04:00', '05:00', 'fri')],
        ['Tue 23:30', 'Fri 04:00'],
    ],
]);

test('the shortest of all hours counts, over midnight too', function (): void {
    expect(UnattendedFiles::of([openHours('23:30', '01:00'), openHours('04:00', '04:20')], true)->shortest())
        ->toBe(1200)
        ->and(UnattendedFiles::of([openHours('23:30', '01:00')], true)->shortest())
        ->toBe(5400)
        ->and(UnattendedFiles::of([openHours('04:00', '04:20')], true)->upgradeTimer())
        ->toContain('RandomizedDelaySec=400');
});

test('what is typed writes the three files whole, as a shell reads it', function (): void {
    $files = UnattendedFiles::of([openHours('22:30', '23:30', 'sat')], false);
    $folder = scratch();
    $command = str_replace(['sudo ', ' /etc/'], ['', " {$folder}/etc/"], $files->command());
    // Only what writes is run; what installs and restarts is looked up by the tests of packages.
    $command = (string) preg_replace('/^(apt-get|systemctl) .*$/m', 'true', $command);
    mkdir("{$folder}/etc/apt/apt.conf.d", 0755, true);
    expect(run('sh -e -c '.escapeshellarg($command))['exit'])
        ->toBe(0)
        ->and(file_get_contents("{$folder}/etc/apt/apt.conf.d/52burrow"))
        ->toBe($files->apt())
        ->and(file_get_contents("{$folder}/etc/systemd/system/apt-daily-upgrade.timer.d/hours.conf"))
        ->toBe($files->upgradeTimer())
        ->and(file_get_contents("{$folder}/etc/systemd/system/apt-daily.timer.d/hours.conf"))
        ->toBe($files->listTimer())
        ->and([$files->words(), UnattendedFiles::of([], true)->words()])
        ->toBe(['Sat 22:30', 'each day at 03:00']);
});

test('apt reads what it is told', function (bool $restarts): void {
    $file = scratch().'/52burrow';
    file_put_contents($file, UnattendedFiles::of([], $restarts)->apt());
    $read = run('apt-config --config-file='.escapeshellarg($file).' dump');
    expect($read['exit'])
        ->toBe(0)
        ->and($read['out'])
        ->toContain('APT::Periodic::Unattended-Upgrade "1";')
        ->toContain('Unattended-Upgrade::Automatic-Reboot "'.($restarts ? 'true' : 'false').'";')
        ->toContain('Unattended-Upgrade::Automatic-Reboot-WithUsers "false";');
})->with([true, false]);

test('a log as the program itself wrote it', function (): void {
    $runs = UnattendedLog::read((string) file_get_contents('tests/Outside/readers/unattended.log'));
    expect($runs)
        ->toHaveCount(1)
        ->and([$runs[0]->at, $runs[0]->well, $runs[0]->tried, count($runs[0]->packages)])
        ->toBe(['2026-11-27 01:52:20', true, true, 9])
        ->and($runs[0]->packages[8])
        ->toBe('openssl');
});

test('each end that it can have is told apart', function (
    string $lines,
    ?bool $well,
    string $said,
    bool $restarts,
): void {
    $log = "2026-11-20 03:10:00,001 INFO Starting unattended upgrades script\n{$lines}";
    $run = UnattendedLog::read($log)[0];
    expect([$run->well, $run->said, $run->restarts])->toBe([$well, $said, $restarts]);
})->with([
    'nothing to do' => [
        "2026-11-20 03:10:05,2 INFO No packages found that can be upgraded unattended and no pending auto-removals\n",
        true,
        '',
        false,
    ],
    'installed and restarted' => [
        "2026-11-20 03:12:05,2 INFO All upgrades installed\n2026-11-20 03:12:06,0 WARNING Found /var/run/reboot-required, rebooting\n",
        true,
        '',
        true,
    ],
    'not restarted, somebody is there' => [
        "2026-11-20 03:12:05,2 INFO All upgrades installed\n2026-11-20 03:12:06,0 WARNING Found /var/run/reboot-required, but not rebooting because warden are logged in.\n",
        true,
        '',
        false,
    ],
    'failed' => [
        "2026-11-20 03:12:05,2 ERROR Installing the upgrades failed!\n2026-11-20 03:12:05,3 ERROR error message: x\n",
        false,
        'Installing the upgrades failed!',
        false,
    ],
    'failed, and says all is well of another part' => [
        "2026-11-20 03:12:05,2 ERROR Cache has broken packages, exiting\n2026-11-20 03:12:05,3 INFO All upgrades installed\n",
        false,
        'Cache has broken packages, exiting',
        false,
    ],
    'cut off' => ["2026-11-20 03:12:05,2 INFO Packages that will be upgraded: openssl\n", null, '', false],
]);

test('what is no such log is none, and much of it has a budget', function (): void {
    foreach (
        ['', 'hello', "2026-11-20 03:10:00,001 INFO something\n", "\xff\x00", str_repeat('a', 3_000_000)] as $text
    ) {
        expect(UnattendedLog::read($text))->toBe([]);
    }
    $many = str_repeat("2026-11-20 03:10:00,001 INFO Starting unattended upgrades script\r\n", 40_000);
    expect(count(UnattendedLog::read($many)))->toBe(400);
});

test('lists are fetched an hour before, on the day before only where that is before midnight', function (
    string $from,
    string $line,
): void {
    $hours = new Hours(1, Hours::WINDOW, 'x', ['sun'], $from, '05:00', []);
    expect(UnattendedFiles::of([$hours], true)->listTimer())->toContain($line);
})->with([
    ['00:59', 'OnCalendar=Sat *-*-* 23:59'],
    ['01:00', 'OnCalendar=Sun *-*-* 00:00'],
    ['01:01', 'OnCalendar=Sun *-*-* 00:01'],
]);
