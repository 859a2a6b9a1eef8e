<?php

declare(strict_types=1);

use Burrow\BringUp\Kind\StepKinds;
use Burrow\BringUp\Playbook\PlaybookReader;
use Burrow\BringUp\Playbook\RunSteps;
use Burrow\BringUp\Seen\NameAnswer;
use Burrow\BringUp\Seen\PageSeen;
use Burrow\BringUp\Step\Asking;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Circumstance;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\NotAsked;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\RunFacts;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Step\Values;
use Burrow\Household\DoorState;
use Burrow\Intake\Intake;
use Burrow\Judgement\Finding;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;
use Burrow\Net\SshPublicKey;
use Burrow\Quantity\Bytes;

/** A network that answers as it is told. */
function network(array $doors = [], ?string $leases = null, ?string $key = 'a', array $says = []): Asking
{
    return new class($doors, $leases, $key, $says) implements Asking
    {
        public function __construct(
            private array $doors,
            private ?string $leases,
            private ?string $key,
            private array $says,
        ) {
        }

        public function lookup(Ipv4 $resolver, string $name, Protocol $over): NameAnswer
        {
            return $this->says["{$over->value} {$name}"] ?? ($this->says[$name] ?? new NameAnswer(null));
        }

        public function page(Ipv4 $address, int $port, string $path, bool $tls): ?PageSeen
        {
            return $this->says["{$port}{$path}"] ?? null;
        }

        public function greeting(Ipv4 $address, int $port, string $send): ?string
        {
            return $this->says[$port] ?? null;
        }

        public function door(Ipv4 $address, int $port): DoorState
        {
            return $this->doors["{$address}:{$port}"] ?? DoorState::Silent;
        }

        public function hostKey(Ipv4 $address): ?SshPublicKey
        {
            return $this->key === null
                ? null
                : SshPublicKey::tryOf(
                    'ssh-ed25519',
                    base64_encode(pack('N', 11).'ssh-ed25519'.pack('N', 32).str_repeat($this->key, 32)),
                );
        }

        public function leases(): ?string
        {
            return $this->leases === 'away'
                ? throw new NotAsked(BringUpFindings::benchAway('no bench'))
                : $this->leases;
        }
    };
}

function judged(string $step, array $given = [], ?Asking $network = null, ?RunFacts $facts = null): Outcome
{
    $played = playbook()->step($step) ?? throw new LogicException($step);

    return $played->kind->judge(
        new Judging(
            $played,
            $facts ?? new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16')),
            $given,
            $network ?? network(),
            Intake::standard(),
        ),
    );
}

const LEASES = "1764000000 02:4b:1e:90:00:07 172.22.8.104 wren *\n";

test('the router\'s list teaches where the box is and which hardware address it has', function (): void {
    $outcome = judged('found', [], network([], LEASES));
    expect([$outcome->over, $outcome->values, $outcome->learned->mac])->toBe([
        true,
        ['found' => '172.22.8.104', 'mac' => '02:4b:1e:90:00:07'],
        '02:4b:1e:90:00:07',
    ]);
    // What was pasted goes before what can be asked.
    expect(
        judged(
            'found',
            [
                'pasted' => str_replace('wren', 'larder', LEASES).
                    str_replace(['wren', '00:07', '8.104'], ['sieve', '00:08', '8.105'], LEASES),
            ],
            network([], LEASES),
        )->findings->codes(),
    )
        ->toBe(['bringup.several_new'])
        ->and(judged('found', [], network([], 'away'))->findings->codes())
        ->toBe(['bringup.bench_away'])
        ->and(judged('found', [], network())->over)
        ->toBeFalse();
});

test('a port and a key are asked where the box was found, later where it is pinned', function (): void {
    $found = new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16'), learned: ['found' => '172.22.8.104']);
    expect(judged('door', [], network(['172.22.8.104:22' => DoorState::Open]), $found)->words)
        ->toBe('port 22 open')
        ->and(judged('door', [], network(['172.22.8.16:22' => DoorState::Open]), $found)->over)
        ->toBeFalse()
        ->and(judged('host-key', [], network(), $found)->learned->hostKey)
        ->toStartWith('SHA256:')
        ->and(judged('host-key', [], network(key: null), $found)->findings->codes())
        ->toBe(['bringup.no_host_key'])
        ->and(judged('pinned', [], network(['172.22.8.104:22' => DoorState::Open]), $found)->findings->codes())
        ->toBe(['bringup.still_at_old'])
        ->and(judged('pinned', [], network(['172.22.8.16:22' => DoorState::Open]), $found)->learned->pinned)
        ->toBeTrue()
        ->and(judged('back', [], network(['172.22.8.16:22' => DoorState::Open]), $found)->learned->pinned)
        ->toBeFalse()
        ->and(judged('door', [], network(), new RunFacts('wren'))->findings->codes())
        ->toBe(['bringup.no_address'])
        ->and(judged('pinned', [], network(), new RunFacts('wren'))->findings->codes())
        ->toBe(['bringup.no_address']);
});

test('another key than the one kept does not pin a box', function (): void {
    $facts = new RunFacts(
        'wren',
        'warden',
        Ipv4::parse('172.22.8.16'),
        hostKey: 'SHA256:other',
        hostKeyAt: new DateTimeImmutable('2026-11-20'),
    );
    $outcome = judged('pinned', [], network(['172.22.8.16:22' => DoorState::Open]), $facts);
    expect([$outcome->over, $outcome->learned->pinned, $outcome->learned->hostKey])
        ->toBe([false, false, null])
        ->and($outcome->findings->codes())
        ->toBe(['bringup.port_open', 'bringup.host_key_changed'])
        ->and(array_keys($outcome->looked))
        ->toBe(['tcp/22']);
});

test('every service of the run must answer before it is said to', function (): void {
    $facts = new RunFacts(
        'wren',
        'warden',
        Ipv4::parse('172.22.8.16'),
        jobs: [catalogue('job')['file-store'], catalogue('job')['print-host']],
    );
    $ports = array_map(fn ($job): int => $job->servicePort()->port->number, $facts->jobs);
    $open = array_fill_keys(array_map(fn (int $port): string => "172.22.8.16:{$port}", $ports), DoorState::Open);
    expect(judged('share-answers', [], network($open), $facts)->over)
        ->toBeTrue()
        ->and(judged('share-answers', [], network(array_slice($open, 0, 1)), $facts)->over)
        ->toBeFalse()
        ->and(count(judged('share-answers', [], network($open), $facts)->looked))
        ->toBe(count(array_unique($ports)));
});

test('a disk is only chosen when its name was typed back', function (): void {
    $list = json_encode([
        'blockdevices' => [
            [
                'name' => 'mmcblk0',
                'size' => 31914983424,
                'type' => 'disk',
                'mountpoints' => [null],
                'serial' => '0x1',
                'children' => [
                    ['name' => 'mmcblk0p2', 'size' => 31000000000, 'type' => 'part', 'mountpoints' => ['/']],
                ],
            ],
            [
                'name' => 'sda',
                'size' => 500000000000,
                'type' => 'disk',
                'mountpoints' => [null],
                'serial' => 'SEED000007',
                'tran' => 'usb',
            ],
        ],
    ]);
    $facts = new RunFacts('wren', 'warden', disk: Bytes::of(500000000000));
    expect(judged('disk-find', ['pasted' => $list, 'typed_disk' => ''], null, $facts)->over)
        ->toBeFalse()
        ->and(judged('disk-find', ['pasted' => $list, 'typed_disk' => 'mmcblk0'], null, $facts)->over)
        ->toBeFalse()
        ->and(judged('disk-find', ['pasted' => $list, 'typed_disk' => ' sda '], null, $facts)->values)
        ->toBe([
            'disk' => 'sda',
            'disk_serial' => 'SEED000007',
            'disk_partition' => 'sda1',
            'disk_bytes' => '500000000000',
        ]);
});

test('the store is written into the record when it is shared, with all that is known of it', function (): void {
    $facts = new RunFacts(
        'wren',
        'warden',
        learned: [
            'uuid' => '7c9e6679-7425-40de-944b-e07fc1f90ae7',
            'disk_serial' => 'SEED1',
            'disk_bytes' => '500000000000',
        ],
    );
    expect(judged('share', [], null, $facts)->learned->store)
        ->toBe([
            'label' => 'store',
            'mount_point' => '/srv/store',
            'share' => 'store',
            'uuid' => '7c9e6679-7425-40de-944b-e07fc1f90ae7',
            'serial' => 'SEED1',
            'bytes' => 500000000000,
        ])
        ->and(
            judged(
                'share',
                ['pasted' => 'Failed to restart smbd.service: Unit smbd.service not found.'],
                null,
                $facts,
            )->learned->store,
        )
        ->toBeNull()
        ->and(judged('share')->learned->store)
        ->toBeNull();
});

test('no kind throws on what is pasted, and each finding points at a field that the step has', function (): void {
    mt_srand(11);
    $texts = [
        '',
        ' ',
        "\0\0",
        str_repeat("[\n", 3000),
        "E: Could not get lock /var/lib/dpkg/lock\n",
        '{"blockdevices": [{"name": 3}]}',
        'ümläut 🦡',
        "\xFF\xFE",
        LEASES,
    ];
    for ($i = 0; $i < 40; $i++) {
        $texts[] = substr(str_shuffle(LEASES.'{"[:/]}'.$texts[5]), 0, mt_rand(1, 200));
    }
    $step = playbook()->step('disk-find');
    foreach (StepKinds::all() as $name => $kind) {
        expect($kind->name())->toBe($name);
        foreach ($texts as $text) {
            $played = new Step('x', $kind, 'x', 'x', 'true', '', $step->hands, null, null, '', '', '', []);
            $fields = array_map(fn (StepField $field): string => $field->name, $kind->takes($played, false));
            $outcome = $kind->judge(
                new Judging(
                    $played,
                    new RunFacts('wren'),
                    array_fill_keys($fields, $text),
                    network(),
                    Intake::standard(),
                ),
            );
            $pointed = array_filter(
                array_map(fn (Finding $finding): ?string => $finding->place?->field, $outcome->findings->list),
            );
            expect([$name, array_values(array_diff($pointed, $fields))])->toBe([$name, []]);
        }
    }
    expect(StepKinds::of('nobody knows this')->name())->toBe('hand');
});

test(
    'what is asked of the bench can be done by it: typed where a command is typed, never where a person must look',
    function (): void {
        foreach (StepKinds::all() as $name => $kind) {
            expect([
                $name,
                $kind->bench() === null ||
                in_array($kind->place(), [StepPlace::Hand, StepPlace::Box, StepPlace::Router], true),
            ])->toBe([$name, true]);
        }
    },
);

test('steps of several playbooks are played once, and a box in service does not arrive again', function (): void {
    $reader = playbooks();
    $store = $reader->playbook(entry('playbook', 'file-store.package'));
    $ids = fn (RunSteps $run): array => array_map(fn (Step $step): string => $step->id, $run->list);
    $both = $ids(RunSteps::of([$store, $reader->bare('dns-filter', 'package'), $store]));
    expect($both)
        ->toBe($ids(RunSteps::of([$store])))
        ->and(array_slice($ids(RunSteps::of([$store], inService: true)), 0, 4))
        ->toBe(['login', 'index', 'upgrade', 'disk-find']);
});

test('a playbook that cannot be played is refused with the reason', function (
    array $change,
    string $because,
): void {
    $entry = [...entry('playbook', 'file-store.package'), ...$change];
    expect(fn () => playbooks()->playbook($entry))->toThrow(InvalidArgumentException::class, $because);
})->with([
    'a part that is not there' => [['arrive' => ['teleport']], 'no shared part “teleport”'],
    'an id of another job' => [['job' => 'dns-filter'], 'its id must be “dns-filter.package”'],
    'a step twice' => [
        [
            'steps' => [
                ...array_fill(0, 2, ['id' => 'a', 'kind' => 'hand', 'title' => 'A', 'text' => 'a', 'hands_s' => 1]),
            ],
        ],
        'one id',
    ],
]);

test('a file that cannot hold its values leaves the command unfinished', function (): void {
    $share = playbook()->step('share');
    $facts = fn (string $user): RunFacts => new RunFacts('wren', $user);
    expect(Values::of($facts('warden'), $share)->fill($share->command))
        ->toContain('[store]')
        ->and(Values::of($facts('store'), $share)->fill($share->command))
        ->toBeNull()
        ->and(PlaybookReader::gone('tea')->title)
        ->toContain('“tea”');
});

test(
    'a box whose address stands on its card is not looked for in the router\'s list, and nothing is pinned',
    function (): void {
        $store = playbooks()->playbook(entry('playbook', 'file-store.package'));
        $ids = fn (Circumstance ...$so): array => array_map(
            fn (Step $step): string => $step->id,
            RunSteps::of([$store], false, array_values($so))->list,
        );
        expect(array_diff($ids(), $ids(Circumstance::FixedAddress)))
            ->toEqualCanonicalizing(['found', 'first-login', 'reserve', 'restart-lease', 'pinned'])
            ->and(array_values(array_diff($ids(Circumstance::FixedAddress), $ids())))
            ->toBe(['fixed']);
        $fixed = RunSteps::of([$store], false, [Circumstance::FixedAddress])->step('fixed');
        $facts = new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16'));
        $network = network(['172.22.8.16:22' => DoorState::Open]);
        $outcome = $fixed->kind->judge(new Judging($fixed, $facts, [], $network, Intake::standard()));
        // It answers there, and no reservation is written into its record.
        expect([$outcome->over, $outcome->learned->pinned])->toBe([true, false]);
    },
);

test('nothing is typed on a box before somebody is logged in there', function (): void {
    foreach ([[], ...array_map(fn (Circumstance $one): array => [$one], Circumstance::cases())] as $so) {
        foreach ([...array_keys(entryFiles('playbook')), 'none.package'] as $id) {
            [$job, $school] = explode('.', $id);
            $book =
                $id === 'none.package'
                    ? playbooks()->bare($job, $school)
                    : playbooks()->playbook(entry('playbook', $id));
            $in = false;
            foreach (RunSteps::of([$book], false, $so)->list as $step) {
                $in = $in || str_starts_with($step->command, 'ssh ');
                expect([$id, $so, $step->id, $step->kind->place() !== StepPlace::Box || $in])->toBe([
                    $id,
                    $so,
                    $step->id,
                    true,
                ]);
                // A restart ends the session.
                $in = $in && ! ($step->kind->place() === StepPlace::Box && str_contains($step->command, 'reboot'));
            }
        }
    }
});
