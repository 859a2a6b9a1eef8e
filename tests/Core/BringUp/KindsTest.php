<?php

declare(strict_types=1);

use Burrow\BringUp\Kind\Hands\Claim;
use Burrow\BringUp\Kind\Hands\ShownOnce;
use Burrow\BringUp\Kind\StepKinds;
use Burrow\BringUp\Playbook\PlaybookReader;
use Burrow\BringUp\Playbook\RunSteps;
use Burrow\BringUp\Seen\Greeting;
use Burrow\BringUp\Seen\PageSeen;
use Burrow\BringUp\Step\Asking;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Circumstance;
use Burrow\BringUp\Step\Details;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\NotAsked;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\RunFacts;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Step\Values;
use Burrow\BringUp\Told\AskedKind;
use Burrow\BringUp\Told\AskedValue;
use Burrow\BringUp\Told\KnownError;
use Burrow\BringUp\Told\Look;
use Burrow\BringUp\Told\PrintedValue;
use Burrow\Household\DoorState;
use Burrow\Intake\Intake;
use Burrow\Judgement\Finding;
use Burrow\Net\Ipv4;
use Burrow\Net\NameAnswer;
use Burrow\Net\Protocol;
use Burrow\Net\SshPublicKey;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;

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

        public function greeting(Ipv4 $address, int $port, Greeting $greeting, string $path): ?string
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

/** A step of this kind with these details, as a playbook of the DNS filter could hold it. */
function judgedAs(
    string $kind,
    Details $more,
    array $given = [],
    ?Asking $network = null,
    ?RunFacts $facts = null,
): Outcome {
    $played = new Step(
        'x',
        StepKinds::of($kind),
        'Is it so?',
        'x',
        'true',
        '',
        Duration::seconds(1),
        null,
        null,
        '',
        '',
        '',
        [],
        more: $more,
    );

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
        ->and(judged('host-key', [], network(), $found)->learned->hostKey?->fingerprint())
        ->toStartWith('SHA256:')
        ->and(judged('host-key', [], network(key: null), $found)->findings->codes())
        ->toBe(['bringup.no_host_key'])
        ->and(
            judged('pinned', [], network(['172.22.8.104:22' => DoorState::Open]), $found)->findings->codes(),
        )
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
    $open = array_fill_keys(
        array_map(fn (int $port): string => "172.22.8.16:{$port}", $ports),
        DoorState::Open,
    );
    $asked = fn (Asking $network): Outcome => judgedAs('ask-services', new Details(), [], $network, $facts);
    expect($asked(network($open))->over)
        ->toBeTrue()
        ->and($asked(network(array_slice($open, 0, 1)))->over)
        ->toBeFalse()
        ->and(count($asked(network($open))->looked))
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

test(
    'the store is written into the record when it is shared, with all that is known of it',
    function (): void {
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
    },
);

test(
    'no kind throws on what is pasted, and each finding points at a field that the step has',
    function (): void {
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
                $played = new Step(
                    'x',
                    $kind,
                    'x',
                    'x',
                    'true',
                    '',
                    $step->hands,
                    null,
                    null,
                    '',
                    '',
                    '',
                    [],
                );
                $fields = array_map(
                    fn (StepField $field): string => $field->name,
                    $kind->takes($played, false),
                );
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
                    array_map(
                        fn (Finding $finding): ?string => $finding->place?->field,
                        $outcome->findings->list,
                    ),
                );
                expect([$name, array_values(array_diff($pointed, $fields))])->toBe([$name, []]);
            }
        }
        expect(StepKinds::of('nobody knows this')->name())->toBe('hand');
    },
);

test(
    'what is asked of the bench can be done by it: typed where a command is typed, never where a person must look',
    function (): void {
        foreach (StepKinds::all() as $name => $kind) {
            expect([
                $name,
                $kind->bench() === null ||
                in_array($kind->place(), [StepPlace::Hand, StepPlace::Box, StepPlace::Router], true) ||
                // The other box of a move is shut down from the desk, and the board's page has its first visitor.
                in_array(
                    [$kind->bench(), $kind->place()],
                    [
                        [BenchHelp::OldOff, StepPlace::Desk],
                        [BenchHelp::OtherCard, StepPlace::Desk],
                        [BenchHelp::Claim, StepPlace::Page],
                    ],
                    true,
                ),
            ])->toBe([$name, true]);
        }
    },
);

test(
    'steps of several playbooks are played once, and a box in service does not arrive again',
    function (): void {
        $reader = playbooks();
        $store = $reader->playbook(entry('playbook', 'file-store.package'));
        $ids = fn (RunSteps $run): array => array_map(fn (Step $step): string => $step->id, $run->list);
        $both = $ids(RunSteps::of([$store, $reader->bare('dns-filter', 'package'), $store]));
        expect($both)
            ->toBe($ids(RunSteps::of([$store])))
            ->and(array_slice($ids(RunSteps::of([$store], inService: true)), 0, 4))
            ->toBe(['login', 'index', 'upgrade', 'disk-tools']);
    },
);

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
                ...array_fill(0, 2, [
                    'id' => 'a',
                    'kind' => 'hand',
                    'title' => 'A',
                    'text' => 'a',
                    'hands_s' => 1,
                ]),
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
                $typed = $step->place() === StepPlace::Box && $step->command !== '';
                expect([$id, $so, $step->id, ! $typed || $in])->toBe([$id, $so, $step->id, true]);
                // A restart ends the session.
                $in = $in && ! ($typed && str_contains($step->command, 'reboot'));
            }
        }
    }
});

test(
    'values are asked once, each by the grammar of the program that reads it, and kept with their job',
    function (): void {
        $more = new Details(
            job: 'dns-filter',
            asks: [
                new AskedValue('upstream', 'Resolver', AskedKind::Address, 'why'),
                new AskedValue('listed', 'Names', AskedKind::Names, 'why'),
            ],
        );
        $wrong = judgedAs('values', $more, ['asked_upstream' => '9.9.9', 'asked_listed' => '']);
        expect([$wrong->over, $wrong->findings->codes(), $wrong->findings->list[1]->place?->field])->toBe([
            false,
            ['bringup.value_not_fit', 'bringup.value_not_fit'],
            'asked_listed',
        ]);
        $right = judgedAs('values', $more, [
            'asked_upstream' => ' 203.0.113.53',
            'asked_listed' => "a.example\r\nb.example",
        ]);
        expect([$right->over, $right->values, $right->learned->answers])->toBe([
            true,
            ['dns-filter:upstream' => '203.0.113.53', 'dns-filter:listed' => "a.example\nb.example"],
            ['dns-filter' => ['upstream' => '203.0.113.53', 'listed' => "a.example\nb.example"]],
        ]);
    },
);

test('what is typed is taken or refused as its program does', function (
    string $kind,
    array $taken,
    array $refused,
): void {
    $asked = AskedKind::from($kind);
    foreach ($taken as $typed) {
        expect([$typed, $asked->normal($typed)])->toBe([$typed, $typed]);
    }
    foreach ($refused as $typed) {
        expect([$typed, $asked->normal($typed)])->toBe([$typed, null]);
    }
})->with([
    ['port', ['1', '53', '65535'], ['0', '65536', '519440', '-1', '5x', '']],
    ['folder', ['/srv', '/srv/a-b/c.d'], ['srv', '/', '/srv/../etc', '/a b', '/srv/', "/a\nb", '/-rf']],
    ['url-path', ['/', '/admin/', '/a?b=c'], ['admin', '/a b', '//"', "/a\nb"]],
    [
        'image',
        ['a/b:1', 'registry.example:5000/x/y:v1.2', 'a@sha256:'.str_repeat('0', 64)],
        ['a', 'A/b:1', 'a b:1', '-x:1', 'a:'],
    ],
    ['host', ['halt.example.net', '172.22.8.1', 'x'], ['-x', 'a b', 'a..b', '$(id)', str_repeat('a', 64)]],
    ['names', ["a.example\nb.example"], ['a b', "a\n\nb", str_repeat("a.example\n", 201)]],
    ['account', ['warden', '_x', 'a-1'], ['Warden', '1a', 'a b', 'a:b']],
    [
        'tunnel-key',
        [base64_encode(str_repeat('k', 32))],
        [base64_encode(str_repeat('k', 31)), 'abc', str_repeat('=', 44)],
    ],
    [
        'private-net',
        ['10.77.8.0/24', '192.168.9.0/24'],
        ['10.77.8.1/24', '203.0.113.0/24', '10.77.8.0/23', '10.777.8.0/24'],
    ],
    [
        'source',
        ['https://source.home.arpa/a.git', 'ssh://git@a/b'],
        ['http://a/b', '--upload-pack=x', 'https://a b/', 'https://a/;id'],
    ],
    ['word', ['recorder_4.3-1_arm64.deb'], ['a b', '-x', 'a/b', '$(x)']],
]);

test('a place is written down, never the secret itself', function (): void {
    $kept = fn (string $where): Outcome => judgedAs('shown-once', new Details(job: 'x'), [
        'kept_at' => $where,
    ]);
    expect($kept('')->findings->codes())
        ->toBe(['bringup.where_kept'])
        ->and($kept('Xk3$9fTq!2')->findings->codes())
        ->toBe(['bringup.looks_secret'])
        ->and($kept('hunter2hunter2')->findings->codes())
        ->toBe(['bringup.looks_secret'])
        ->and($kept('password manager, entry sieve')->learned->answers)
        ->toBe(['x' => ['x kept at' => 'password manager, entry sieve']]);
});

test(
    'a page is claimed with a password of its own, and a second factor says where its codes lie',
    function (): void {
        $claim = fn (array $given): Outcome => judgedAs('claim', new Details(job: 'x'), $given);
        expect($claim(['owner' => 'warden'])->findings->codes())
            ->toBe(['bringup.choice_needed'])
            ->and($claim(['owner' => '', 'second' => 'changed'])->findings->codes())
            ->toBe(['bringup.value_not_fit'])
            ->and($claim(['owner' => 'warden', 'second' => 'second-factor'])->findings->codes())
            ->toBe(['bringup.recovery_where'])
            ->and($claim(['owner' => 'warden', 'second' => 'changed'])->learned->answers['x']['access'])
            ->toBe('changed')
            ->and(
                $claim(['owner' => 'warden', 'second' => 'second-factor', 'recovery' => 'paper, fuse box'])
                    ->learned->answers['x'],
            )
            ->toBe([
                'access' => 'second-factor',
                'owner' => 'warden',
                'claimed by' => 'your word',
                'recovery codes' => 'paper, fuse box',
            ]);
    },
);

test('a page that still asks for a first owner is not claimed, whatever is said', function (
    ?PageSeen $page,
    bool $over,
    string $by,
): void {
    $hub = catalogue('job')['automation-hub']->listeningAt(8082);
    $outcome = judgedAs(
        'claim',
        new Details(job: 'automation-hub'),
        ['owner' => 'warden', 'second' => 'changed'],
        network(says: $page === null ? [] : ['8082/' => $page]),
        new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16'), jobs: [$hub]),
    );
    expect([$outcome->over, $outcome->findings->codes()])
        ->toBe([$over, $over ? [] : ['bringup.still_unclaimed']])
        ->and($outcome->learned->answers['automation-hub']['claimed by'] ?? '')
        ->toBe($by);
})->with([
    'a wizard' => [new PageSeen(200, 'Welcome wizard: create an owner account'), false, ''],
    'its own page' => [new PageSeen(200, 'Hub'), true, 'your word, and its page asks for no owner'],
    'no page was seen' => [null, true, 'your word'],
]);

test('a question leads on from its no, and saved is not applied', function (): void {
    $more = new Details(yes: 'It is', no: 'Look at {{host}}.');
    $no = judgedAs('question', $more, ['answer' => 'no']);
    expect([$no->over, $no->findings->list[0]->do])
        ->toBe([false, 'Look at wren.'])
        ->and(judgedAs('question', $more, ['answer' => 'yes'])->over)
        ->toBeTrue()
        ->and(judgedAs('question', $more)->findings->codes())
        ->toBe(['bringup.choice_needed'])
        ->and(judgedAs('saved-applied', $more, ['buttons' => 'saved'])->findings->codes())
        ->toBe(['bringup.saved_only'])
        ->and(judgedAs('saved-applied', $more, ['buttons' => 'applied'])->over)
        ->toBeTrue();
});

test(
    'a pasted text ends a step by its words, teaches values, and is refused by known errors first',
    function (): void {
        $more = new Details(
            job: 'x',
            errors: [new KnownError('no space left', 'Full.', 'why', 'do')],
            prints: [new PrintedValue('file', "in '../", "'", AskedKind::Word, 'the file')],
            sees: 'building package',
        );
        $at = fn (string $text): Outcome => judgedAs('detached', $more, ['pasted' => $text]);
        expect($at('')->findings->codes())
            ->toBe(['bringup.answer_needed'])
            ->and($at('still building')->findings->codes())
            ->toBe(['bringup.not_seen'])
            ->and($at('cp: No space left on device')->findings->codes())
            ->toBe(['bringup.known_error'])
            ->and($at("building package 'a' in 'elsewhere'")->findings->codes())
            ->toBe(['bringup.value_not_printed'])
            ->and($at("warden@wren:~$ x\r\n\e[1mbuilding\n package 'a' in '../a_1_arm64.deb'.\e[0m")->values)
            ->toBe(['x:file' => 'a_1_arm64.deb'])
            ->and($at("building package 'a' in '../a b.deb'.")->findings->codes())
            ->toBe(['bringup.value_not_printed']);
    },
);

test('an expected error is expected, and a box that answers is not shut down', function (): void {
    $more = new Details(sees: 'privileged port');
    expect(
        judgedAs('expected-error', $more, ['pasted' => "Error: cannot expose\n privileged  port 80"])->over,
    )
        ->toBeTrue()
        ->and(judgedAs('expected-error', $more, ['pasted' => 'started'])->findings->codes())
        ->toBe(['bringup.error_did_not_come'])
        ->and(
            judgedAs(
                'halt',
                new Details(),
                [],
                network(['172.22.8.16:22' => DoorState::Refused]),
            )->findings->codes(),
        )
        ->toBe(['bringup.still_on'])
        ->and(judgedAs('halt', new Details())->over)
        ->toBeTrue();
});

test('names must be refused, answered, and be of this house, over both transports', function (): void {
    $look = new Look(refused: ['bad.example'], answered: ['good.example'], local: '{{host}}.home.arpa');
    $says = [
        'bad.example' => new NameAnswer(3),
        'good.example' => new NameAnswer(0, ['198.51.100.7']),
        'wren.home.arpa' => new NameAnswer(0, ['172.22.8.16']),
    ];
    $at = fn (array $other): Outcome => judgedAs(
        'ask-names',
        new Details(look: $look),
        [],
        network(says: [...$says, ...$other]),
    );
    expect([$at([])->over, array_keys($at([])->looked)])
        ->toBe([true, ['udp/53', 'tcp/53']])
        ->and($at(['tcp good.example' => new NameAnswer(null)])->over)
        ->toBeFalse()
        ->and($at(['bad.example' => new NameAnswer(0, ['0.0.0.0'])])->over)
        ->toBeTrue()
        ->and($at(['bad.example' => new NameAnswer(0, ['198.51.100.9'])])->over)
        ->toBeFalse()
        // A resolver that failed has refused nothing.
        ->and($at(['bad.example' => new NameAnswer(2)])->over)
        ->toBeFalse()
        ->and($at(['wren.home.arpa' => new NameAnswer(0, ['172.22.8.17'])])->over)
        ->toBeFalse();
});

test('where nobody answers a name, one question over each transport is enough', function (): void {
    $network = Mockery::mock(Asking::class);
    $network->shouldReceive('lookup')->twice()->andReturn(new NameAnswer(null));
    $look = new Look(
        refused: ["a.example\nb.example\nc.example"],
        answered: ['d.example'],
        local: 'e.example',
    );
    $outcome = judgedAs('ask-names', new Details(look: $look), [], $network);
    expect([$outcome->over, $outcome->looked])->toBe([
        false,
        ['udp/53' => DoorState::Silent, 'tcp/53' => DoorState::Silent],
    ]);
    Mockery::close();
});

test('a page is ready, loading, another one, or none', function (): void {
    $look = new Look(port: '{{page_port}}', path: '/admin', shows: 'Hub');
    $facts = new RunFacts(
        'wren',
        'warden',
        Ipv4::parse('172.22.8.16'),
        jobs: [catalogue('job')['automation-hub']->listeningAt(8085)],
    );
    $at = fn (?PageSeen $page, array $doors = []): Outcome => judgedAs(
        'ask-page',
        new Details(job: 'automation-hub', look: $look),
        [],
        network($doors, says: $page === null ? [] : ['8085/admin' => $page]),
        $facts,
    );
    expect([$at(new PageSeen(200, 'The Hub'))->over, array_keys($at(new PageSeen(200, 'The Hub'))->looked)])
        ->toBe([true, ['tcp/8085']])
        ->and($at(new PageSeen(401, '', 'hub'))->over)
        ->toBeTrue()
        ->and($at(new PageSeen(200, 'Welcome'))->over)
        ->toBeFalse()
        ->and($at(new PageSeen(503, 'Hub'))->over)
        ->toBeFalse()
        ->and($at(null)->findings->codes())
        ->toBe(['bringup.port_silent'])
        ->and($at(null, ['172.22.8.16:8085' => DoorState::Open])->findings->codes())
        ->toBe(['bringup.page_otherwise']);
});

test('a greeting is that of its protocol', function (string $kind, string $right, string $wrong): void {
    $at = fn (string $said): Outcome => judgedAs(
        'ask-greeting',
        new Details(look: new Look(port: '445', greeting: $kind, shows: $kind === 'line' ? 'OK' : '')),
        [],
        network(says: [445 => $said]),
    );
    expect([$at($right)->over, $at($wrong)->over])->toBe([true, false]);
})->with([
    'smb' => ['smb', "\0\0\0\x40\xFESMB", 'HTTP/1.1 400'],
    'nfs' => ['nfs', pack('N4', 0x80000018, 0x4B42, 1, 0), pack('N4', 0x80000018, 0x4B42, 1, 1)],
    'samples' => ['samples', 'RTL0'.pack('NN', 5, 29), 'RTL'],
    'line' => ['line', 'OK MPD 0.23', 'SSH-2.0'],
    'playing' => ['playing', "OK MPD 0.23.5\nstate: play\nOK\n", "OK MPD 0.23.5\nstate: pause\nOK\n"],
    'picture' => [
        'picture',
        "HTTP/1.1 200 OK\r\nContent-Type: image/jpeg\r\n\r\n\xFF\xD8\xFF\xE0",
        "HTTP/1.1 200 OK\r\n\r\n<title>No camera</title>",
    ],
]);

test('a handshake counts when it is fresh', function (string $age, bool $over): void {
    $text =
        "interface: wg0\n\npeer: ".
        base64_encode(str_repeat('k', 32)).
        "\n  allowed ips: 10.77.8.2/32\n{$age}";
    expect(judgedAs('handshake', new Details(), ['pasted' => $text])->over)->toBe($over);
})->with([
    ["  latest handshake: 21 seconds ago\n", true],
    ["  latest handshake: Now\n", true],
    ["  latest handshake: 4 minutes, 59 seconds ago\n", true],
    ["  latest handshake: 5 minutes ago\n", true],
    ["  latest handshake: 5 minutes, 1 second ago\n", false],
    ["  latest handshake: 2 days, 1 hour ago\n", false],
    ['', false],
]);

test('without an address that is said, and without a port that one', function (
    ?string $address,
    string $port,
    string $code,
): void {
    $outcome = judgedAs(
        'ask-greeting',
        new Details(look: new Look(port: $port, greeting: 'smb')),
        [],
        network(says: [445 => "\0\0\0\x40\xFESMB"]),
        new RunFacts('wren', 'warden', $address === null ? null : Ipv4::parse($address)),
    );
    expect([$outcome->over, $outcome->findings->codes()])->toBe([false, [$code]]);
})->with([
    [null, '445', 'bringup.no_address'],
    ['172.22.8.16', '', 'bringup.value_missing'],
    [null, '', 'bringup.no_address'],
]);

test('a greeting is whole when it can be told by it', function (
    Greeting $kind,
    string $part,
    string $whole,
): void {
    expect([$kind->isWhole($part), $kind->isWhole($whole)])->toBe([false, true]);
})->with([
    'a player that answers' => [
        Greeting::Playing,
        "OK MPD 0.23.5\nvolume: 40\nstate: play",
        "OK MPD 0.23.5\nstate: play\nOK\n",
    ],
    'a player that refuses' => [
        Greeting::Playing,
        "OK MPD 0.23.5\nACK [4@0]",
        "OK MPD 0.23.5\nACK [4@0] {status} no\n",
    ],
    'a picture that is refused' => [
        Greeting::Picture,
        "HTTP/1.1 200 OK\r\n",
        "HTTP/1.1 401 Unauthorized\r\n",
    ],
]);

test('a temperature is read as it is printed, and held against where the board slows down', function (
    string $pasted,
    array $learned,
    ?string $words,
    array $codes,
): void {
    $outcome = judgedAs(
        'warmth',
        new Details(),
        ['pasted' => $pasted],
        facts: new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16'), learned: $learned),
    );
    expect([$outcome->over, $outcome->over ? $outcome->words : null, $outcome->findings->codes()])->toBe([
        $words !== null,
        $words,
        $codes,
    ]);
})->with([
    'in thousandths' => ["48250\n", [], '48.3 °C', []],
    'in degrees' => ['48.2', [], '48.2 °C', []],
    'with a comma and its unit' => ["warden@wren:~ \$ x\n48,2 °C\n", [], '48.2 °C', []],
    'the last of several' => ["41000\n42000\n", [], '42.0 °C', []],
    'the coldest that a board has' => ['-40', [], '-40.0 °C', []],
    'colder' => ['-41', [], null, ['bringup.no_warmth']],
    'the hottest' => ['130', [], '130.0 °C', []],
    'hotter' => ['131', [], null, ['bringup.no_warmth']],
    'nothing of it' => ['a kettle', [], null, ['bringup.no_warmth']],
    'below where it slows down' => ['79.9', ['slows_at' => '80'], '79.9 °C', []],
    'where it slows down' => ['80', ['slows_at' => '80'], null, ['bringup.too_warm']],
    'where nobody knows where it does' => ['99', ['slows_at' => ''], '99.0 °C', []],
    'cooler than before' => ['50', ['warm_before' => '61.0'], '50.0 °C, 61.0 °C before', []],
    'as warm as before' => ['61', ['warm_before' => '61.0'], '61.0 °C, 61.0 °C before', []],
    'warmer than before' => [
        '61.1',
        ['warm_before' => '61.0'],
        '61.1 °C, 61.0 °C before',
        ['bringup.warmer'],
    ],
]);

test('what was warm before is kept for the comparison', function (): void {
    $outcome = judgedAs('warmth-before', new Details(), ['pasted' => '61500']);
    expect([$outcome->over, $outcome->words, $outcome->values])->toBe([
        true,
        '61.5 °C before',
        ['warm_before' => '61.5'],
    ]);
});

test('a supply holds by the board\'s flags or by a meter', function (
    string $flags,
    string $volts,
    ?string $words,
    array $codes,
): void {
    $outcome = judgedAs(
        'supply-holds',
        new Details(),
        ['pasted' => $flags, 'volts' => $volts],
        facts: new RunFacts(
            'wren',
            'warden',
            Ipv4::parse('172.22.8.16'),
            learned: ['undervoltage' => '4.63'],
        ),
    );
    expect([$outcome->over, $outcome->over ? $outcome->words : null, $outcome->findings->codes()])->toBe([
        $words !== null,
        $words,
        $codes,
    ]);
})->with([
    'by both' => [
        'throttled=0x0',
        '5,04',
        'never too low since its start, 5.04 V at its plug',
        ['bringup.supply_holds'],
    ],
    'by the flags' => ['throttled=0x0', '', 'never too low since its start', ['bringup.supply_holds']],
    'by a meter' => ['', '4.63', '4.63 V at its plug', ['bringup.supply_holds']],
    'too low by a meter' => ['throttled=0x0', '4.62', null, ['bringup.volts_low']],
    'too low now' => ['throttled=0x1', '5.04', null, ['bringup.supply_sags']],
    'too low before' => ['throttled=0x10000', '5.04', null, ['bringup.supply_sags']],
    'told by nobody' => ['', '', null, ['bringup.supply_not_told']],
    'no number' => ['throttled=0x0', 'five', null, ['bringup.not_volts']],
    'less than any' => ['throttled=0x0', '0.99', null, ['bringup.not_volts']],
    'more than any' => ['throttled=0x0', '60.01', null, ['bringup.not_volts']],
    'the most' => [
        'throttled=0x0',
        '60',
        'never too low since its start, 60 V at its plug',
        ['bringup.supply_holds'],
    ],
]);

test('an address is free where nothing answers at it, and a refusal is an answer', function (
    ?string $address,
    array $doors,
    bool $over,
    string $found,
): void {
    $facts = new RunFacts(
        'wren',
        'warden',
        Ipv4::parse('172.22.8.16'),
        learned: $address === null ? [] : ['new_address' => $address],
    );
    $outcome = judgedAs('ask-free', new Details(), [], network($doors), $facts);
    expect([$outcome->over, $outcome->findings->codes()])->toBe([$over, [$found]]);
})->with([
    'nobody' => ['172.22.8.30', [], true, 'bringup.nobody_there'],
    'remote login' => ['172.22.8.30', ['172.22.8.30:22' => DoorState::Open], false, 'bringup.somebody_there'],
    'a page' => ['172.22.8.30', ['172.22.8.30:80' => DoorState::Open], false, 'bringup.somebody_there'],
    'a page, closed' => [
        '172.22.8.30',
        ['172.22.8.30:443' => DoorState::Refused],
        false,
        'bringup.somebody_there',
    ],
    'another machine' => ['172.22.8.30', ['172.22.8.31:22' => DoorState::Open], true, 'bringup.nobody_there'],
    'no address' => [null, [], false, 'bringup.no_address'],
]);

test('what a person chooses or counts is taken by its kind', function (
    string $kind,
    array $given,
    bool $over,
    string $said,
    array $values = [],
): void {
    $facts = new RunFacts(
        'wren',
        'warden',
        Ipv4::parse('172.22.8.16'),
        learned: ['inventory' => "12 devices\n7 automations"],
    );
    $outcome = judgedAs($kind, new Details(), $given, network(), $facts);
    expect([
        $outcome->over,
        $over ? $outcome->words : $outcome->findings->codes()[0],
        $outcome->values,
    ])->toBe([$over, $said, $values]);
})->with([
    'saved and applied' => ['opening', ['buttons' => 'applied'], true, 'saved and applied, by your word'],
    'only saved' => ['opening', ['buttons' => 'saved'], false, 'bringup.saved_only'],
    'nothing chosen' => ['opening', [], false, 'bringup.choice_needed'],
    'a card copied' => ['card-made', ['card_made' => 'copied'], true, 'copied whole'],
    'a card written' => ['card-made', ['card_made' => 'image'], true, 'written from an image'],
    'a card of nowhere' => ['card-made', ['card_made' => 'x'], false, 'bringup.choice_needed'],
    'counted' => [
        'inventory',
        ['counted' => "12 devices\n7 automations"],
        true,
        '2 kinds, 19 in all',
        ['inventory' => "12 devices\n7 automations"],
    ],
    'nothing counted' => ['inventory', ['counted' => ' '], false, 'bringup.nothing_counted'],
    'a line that is none' => [
        'inventory',
        ['counted' => "12 devices\n---\n12"],
        false,
        'bringup.line_not_counted',
    ],
    'all is there again' => [
        'inventory-again',
        ['counted' => "automations 7\ndevices 12"],
        true,
        'nothing is missing of 19',
        ['inventory_after' => "7 automations\n12 devices"],
    ],
    'one is missing' => [
        'inventory-again',
        ['counted' => "automations 7\ndevices 11"],
        false,
        'bringup.not_all_there',
    ],
    'there is more' => [
        'inventory-again',
        ['counted' => "8 automations\n12 devices"],
        true,
        'nothing is missing of 19',
        ['inventory_after' => "8 automations\n12 devices"],
    ],
]);

test('how warm a board is with its new case, and whether a supply holds', function (
    string $kind,
    array $given,
    array $learned,
    bool $over,
    string $said,
    array $codes = [],
): void {
    $facts = new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16'), learned: $learned);
    $outcome = judgedAs($kind, new Details(), $given, network(), $facts);
    expect([$outcome->over, $outcome->words, $outcome->findings->codes()])->toBe([$over, $said, $codes]);
})->with([
    'before, as the kernel tells it' => [
        'warmth-before',
        ['pasted' => "48312\n"],
        [],
        true,
        '48.3 °C before',
    ],
    'before, as a page tells it' => ['warmth-before', ['pasted' => '48,3 °C'], [], true, '48.3 °C before'],
    'the last of several' => ['warmth-before', ['pasted' => "48312\n52000"], [], true, '52.0 °C before'],
    'no temperature' => ['warmth-before', ['pasted' => 'a kettle'], [], false, '', ['bringup.no_warmth']],
    'colder than can be' => ['warmth-before', ['pasted' => '-41'], [], false, '', ['bringup.no_warmth']],
    'as cold as can be' => ['warmth-before', ['pasted' => '-40'], [], true, '-40.0 °C before'],
    'as hot as can be' => ['warmth-before', ['pasted' => '130000'], [], true, '130.0 °C before'],
    'hotter than can be' => ['warmth-before', ['pasted' => '130.1'], [], false, '', ['bringup.no_warmth']],
    'afterwards, with nothing before' => ['warmth', ['pasted' => '48312'], [], true, '48.3 °C'],
    'cooler' => ['warmth', ['pasted' => '48.0'], ['warm_before' => '55.0'], true, '48.0 °C, 55.0 °C before'],
    'the same' => [
        'warmth',
        ['pasted' => '55.0'],
        ['warm_before' => '55.0'],
        true,
        '55.0 °C, 55.0 °C before',
    ],
    'warmer' => [
        'warmth',
        ['pasted' => '55.1'],
        ['warm_before' => '55.0'],
        true,
        '55.1 °C, 55.0 °C before',
        ['bringup.warmer'],
    ],
    'it slows itself down' => [
        'warmth',
        ['pasted' => '80'],
        ['slows_at' => '80'],
        false,
        '',
        ['bringup.too_warm'],
    ],
    'it nearly does' => ['warmth', ['pasted' => '79.9'], ['slows_at' => '80'], true, '79.9 °C'],
    'flags and volts' => [
        'supply-holds',
        ['pasted' => 'throttled=0x0', 'volts' => '5,04'],
        ['undervoltage' => '4.63'],
        true,
        'never too low since its start, 5.04 V at its plug',
        ['bringup.supply_holds'],
    ],
    'volts alone' => [
        'supply-holds',
        ['volts' => '4.63'],
        ['undervoltage' => '4.63'],
        true,
        '4.63 V at its plug',
        ['bringup.supply_holds'],
    ],
    'too few volts' => [
        'supply-holds',
        ['pasted' => 'throttled=0x0', 'volts' => '4.62'],
        ['undervoltage' => '4.63'],
        false,
        '',
        ['bringup.volts_low'],
    ],
    'no volts' => ['supply-holds', ['volts' => 'a few'], [], false, '', ['bringup.not_volts']],
    'the fewest that are volts' => [
        'supply-holds',
        ['volts' => '1'],
        [],
        true,
        '1 V at its plug',
        ['bringup.supply_holds'],
    ],
    'fewer' => ['supply-holds', ['volts' => '0.9'], [], false, '', ['bringup.not_volts']],
    'the most' => ['supply-holds', ['volts' => '60'], [], true, '60 V at its plug', ['bringup.supply_holds']],
    'more' => ['supply-holds', ['volts' => '60.1'], [], false, '', ['bringup.not_volts']],
    'too low now' => ['supply-holds', ['pasted' => 'throttled=0x1'], [], false, '', ['bringup.supply_sags']],
    'too low since its start' => [
        'supply-holds',
        ['pasted' => 'throttled=0x10000'],
        [],
        false,
        '',
        ['bringup.supply_sags'],
    ],
    'slowed down for its warmth only' => [
        'supply-holds',
        ['pasted' => 'throttled=0x40004'],
        [],
        true,
        'never too low since its start',
        ['bringup.supply_holds'],
    ],
    'nothing told' => ['supply-holds', [], [], false, '', ['bringup.supply_not_told']],
]);

test('a page without a port is no page to ask', function (): void {
    $look = new Details(look: new Look(port: '{{page_port}}'));
    $facts = new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16'));
    expect(judgedAs('ask-page', $look, facts: $facts)->findings->codes())->toBe(['bringup.value_missing']);
});

test('only what listens on TCP is asked whether it does', function (): void {
    $jobs = catalogue('job');
    $udp = array_filter($jobs, fn ($job): bool => $job->servicePort()?->protocol === Protocol::Udp);
    $none = array_filter($jobs, fn ($job): bool => $job->servicePort() === null);
    $asked = fn (array $jobs): Outcome => judgedAs(
        'ask-services',
        new Details(),
        [],
        network(['172.22.8.16:445' => DoorState::Open]),
        new RunFacts('wren', 'warden', Ipv4::parse('172.22.8.16'), jobs: array_values($jobs)),
    );
    expect($udp)
        ->not->toBe([])
        ->and([$asked($udp)->over, $asked($none)->over])
        ->toBe([true, true])
        ->and($asked([...$udp, ...$none, $jobs['file-store']])->findings->codes())
        ->toBe($asked([$jobs['file-store']])->findings->codes());
});

test('a page can only be asked at an address and a port', function (?string $address, string $port): void {
    $said = judgedAs(
        'claim',
        new Details(job: 'automation-hub'),
        [Claim::OWNER => 'warden', Claim::SECOND => 'changed'],
        network(),
        new RunFacts(
            'wren',
            'warden',
            $address === null ? null : Ipv4::parse($address),
            learned: $port === '' ? [] : ['automation-hub:page_port' => $port],
        ),
    );
    expect($said->learned->answers['automation-hub']['claimed by'] ?? $said->findings->codes())->toBe(
        'your word',
    );
})->with([[null, '8123'], ['172.22.8.16', '']]);

test('where a secret lies is kept as it was typed, and shown as far as there is room', function (): void {
    $where = 'manager, entry '.str_repeat('a b ', 40);
    $kept = judgedAs('shown-once', new Details(job: 'x'), [ShownOnce::FIELD => $where]);
    expect($kept->words)
        ->toBe('kept: '.mb_substr($where, 0, 79).'…')
        ->and(array_values($kept->learned->answers['x'] ?? []))
        ->toBe([mb_substr($where, 0, 120)]);
});
