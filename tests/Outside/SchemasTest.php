<?php

declare(strict_types=1);

use App\Catalogue\Catalogue;
use Burrow\Text\YamlEntry;
use Symfony\Component\Yaml\Yaml;

// Our schemas and entries, judged by Python's jsonschema and PyYAML beside our own reader.

/**
 * @param  list<array{schema: string, yaml: string}>  $cases
 * @return list<bool> valid or not, by Python
 */
function validByPython(array $cases): array
{
    $script = <<<'PY'
    import json, sys, yaml, jsonschema
    out = []
    for case in json.load(sys.stdin):
        schema = json.loads(case["schema"])
        try:
            data = yaml.safe_load(case["yaml"])
            jsonschema.Draft202012Validator(schema).validate(data)
            out.append(True)
        except Exception:
            out.append(False)
    print(json.dumps(out))
    PY;

    return json_decode(
        run('/usr/bin/python3 -c '.escapeshellarg($script), (string) json_encode($cases))['out'],
        true,
    );
}

/** @return list<array{string, string}> kind and YAML of every built-in entry */
function builtIn(): array
{
    $all = [];
    foreach (array_keys(Catalogue::KINDS) as $kind) {
        foreach (entryFiles($kind) as $file) {
            $all[] = [$kind, (string) file_get_contents($file)];
        }
    }

    return $all;
}

test('our schemas are schemas', function (): void {
    $script =
        'import json, sys, jsonschema; [jsonschema.Draft202012Validator.check_schema(json.loads(s)) for s in json.load(sys.stdin)]; print("fine")';
    $schemas = array_map(schemaText(...), [...array_keys(Catalogue::KINDS), 'plan']);
    expect(run('/usr/bin/python3 -c '.escapeshellarg($script), (string) json_encode($schemas))['out'])->toBe(
        "fine\n",
    );
});

test('every built-in entry is valid to Python too', function (): void {
    $cases = array_map(fn (array $one): array => ['schema' => schemaText($one[0]), 'yaml' => $one[1]], builtIn());
    expect(count($cases))
        ->toBeGreaterThan(50)
        ->and(array_unique(validByPython($cases)))
        ->toBe([true]);
});

test('on spoilt entries both readers agree', function (): void {
    mt_srand(2020);
    $entries = builtIn();
    $cases = [];
    $ours = [];
    for ($i = 0; $i < 400; $i++) {
        [$kind, $yaml] = $entries[array_rand($entries)];
        $data = Yaml::parse($yaml);
        $key = array_rand($data);
        switch (mt_rand(0, 4)) {
            case 0:
                unset($data[$key]);
                break;
            case 1:
                $data[$key] = [null, 'text', -1, 3.5, true, ['a' => 1]][mt_rand(0, 5)];
                break;
            case 2:
                $data['extra'] = 1;
                break;
            case 3:
                $data['id'] = ['A', 'a b', 'ok-id', '9x', str_repeat('a', 41)][mt_rand(0, 4)];
                break;
            default:
                $data['label'] = ['', str_repeat('x', 61), 'fine'][mt_rand(0, 2)];
        }
        $spoilt = Yaml::dump($data, 8);
        $cases[] = ['schema' => schemaText($kind), 'yaml' => $spoilt];
        $ours[] = YamlEntry::read($spoilt, schemaText($kind), 'entry.yaml', lines: true)->data !== null;
    }
    expect(validByPython($cases))
        ->toBe($ours)
        ->and(array_sum(array_map(intval(...), $ours)))
        ->toBeGreaterThan(20)
        ->toBeLessThan(380);
});

test('PyYAML reads every built-in entry as we do', function (): void {
    $script = 'import json, sys, yaml; print(json.dumps([yaml.safe_load(y) for y in json.load(sys.stdin)]))';
    $texts = array_map(fn (array $one): string => $one[1], builtIn());
    $python = json_decode(
        run('/usr/bin/python3 -c '.escapeshellarg($script), (string) json_encode($texts))['out'],
        true,
    );
    foreach ($texts as $i => $text) {
        expect($python[$i])->toEqual(Yaml::parse($text));
    }
});

test('the ports of the catalogue carry the names that Debian gives them', function (): void {
    $services = (string) file_get_contents('/etc/services');
    foreach (
        [
            'file-store' => 'microsoft-ds',
            'dns-filter' => 'domain',
            'general-server' => 'ssh',
            'cloud-drive' => 'https',
        ] as $job => $name
    ) {
        $port = entry('job', $job)['ports'][0];
        expect(preg_match("~^{$name}\\s+{$port['port']}/{$port['protocol']}\\b~m", $services))->toBe(1);
    }
});

test('a parts list is CSV to Python', function (): void {
    $csv = Burrow\Plan\Money\PartsCsv::of(
        Burrow\Plan\Money\PartsList::of(
            plan(
                'pebble',
                'supply-2a5',
                'usual-1m',
                'stick-64',
                Burrow\Catalogue\Part\LinkKind::Wireless,
                'print-host',
                'server-32',
            ),
        ),
    );
    $rows = json_decode(
        run('/usr/bin/python3 -c "import csv, json, sys; print(json.dumps(list(csv.reader(sys.stdin))))"', $csv)[
            'out'
        ],
        true,
    );
    $sum = array_sum(array_map(fn (array $row): float => (float) $row[1], array_slice($rows, 1, -1)));
    expect($rows[0])
        ->toBe(['part', 'price', 'because'])
        ->and(array_unique(array_map(count(...), $rows)))
        ->toBe([3])
        ->and((float) end($rows)[1])
        ->toBe($sum);
});
