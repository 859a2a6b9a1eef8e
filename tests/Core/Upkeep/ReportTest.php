<?php

declare(strict_types=1);

use Burrow\Household\Box;
use Burrow\Household\BoxReport;
use Burrow\Household\Reported;
use Burrow\Intake\Intake;
use Burrow\Net\Ipv4;
use Burrow\Upkeep\Report\Difference;
use Burrow\Upkeep\Report\Drift;
use Burrow\Upkeep\Report\ReportConcern;
use Burrow\Upkeep\Report\ReportReader;
use Burrow\Upkeep\Report\ReportScript;
use Burrow\Upkeep\Report\ReportUnits;

// What boxes tell of themselves, and where it is not as the record has it.

/** A report of larder, part by part, with what is said otherwise. */
function reportText(array $with = []): string
{
    $parts = [
        'made' => "1795618800\nlarder",
        'release' => "PRETTY_NAME=\"Debian GNU/Linux 12 (bookworm)\"\nVERSION_CODENAME=bookworm\nID=debian",
        'kernel' => 'Linux 6.1.0-18-arm64 aarch64',
        'uptime' => '86400.12',
        'clock' => 'NTPSynchronized=yes',
        'restart' => 'no',
        'lists' => "1795600000\n1795000000",
        'updates' => "Listing...\nopenssl/stable-security 3.0.15-1~deb12u1 arm64 [upgradable from: 3.0.14-1~deb12u2]\nnano/stable 7.2-1+deb12u1 arm64 [upgradable from: 7.2-1]",
        'fill' => "Filesystem 1024-blocks Used Available Capacity Mounted on\n/dev/root 30000000 6000000 22000000 22% /\n/dev/sda1 3900000000 1000000000 2700000000 28% /srv/store\ntmpfs 400000 0 400000 0% /run",
        'mounts' => "/dev/root / ext4 rw 0 0\n/dev/sda1 /srv/store ext4 rw,noatime 0 0",
        'memory' => "MemTotal:        3884328 kB\nMemAvailable:    3100000 kB",
        'temperature' => '48312',
        'power' => 'throttled=0x50000',
        'volts' => '',
        'listening' => "Netid State  Recv-Q Send-Q Local Address:Port Peer Address:Port\ntcp   LISTEN 0 50 0.0.0.0:445 0.0.0.0:*\ntcp   LISTEN 0 128 0.0.0.0:22 0.0.0.0:*\ntcp   LISTEN 0 5 127.0.0.1:631 0.0.0.0:*\nudp   UNCONN 0 0 0.0.0.0:5353 0.0.0.0:*\nudp   UNCONN 0 0 0.0.0.0:51234 0.0.0.0:*",
        'containers' => "web\n#asked",
        'failed' => "backup-seed.service loaded failed failed one more copy\n#asked",
        'addresses' => "2: eth0: <BROADCAST,MULTICAST,UP,LOWER_UP> mtu 1500 qdisc mq state UP\n    link/ether 02:4b:1e:77:00:0b brd ff:ff:ff:ff:ff:ff\n    inet 172.22.8.11/24 brd 172.22.8.255 scope global eth0\n       valid_lft forever preferred_lft forever",
        'accounts' => "root\nwarden",
        'keys' => "256 SHA256:AQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQE warden@desk (ED25519)\n#asked",
        'end' => '',
    ];
    $parts = array_replace($parts, $with);
    $text = '';
    foreach ($parts as $part => $said) {
        $text .= "#: {$part}\n".($said === '' ? '' : "{$said}\n");
    }

    return $text;
}

function readReport(string $text): ?BoxReport
{
    return (new ReportReader(Intake::standard()))->read($text);
}

function larderBox(): Box
{
    return dweller('larder', address: Ipv4::parse('172.22.8.11'));
}

/** @return list<string> keys of what is not as the record has it */
function driftOf(
    array $report = [],
    array $told = [],
    array $ports = ['445 tcp share', '22 tcp login'],
): array {
    $reported = new Reported(
        ...[
            'box' => 'larder',
            'at' => new DateTimeImmutable(THREE_O_CLOCK),
            'report' => readReport(reportText($report)),
            'accounts' => ['warden'],
            'keys' => ['SHA256:AQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQE'],
            'mounts' => ['/srv/store'],
            'mac' => '02:4b:1e:77:00:0b',
            ...$told,
        ],
    );

    return array_map(
        fn (Difference $one): string => $one->key,
        Drift::of(household([larderBox()], ['larder' => $ports]), larderBox(), $reported),
    );
}

test('every part of a report is read', function (): void {
    $read = readReport(reportText());
    expect($read->host)
        ->toBe('larder')
        ->and($read->madeAt)
        ->toBe(1_795_618_800)
        ->and($read->codename)
        ->toBe('bookworm')
        ->and($read->uptimeSeconds)
        ->toBe(86_400)
        ->and($read->synchronised)
        ->toBeTrue()
        ->and($read->restart)
        ->toBeFalse()
        ->and($read->pending)
        ->toBe(['openssl', 'nano'])
        ->and($read->security)
        ->toBe(['openssl'])
        ->and($read->fills)
        ->toBe([
            ['/', 28_000_000 * 1024, 6_000_000 * 1024],
            ['/srv/store', 3_700_000_000 * 1024, 1_000_000_000 * 1024],
        ])
        ->and($read->mounts)
        ->toBe(['/', '/srv/store'])
        ->and([$read->memoryBytes, $read->availableBytes])
        ->toBe([3_884_328 * 1024, 3_100_000 * 1024])
        ->and($read->celsius)
        ->toBe(48.312)
        ->and([$read->undervoltage, $read->throttled])
        ->toBe([true, true])
        ->and($read->containers)
        ->toBe(['web'])
        ->and($read->failed)
        ->toBe(['backup-seed.service'])
        ->and($read->addresses)
        ->toBe(['172.22.8.11'])
        ->and($read->macs)
        ->toBe(['02:4b:1e:77:00:0b'])
        ->and($read->accounts)
        ->toBe(['root', 'warden'])
        ->and($read->keys)
        ->toBe(['SHA256:AQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQE'])
        ->and(BoxReport::kept(json_decode((string) json_encode($read), true)))
        ->toEqual($read);
});

test('what a box cannot tell is not told, and no answer is not “nothing”', function (
    string $part,
    string $said,
    string $key,
): void {
    expect(readReport(reportText([$part => $said]))->{$key})->toBeNull();
})->with([
    'no systemd' => ['failed', '', 'failed'],
    'no engine' => ['containers', '', 'containers'],
    'keys that nobody may read' => ['keys', '', 'keys'],
    'no apt' => ['updates', '', 'pending'],
    'no time server tool' => ['clock', '', 'synchronised'],
    'no flags of its board' => ['power', '', 'undervoltage'],
    'no sensor' => ['temperature', 'none', 'celsius'],
    'no tool for sockets' => ['listening', '', 'listening'],
]);

// The words of LOAD are those of systemd's unit_load_state_table.
test('a unit that failed is told however it was loaded, with a mark before it or none', function (string $load): void {
    foreach (['', '● ', '* ', '  '] as $mark) {
        $report = (new ReportReader(Intake::standard()))->read(
            reportText([
                'failed' => "{$mark}seed-count.service {$load} failed failed counts seeds\nother.timer loaded active waiting x\n#asked",
            ]),
        );
        expect([$mark, $report?->failed])->toBe([$mark, ['seed-count.service']]);
    }
})->with(['loaded', 'not-found', 'bad-setting', 'error', 'merged', 'masked', 'stub']);

test(
    'a paste with a prompt, a second report, carriage returns and a cut end is read as far as it goes',
    function (): void {
        $text =
            "warden@larder:~$ burrow-report\r\n".
            str_replace("\n", "\r\n", reportText(['uptime' => '5.0'])).
            "\r\nwarden@larder:~$ burrow-report\r\n".
            str_replace("\n", "\r\n", reportText(['made' => "1795618900\nlarder"]));
        expect(readReport($text)->madeAt)
            ->toBe(1_795_618_900)
            ->and(readReport($text)->uptimeSeconds)
            ->toBe(86_400)
            ->and(readReport(substr(reportText(), 0, 300))->kernel)
            ->toBe('Linux 6.1.0-18-arm64 aarch64')
            ->and(readReport(substr(reportText(), 0, 300))->accounts)
            ->toBeNull()
            ->and(readReport('a kettle'))
            ->toBeNull();
    },
);

test('damaged reports are read, and stop nothing', function (): void {
    mt_srand(16);
    $whole = reportText();
    for ($try = 0; $try < 400; $try++) {
        $text = $whole;
        for ($cut = mt_rand(1, 6); $cut > 0; $cut--) {
            $at = mt_rand(0, strlen($text));
            $text = match (mt_rand(0, 3)) {
                0 => substr($text, 0, $at).chr(mt_rand(0, 255)).substr($text, $at),
                1 => substr($text, 0, $at).substr($text, $at + mt_rand(1, 40)),
                2 => substr($text, 0, $at).
                    str_repeat(substr($text, $at, 20), mt_rand(1, 50)).
                    substr($text, $at),
                default => substr($text, $at).substr($text, 0, $at),
            };
        }
        $read = readReport($text);
        expect(json_encode($read))->toBeString();
    }
});

test('what is not as the record has it', function (array $report, array $told, array $keys): void {
    expect(driftOf($report, $told))->toBe($keys);
})->with([
    'all is' => [[], [], []],
    'nothing was told of it' => [
        ['listening' => '', 'mounts' => '', 'addresses' => '', 'accounts' => '', 'keys' => ''],
        [],
        [],
    ],
    'something listens' => [
        [
            'listening' => "tcp LISTEN 0 50 0.0.0.0:445 0.0.0.0:*\ntcp LISTEN 0 128 0.0.0.0:22 0.0.0.0:*\ntcp LISTEN 0 5 *:8086 *:*",
        ],
        [],
        ['port 8086/tcp'],
    ],
    'nothing listens any more' => [
        ['listening' => 'tcp LISTEN 0 128 0.0.0.0:22 0.0.0.0:*'],
        [],
        ['gone 445/tcp'],
    ],
    'the disk is not there: the gravest first' => [
        ['mounts' => '/dev/root / ext4 rw 0 0', 'accounts' => "root\nwarden\nkiosk"],
        [],
        ['mount /srv/store', 'account kiosk'],
    ],
    'left alone' => [
        ['accounts' => "root\nwarden\nkiosk"],
        ['answered' => ['account kiosk' => 1_900_000_000]],
        [],
    ],
    'left alone until yesterday' => [
        ['accounts' => "root\nwarden\nkiosk"],
        ['answered' => ['account kiosk' => 1_795_000_000]],
        ['account kiosk'],
    ],
    'another board, another address' => [
        [
            'addresses' => "2: eth0: <UP> mtu 1500\n    link/ether 02:4b:1e:77:00:99 brd ff:ff:ff:ff:ff:ff\n    inet 172.22.8.140/24 scope global eth0",
        ],
        [],
        ['address 172.22.8.11', 'board 02:4b:1e:77:00:0b'],
    ],
    'a key that nobody knows' => [
        ['keys' => "256 SHA256:AgICAgICAgICAgICAgICAgICAgICAgICAgICAgICAgI x (ED25519)\n#asked"],
        [],
        ['key SHA256:AgICAgICAgICAgICAgICAgICAgICAgICAgICAgICAgI'],
    ],
]);

test('what wants somebody reaches the front page', function (array $report, array $told, array $codes): void {
    $reported = new Reported(
        ...[
            'box' => 'larder',
            'at' => new DateTimeImmutable('@1795618800'),
            'report' => readReport(
                reportText($report + ['updates' => 'Listing...', 'failed' => '#asked', 'power' => '']),
            ),
            'accounts' => ['warden'],
            'keys' => ['SHA256:AQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQE'],
            'mounts' => ['/srv/store'],
            'mac' => '02:4b:1e:77:00:0b',
            ...$told,
        ],
    );
    $house = household(
        [larderBox()],
        ['larder' => ['445 tcp share', '22 tcp login']],
        told: ['reports' => [$reported]],
    );
    expect(array_map(fn ($one) => $one->code, (new ReportConcern())->findings($house)->list))->toBe($codes);
})->with([
    'nothing' => [[], [], []],
    'its clock is behind' => [['made' => "1795618000\nlarder"], [], ['upkeep.clock_off']],
    'holes that could be mended' => [
        ['updates' => 'openssl/stable-security 2 arm64 [upgradable from: 1]'],
        [],
        ['upkeep.security_waits'],
    ],
    'other updates wait for their day' => [['updates' => 'nano/stable 2 arm64 [upgradable from: 1]'], [], []],
    'too little voltage' => [['power' => 'throttled=0x50005'], [], ['upkeep.undervoltage']],
    'a restart that waits' => [['restart' => 'yes', 'uptime' => '700000.0'], [], ['upkeep.restart_waits']],
    'a restart that was just asked for' => [['restart' => 'yes'], [], []],
    'it sends none any more' => [
        [],
        ['isExpected' => true, 'at' => new DateTimeImmutable('2026-11-20'), 'report' => new BoxReport()],
        ['upkeep.no_report'],
    ],
]);

test('a unit that would break is not written', function (): void {
    expect(fn () => ReportUnits::service("a\nb", 'http://172.22.8.20:8738/report'))
        ->toThrow(InvalidArgumentException::class)
        ->and(fn () => ReportUnits::service('warden', "http://x/'; reboot"))
        ->toThrow(InvalidArgumentException::class)
        ->and(ReportScript::text("podman'; reboot"))
        ->toContain("'podman'\\''; reboot'");
});

test('nothing that waits by old lists is not up to date', function (
    string $lists,
    string $updates,
    bool $is,
): void {
    expect(readReport(reportText(['lists' => $lists, 'updates' => $updates]))->isUpToDate())->toBe($is);
})->with([
    'fresh lists, nothing waits' => ['1795600000', 'Listing...', true],
    'fresh lists, one waits' => ['1795600000', 'nano/stable 2 arm64 [upgradable from: 1]', false],
    'lists of three days ago' => ['1795350000', 'Listing...', false],
    'nobody told how old they are' => ['', 'Listing...', false],
]);

test(
    'another release and file systems that nobody recorded are told, and what systems mount for themselves is not',
    function (): void {
        $keys = fn (array $with, Reported $told): array => array_values(
            array_filter(
                array_map(
                    fn (Difference $one): string => $one->key,
                    Drift::of(household([larderBox()]), larderBox(), $told),
                ),
                fn (string $key): bool => preg_match('/^(?:release|further) /', $key) === 1,
            ),
        );
        $fill =
            "Filesystem 1024-blocks Used Available Capacity Mounted on\n/dev/root 30000000 6000000 22000000 22% /\n".
            "/dev/sda1 3900000000 1000000000 2700000000 28% /srv/store\n/dev/sdb1 100000 1000 99000 1% /media/fair\n".
            "/dev/mmcblk0p1 500000 80000 420000 16% /boot/firmware\noverlay 30000000 6000000 22000000 22% /var/lib/containers/storage/overlay/x/merged\n".
            'tmpfs 400000 0 400000 0% /run/user/1000';
        $report = readReport(reportText(['fill' => $fill]));
        $told = fn (?string $release, array $mounts, array $known): Reported => new Reported(
            'larder',
            new DateTimeImmutable(THREE_O_CLOCK),
            $report,
            mounts: $mounts,
            release: $release,
            known: $known,
        );
        expect($keys([], $told('bookworm', ['/srv/store'], [])))
            ->toBe(['further /media/fair'])
            ->and($keys([], $told('bookworm', ['/srv/store'], ['/media/fair'])))
            ->toBe([])
            ->and($keys([], $told('bullseye', ['/srv/store'], ['/media/fair'])))
            ->toBe(['release bookworm'])
            ->and($keys([], $told(null, [], [])))
            ->toBe(['further /srv/store', 'further /media/fair']);
    },
);

test('of sensors that tell millivolts the one nearest to five is the supply', function (
    string $said,
    ?float $volts,
): void {
    expect(readReport(reportText(['volts' => $said]))?->volts)->toBe($volts);
})->with([
    ['5102', 5.102],
    ["3300\n5102\n4900\n12100", 4.9],
    ["4000\n6000", 4.0],
    ["3999\n6001", null],
    ['', null],
    ["-5000\nfive\n5.1", null],
    ['5102000', null],
]);

test(
    'a report of before the sensor was asked has no volts, and one that is kept has them again',
    function (): void {
        expect(readReport(reportText())?->volts)->toBeNull();
        $report = readReport(reportText(['volts' => '5102']));
        expect(BoxReport::kept(json_decode((string) json_encode($report), true))->volts)->toBe(5.102);
    },
);

test('a port that listens is in a plan, for itself, for answers to come, or told', function (
    string $line,
    ?string $key,
): void {
    $heads = "Netid State  Recv-Q Send-Q Local Address:Port Peer Address:Port\n";
    $known = "tcp LISTEN 0 50 0.0.0.0:445 0.0.0.0:*\ntcp LISTEN 0 128 0.0.0.0:22 0.0.0.0:*\n";
    expect(driftOf(['listening' => $heads.$known.$line]))->toBe($key === null ? [] : [$key]);
})->with([
    ['udp UNCONN 0 0 0.0.0.0:69 0.0.0.0:*', 'port 69/udp'],
    ['udp UNCONN 0 0 0.0.0.0:32767 0.0.0.0:*', 'port 32767/udp'],
    ['udp UNCONN 0 0 0.0.0.0:32768 0.0.0.0:*', null],
    ['tcp LISTEN 0 5 0.0.0.0:32768 0.0.0.0:*', 'port 32768/tcp'],
    ['tcp LISTEN 0 5 [::]:8081 [::]:*', 'port 8081/tcp'],
    ['tcp LISTEN 0 5 127.0.0.1:8081 0.0.0.0:*', null],
    ['tcp LISTEN 0 5 [::1]:8081 [::]:*', null],
    ['udp UNCONN 0 0 0.0.0.0:68 0.0.0.0:*', null],
    ['tcp LISTEN 0 5 0.0.0.0:68 0.0.0.0:*', 'port 68/tcp'],
    ['udp UNCONN 0 0 0.0.0.0:53 0.0.0.0:*', 'port 53/udp'],
]);
