<?php

declare(strict_types=1);

use App\Catalogue\Catalogue;
use Burrow\BringUp\Kind\StepKinds;
use Burrow\BringUp\Step\Circumstance;
use Burrow\Card\Read\WpaFields;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Line;
use Burrow\Judgement\Place;
use Burrow\Judgement\Severity;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Text\KnownWords;
use Burrow\Text\YamlEntry;
use Symfony\Component\Yaml\Yaml;

const SHARED = [
    'Burrow\Quantity',
    'Burrow\Net',
    'Burrow\Judgement',
    'Burrow\Text',
    'Burrow\Intake',
    'Burrow\Catalogue',
    'Burrow\Household',
    'Burrow\Drawing',
    'Burrow\Files',
];

arch('the core knows nothing of the application')
    ->expect('Burrow')
    ->not->toUse(['App', 'Bench', 'Illuminate', 'Laravel', 'React', 'Tests']);

arch('the core has no clock, no network, no disk and no chance of its own')
    ->expect('Burrow')
    ->not->toUse([
        'time',
        'microtime',
        'date',
        'now',
        'random_bytes',
        'random_int',
        'mt_rand',
        'rand',
        'uniqid',
        'file_get_contents',
        'file_put_contents',
        'fopen',
        'glob',
        'scandir',
        'exec',
        'shell_exec',
        'proc_open',
        'stream_socket_client',
        'fsockopen',
        'getenv',
        'curl_init',
        'die',
        'dd',
        'dump',
        'var_dump',
    ]);

foreach (['Plan', 'Card', 'Addresses', 'Ports', 'Stores', 'Upkeep', 'Reach', 'Move', 'Ground'] as $stage) {
    arch("the stage {$stage} does not lean on another stage")
        ->expect("Burrow\\{$stage}")
        ->toOnlyUse([
            ...SHARED,
            "Burrow\\{$stage}",
            'Symfony\Component\Yaml',
            // Calendar files (RFC 5545).
            'Sabre\VObject',
            'SensitiveParameter',
            'InvalidArgumentException',
            'DateTimeImmutable',
            'JsonSerializable',
            'JSON_THROW_ON_ERROR',
        ]);
}

arch('what the stages share does not know the stages')
    ->expect(SHARED)
    ->not->toUse([
        'Burrow\Plan',
        'Burrow\Card',
        'Burrow\BringUp',
        'Burrow\Addresses',
        'Burrow\Ports',
        'Burrow\Stores',
        'Burrow\Upkeep',
        'Burrow\Reach',
        'Burrow\Ground',
    ]);

arch('the bench is written apart from the tool\'s own rules')
    ->expect('Bench')
    ->not->toUse(['App', 'Burrow'])
    // Names that another program knows are a fact and no rule; a test asks that program.
    ->ignoring([KnownWords::class, WpaFields::class]);

arch('values do not change')
    ->expect([
        'Burrow\Quantity',
        'Burrow\Net\Ipv4',
        'Burrow\Net\Prefix',
        'Burrow\Net\Mac',
        'Burrow\Net\Hostname',
        'Burrow\Net\Port',
        'Burrow\Net\AddressRange',
    ])
    ->toBeReadonly()
    ->toBeFinal();

arch('every file is strict')
    ->expect(['Burrow', 'App', 'Bench'])
    ->toUseStrictTypes();

arch('controllers do not reach for the database by hand')
    ->expect('App\Http\Controllers')
    ->not->toUse(['DB::select', 'DB::statement', 'Illuminate\Support\Facades\Schema']);

test(
    'every finding and every working stands in the formulas of its stage, and nothing else does',
    function (): void {
        $codes = $listed = [];
        foreach (['core', 'app'] as $folder) {
            foreach (
                new RecursiveIteratorIterator(
                    new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
                ) as $file
            ) {
                if ($file->getExtension() === 'php') {
                    preg_match_all(
                        "/(?:Finding::(?:fine|note|warn|stop)|Working::of|self::refused)\\(\\s*'([a-z_]+\\.[a-z_0-9]+)'/",
                        (string) file_get_contents($file->getPathname()),
                        $found,
                    );
                    $codes = [...$codes, ...$found[1]];
                }
            }
        }
        foreach (glob('docs/formulas/*.md') ?: [] as $file) {
            preg_match_all('/^\| `([a-z_]+\.[a-z_0-9]+)`/m', (string) file_get_contents($file), $found);
            foreach ($found[1] as $code) {
                // What is wrong with a YAML text stands with the texts, and with a name, where names are.
                $stage = strtr(explode('.', $code)[0], ['yaml' => 'text', 'hostname' => 'net']);
                expect([$code, $stage])->toBe([$code, basename($file, '.md')]);
                $listed[] = $code;
            }
        }
        $codes = array_values(array_unique($codes));
        sort($codes);
        sort($listed);
        expect(count($codes))->toBeGreaterThan(150)->and($listed)->toBe($codes);
    },
);

test('every built-in entry passes its schema and carries its file\'s name', function (): void {
    foreach (array_keys(Catalogue::KINDS) as $kind) {
        expect(entryFiles($kind))->not->toBe([]);
        foreach (entryFiles($kind) as $id => $file) {
            $entry = YamlEntry::read((string) file_get_contents($file), schemaText($kind), $file, lines: true);
            expect($entry->findings->codes())
                ->toBe([])
                ->and($entry->data['id'] ?? '')
                ->toBe($id);
        }
    }
});

test(
    'shared parts follow the same schema as the steps of a playbook, which knows every kind of step',
    function (): void {
        $schema = json_decode(schemaText('playbook'), true);
        $kinds = array_keys(StepKinds::all());
        sort($kinds);
        $named = $schema['$defs']['step']['properties']['kind']['enum'];
        sort($named);
        $properties = $schema['$defs']['step']['properties'];
        expect($named)
            ->toBe($kinds)
            ->and($properties['only']['items']['enum'])
            ->toBe(array_column(Circumstance::cases(), 'value'))
            ->and($properties['unless']['items']['enum'])
            ->toBe(array_column(Circumstance::cases(), 'value'));
        foreach (glob('core/BringUp/playbooks/shared/*.yaml') ?: [] as $file) {
            $part = Yaml::parse((string) file_get_contents($file));
            expect($part['id'])->toBe(basename($file, '.yaml'));
            foreach ($part['steps'] as $step) {
                if (array_keys($step) === ['part']) {
                    expect("core/BringUp/playbooks/shared/{$step['part']}.yaml")->toBeFile();

                    continue;
                }
                $entry = YamlEntry::read(
                    Yaml::dump($step, 4),
                    (string) json_encode($schema['$defs']['step']),
                    'step',
                    lines: true,
                );
                expect($entry->findings->codes())->toBe([]);
            }
        }
    },
);

test('findings keep their order, know the gravest and find their field', function (): void {
    $findings = Findings::of(
        Finding::note('a.b', 'note'),
        Finding::stop('a.c', 'stop', 'why', 'do', Place::field('name')),
        Finding::fine('a.d', 'fine'),
    );
    expect($findings->worst())
        ->toBe(Severity::Stop)
        ->and($findings->blocks())
        ->toBeTrue()
        ->and($findings->gravestFirst()->codes())
        ->toBe(['a.c', 'a.b', 'a.d'])
        ->and($findings->forField('name')->codes())
        ->toBe(['a.c'])
        ->and(Findings::of()->worst())
        ->toBeNull()
        ->and($findings->list[1]->advice())
        ->toBe('why do')
        ->and((string) Place::file('user-data', 7))
        ->toBe('user-data:7');
});

test('a working can be read by a program', function (): void {
    $working = Working::of(
        'a.b',
        'Title',
        '3 V',
        Source::standard('RFC 1'),
        Line::given('in', '1 V'),
        Line::computed('out', '1 + 2', '3 V'),
    );
    expect(json_decode((string) json_encode($working), true))->toBe([
        'code' => 'a.b',
        'title' => 'Title',
        'lines' => [
            ['name' => 'in', 'result' => '1 V'],
            ['name' => 'out', 'formula' => '1 + 2', 'result' => '3 V'],
        ],
        'result' => '3 V',
        'source' => 'RFC 1',
    ]);
});

test('every field that a finding points at stands in a form', function (): void {
    $views = implode(
        '',
        array_map(file_get_contents(...), [
            ...glob('resources/views/*/*.blade.php') ?: [],
            ...glob('core/BringUp/Kind/*/*.php') ?: [],
        ]),
    );
    foreach (['core', 'app'] as $folder) {
        $files = new RecursiveIteratorIterator(
            new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
        );
        foreach ($files as $file) {
            preg_match_all(
                '/Place::field\([\'"]([a-z_]+)/',
                (string) file_get_contents($file->getPathname()),
                $found,
            );
            foreach ($found[1] as $field) {
                expect([
                    $file->getPathname(),
                    $field,
                    preg_match(
                        "/name=[\"'](?:' \\. )?{$field}|name=\"[^\"]*'{$field}|:name=\"'{$field}|[\"']{$field}/",
                        $views,
                    ) === 1,
                ])->toBe([$file->getPathname(), $field, true]);
            }
        }
    }
});
