<?php

declare(strict_types=1);

use Burrow\BringUp\Countdown;
use Burrow\BringUp\Playbook\StepFile;
use Burrow\BringUp\Step\HostKeyHistory;
use Burrow\BringUp\Step\LeaseMatch;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\Values;
use Burrow\BringUp\Write\Block;
use Burrow\BringUp\Write\Blocks;
use Burrow\Household\DoorState;
use Burrow\Intake\Leases\Lease;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\SshPublicKey;

function lease(string $mac, string $address, ?string $name): Lease
{
    return new Lease($address, $mac, $name, null);
}

test('a playbook has every step once, the cable first and power before any wait', function (): void {
    foreach ([...array_keys(entryFiles('playbook')), 'tunnel-endpoint.none'] as $id) {
        $ids = array_map(fn (Step $step) => $step->id, playbook($id)->list);
        expect($ids)
            ->toBe(array_values(array_unique($ids)))
            ->and($ids[0])
            ->toBe('unbox');
        // The power comes last, and nothing is waited for before it is on.
        $on = array_search('cable', $ids, true);
        expect([$id, $on !== false && $on < array_search('first-boot', $ids, true)])->toBe([$id, true]);
        foreach (array_slice(playbook($id)->list, 0, (int) $on) as $before) {
            expect([$id, $before->id, $before->waitTo])->toBe([$id, $before->id, null]);
        }
    }
});

test('every value that a step asks for is known when its turn comes', function (): void {
    $ofTheRun = ['host', 'user', 'address', 'found', 'mac', 'fingerprint'];
    $ofTheHouse = ['domain', 'router', 'prefix', 'zone', 'engine', 'compose', 'package_compose'];
    $byKind = [
        'which-disk' => ['disk', 'disk_serial', 'disk_bytes', 'disk_partition'],
        'make-file-system' => ['uuid'],
    ];
    foreach (array_keys(entryFiles('playbook')) as $id) {
        $job = catalogue('job')[explode('.', $id)[0]];
        $known = [...$ofTheRun, ...$ofTheHouse];
        if (($job->askedPort() ?? $job->pagePort()) !== null) {
            $known[] = 'page_port';
        }
        foreach (playbook($id)->list as $step) {
            $known = [...$known, ...array_keys($step->values)];
            $blocks = array_filter(
                Blocks::all(),
                fn (Block $block): bool => array_diff($block->needs, $known) === [],
            );
            $blocks = array_map(fn (Block $block): string => $block->name, $blocks);
            $texts = [
                $step->command,
                $step->text,
                $step->expect,
                $step->caution,
                $step->meanwhile,
                $step->ifLonger,
            ];
            $more = $step->more;
            $look = $more->look;
            $texts = [
                ...$texts,
                $more->lookIn,
                $more->reset,
                $more->sees,
                $more->no,
                $look?->port,
                $look?->path,
            ];
            $texts = [
                ...$texts,
                ...$look->refused ?? [],
                ...$look->answered ?? [],
                $look?->local,
                $look?->shows,
            ];
            foreach ([...$more->answers, ...$more->cards, ...$more->asks] as $told) {
                $texts = [...$texts, ...array_filter(get_object_vars($told), is_string(...))];
            }
            preg_match_all('/\{\{([^}]*)\}\}/', implode("\n", $texts), $asked);
            $missing = array_values(array_diff(array_unique($asked[1]), $known, $blocks));
            expect([$id, $step->id, $missing])->toBe([$id, $step->id, []]);
            $known = [...$known, ...$byKind[$step->kind->name()] ?? []];
            $known = [
                ...$known,
                ...array_column($more->asks, 'name'),
                ...array_column($more->prints, 'name'),
            ];
        }
    }
});

test('every wait says what to do meanwhile and what it means when it takes longer', function (): void {
    foreach (everyStep() as $step) {
        if ($step->waitTo !== null) {
            expect($step->meanwhile)
                ->not->toBe('')
                ->and($step->ifLonger)
                ->not->toBe('')
                ->and($step->waitTo->seconds)
                ->toBeGreaterThanOrEqual($step->waitFrom?->seconds);
        }
    }
});

test('time left shrinks with every finished step, down to nothing', function (): void {
    $book = playbook();
    $finished = [];
    $last = PHP_FLOAT_MAX;
    foreach ($book->list as $step) {
        $left = $book->handsLeft($finished)->seconds + $book->waitLeft($finished)->seconds;
        expect($left)->toBeLessThanOrEqual($last);
        $last = $left;
        $finished[] = $step->id;
    }
    expect($book->handsLeft($finished)->seconds)
        ->toBe(0.0)
        ->and($book->waitLeft($finished)->seconds)
        ->toBe(0.0)
        ->and($book->step('tea'))
        ->toBeNull();
});

test('a command waits for its values', function (): void {
    $values = new Values([
        'disk' => 'sda',
        'label' => "it's",
        'uuid' => '3f1c0a52-0d11-4b7e-9a55-1d2e3f405162',
        'mount_point' => '/srv/a b',
    ]);
    expect($values->fill('mkfs /dev/{{disk}}'))
        ->toBe('mkfs /dev/sda')
        ->and($values->fill('echo {{label}}'))
        ->toBe("echo 'it'\\''s'")
        ->and($values->fill("tee <<'L'\n{{fstab_line}}\nL"))
        ->toBe(
            "tee <<'L'\nUUID=3f1c0a52-0d11-4b7e-9a55-1d2e3f405162 /srv/a\\040b ext4 ".
                "defaults,nofail,x-systemd.device-timeout=10s 0 2\nL",
        )
        ->and($values->fill('mkfs {{partition}}'))
        ->toBeNull()
        ->and($values->fillText('on {{disk}}, {{other}}'))
        ->toBe('on sda, …');
});

test('a countdown is worked out from its beginning', function (): void {
    $step = playbook()->step('upgrade');
    $began = new DateTimeImmutable('2026-11-25 20:00:00');
    $at = fn (string $time): Countdown => Countdown::of(
        $step,
        $began,
        new DateTimeImmutable("2026-11-25 {$time}"),
    );
    expect($at('20:00:00')->remaining->clock())
        ->toBe('12:00')
        ->and($at('20:04:18')->remaining->clock())
        ->toBe('07:42')
        ->and($at('20:12:00')->isOver())
        ->toBeTrue()
        ->and($at('20:13:30')->over->clock())
        ->toBe('01:30')
        ->and($at('20:00:00')->end->format('H:i:s'))
        ->toBe('20:12:00')
        ->and($at('20:00:00')->source)
        ->toBe('8 min to 12 min, common practice');
});

test('times measured here go before common practice', function (): void {
    $countdown = Countdown::of(
        playbook()->step('upgrade'),
        new DateTimeImmutable('@0'),
        new DateTimeImmutable('@60'),
        [300.0, 420.0],
    );
    expect($countdown->expected->seconds)
        ->toBe(420.0)
        ->and($countdown->source)
        ->toBe('measured here before, 2 runs, 5 min to 7 min');
    $named = fn (array $measured, string ...$on): string => Countdown::of(
        playbook()->step('upgrade'),
        new DateTimeImmutable('@0'),
        new DateTimeImmutable('@60'),
        $measured,
        1,
        $on,
    )->source;
    // What the estimate was made from is named, and of many the newest.
    expect($named([300.0], 'wren, 12 Nov 2026'))
        ->toBe('measured here before, 1 run (wren, 12 Nov 2026)')
        ->and($named([60.0, 60.0, 60.0, 60.0, 60.0], 'a', 'b', 'c', 'd', 'e'))
        ->toBe('measured here before, 5 runs (a; b; c; d; and earlier)')
        ->and($named([60.0, 60.0, 60.0, 60.0], 'a', 'b', 'c', 'd'))
        ->toBe('measured here before, 4 runs (a; b; c; d)');
});

test('the bench runs its clock faster', function (): void {
    $countdown = Countdown::of(
        playbook()->step('upgrade'),
        new DateTimeImmutable('@0'),
        new DateTimeImmutable('@0'),
        [],
        20,
    );
    expect($countdown->expected->seconds)->toBe(36.0)->and($countdown->source)->toContain('20 times faster');
});

test('only a wait has a countdown', function (): void {
    expect(
        fn () => Countdown::of(playbook()->step('cable'), new DateTimeImmutable(), new DateTimeImmutable()),
    )->toThrow(InvalidArgumentException::class);
});

test('a box is singled out in the router\'s list', function (
    array $leases,
    array $before,
    ?string $address,
    string $code,
): void {
    $match = LeaseMatch::find(Hostname::parse('wren'), $leases, $before);
    expect($match->lease?->address)
        ->toBe($address)
        ->and($match->findings->list[0]->code)
        ->toBe($code);
})->with([
    'new and named' => [
        [
            lease('02:00:00:00:00:01', '172.22.8.104', 'desk'),
            lease('02:00:00:00:00:07', '172.22.8.131', 'wren'),
        ],
        ['02:00:00:00:00:01'],
        '172.22.8.131',
        'bringup.found',
    ],
    'capitals' => [[lease('02:00:00:00:00:07', '172.22.8.131', 'WREN')], [], '172.22.8.131', 'bringup.found'],
    'known before' => [
        [lease('02:00:00:00:00:07', '172.22.8.131', 'wren')],
        ['02:00:00:00:00:07'],
        '172.22.8.131',
        'bringup.found',
    ],
    'under another name' => [
        [lease('02:00:00:00:00:07', '172.22.8.131', 'board')],
        [],
        '172.22.8.131',
        'bringup.other_name',
    ],
    'without a name' => [
        [lease('02:00:00:00:00:07', '172.22.8.131', null)],
        [],
        '172.22.8.131',
        'bringup.other_name',
    ],
    'nothing new' => [
        [lease('02:00:00:00:00:01', '172.22.8.104', 'desk')],
        ['02:00:00:00:00:01'],
        null,
        'bringup.not_in_list',
    ],
    'several new' => [
        [lease('02:00:00:00:00:01', '172.22.8.104', 'a'), lease('02:00:00:00:00:02', '172.22.8.105', 'b')],
        [],
        null,
        'bringup.several_new',
    ],
    'an older lease of that name' => [
        [
            lease('02:00:00:00:00:01', '172.22.8.104', 'wren'),
            lease('02:00:00:00:00:02', '172.22.8.105', 'wren'),
        ],
        ['02:00:00:00:00:01'],
        '172.22.8.105',
        'bringup.found',
    ],
    'two of that name, both from before' => [
        [
            lease('02:00:00:00:00:01', '172.22.8.104', 'wren'),
            lease('02:00:00:00:00:02', '172.22.8.105', 'wren'),
        ],
        ['02:00:00:00:00:01', '02:00:00:00:00:02'],
        null,
        'bringup.two_of_that_name',
    ],
    'two of that name' => [
        [
            lease('02:00:00:00:00:01', '172.22.8.104', 'wren'),
            lease('02:00:00:00:00:02', '172.22.8.105', 'wren'),
        ],
        [],
        null,
        'bringup.two_of_that_name',
    ],
]);

test('open, refused and silent mean different things', function (): void {
    $at = Ipv4::parse('172.22.8.16');
    expect(SeenFindings::port(DoorState::Open, $at, 22)->severity->value)
        ->toBe('fine')
        ->and(SeenFindings::port(DoorState::Refused, $at, 22)->do)
        ->toContain('user-data')
        ->and(SeenFindings::port(DoorState::Refused, $at, 445)->do)
        ->toContain('systemctl')
        ->and(SeenFindings::port(DoorState::Silent, $at, 22)->code)
        ->toBe('bringup.port_silent');
});

test('a host key is judged by its history', function (): void {
    $key = fn (string $byte): SshPublicKey => SshPublicKey::tryOf(
        'ssh-ed25519',
        base64_encode(pack('N', 11).'ssh-ed25519'.pack('N', 32).str_repeat($byte, 32)),
    ) ?? throw new LogicException();
    $kept = $key('a')->fingerprint();
    $keptAt = new DateTimeImmutable('2026-11-01');
    $code = fn (SshPublicKey $shown, ?string $kept, ?string $written): string => HostKeyHistory::judge(
        $shown,
        $kept,
        $keptAt,
        $written === null ? null : new DateTimeImmutable($written),
    )->code;
    expect($code($key('a'), null, null))
        ->toBe('bringup.host_key_first')
        ->and($code($key('a'), $kept, null))
        ->toBe('bringup.host_key_same')
        ->and($code($key('b'), $kept, '2026-11-20'))
        ->toBe('bringup.host_key_rewritten')
        ->and($code($key('b'), $kept, '2026-10-20'))
        ->toBe('bringup.host_key_changed')
        ->and($code($key('b'), $kept, null))
        ->toBe('bringup.host_key_changed')
        ->and(HostKeyHistory::judge($key('b'), $kept, $keptAt, null)->severity->value)
        ->toBe('stop');
});

test(
    'what a command writes is read from it, and whether it stands at the end of a file that is there',
    function (): void {
        $files = StepFile::ofCommand(
            "sudo tee /etc/a.conf >/dev/null <<'END'\none\ntwo\nEND\necho x\n".
                "tee --append /etc/fstab <<'END'\nthree\nEND\n",
        );
        expect(array_map(fn (StepFile $one): array => [$one->path, $one->text, $one->appended], $files))->toBe(
            [['/etc/a.conf', "one\ntwo\n", false], ['/etc/fstab', "three\n", true]],
        );
    },
);
