<?php

declare(strict_types=1);

use App\Files\FileKinds;

// No text of a file's values ends its line: every kind, every text in its values, each character that some reader takes
// for the end of a line or of a text.

const ENDS_A_LINE = ["\n", "\r", "\0", "\v", "\f", "\u{85}", "\u{2028}", "\u{2029}", "\e"];

/** @return array<string, array{string, list<string>}> kind => values that it takes, and the paths of their texts */
function textsOfKinds(): array
{
    $kinds = [];
    foreach (glob(__DIR__.'/written/*/values.yaml') ?: [] as $file) {
        $values = (string) file_get_contents($file);
        foreach (FileKinds::all() as $kind => $writer) {
            if ($writer->write($values, (string) file_get_contents($writer->schema()), 'values')->text !== null) {
                $data = Symfony\Component\Yaml\Yaml::parse($values) ?? [];
                $paths = textPaths($data);
                count($paths) > count($kinds[$kind][1] ?? [-1]) && ($kinds[$kind] = [$data, $paths]);
            }
        }
    }
    expect(array_values(array_diff(array_keys(FileKinds::all()), array_keys($kinds))))->toBe(['unattended-upgrades']);

    return $kinds;
}

/** @return list<list<int|string>> */
function textPaths(mixed $data, array $path = []): array
{
    if (is_string($data)) {
        return [$path];
    }
    $all = [];
    foreach (is_array($data) ? $data : [] as $key => $inner) {
        array_push($all, ...textPaths($inner, [...$path, $key]));
    }

    return $all;
}

test('no value of any kind of file ends its line', function (): void {
    $tried = 0;
    $taken = [];
    foreach (textsOfKinds() as $kind => [$data, $paths]) {
        $writer = FileKinds::all()[$kind];
        $schema = (string) file_get_contents($writer->schema());
        foreach ($paths as $path) {
            foreach (ENDS_A_LINE as $mark) {
                if ($mark === "\n" && $kind === 'ics') {
                    // A calendar has a letter for it.
                    continue;
                }
                foreach ([0, 1, -1] as $where) {
                    $changed = $data;
                    $at = &$changed;
                    foreach ($path as $key) {
                        $at = &$at[$key];
                    }
                    $at = match ($where) {
                        0 => $mark.$at,
                        1 => $at.$mark.'x',
                        default => $at.$mark,
                    };
                    unset($at);
                    $written = $writer->write(json_encode($changed, JSON_THROW_ON_ERROR), $schema, 'values');
                    $tried++;
                    $written->text === null || ($taken["{$kind} ".implode('.', $path)][] = json_encode($mark));
                }
            }
        }
    }
    expect(array_map(fn (array $marks): string => implode(' ', array_unique($marks)), $taken))
        ->toBe([])
        ->and($tried)
        ->toBeGreaterThan(5000);
});

test('a unit runs one program under the account that is named, and nothing with more rights', function (
    array $with,
    bool $may,
): void {
    $writer = FileKinds::all()['systemd'];
    $values = [
        'what' => 'counts seeds',
        'command' => ['/usr/bin/count', '--all'],
        'user' => 'nobody',
        'groups' => ['video'],
        ...$with,
    ];
    $written = $writer->write((string) json_encode($values), (string) file_get_contents($writer->schema()), 'values');
    expect($written->text !== null)->toBe($may);
})->with([
    'as it should be' => [[], true],
    'no group' => [['groups' => []], true],
    'a percent sign is one' => [['what' => 'keeps 90 % free'], true],
    // systemd.service(5), table "Special executable prefixes".
    ...array_map(
        fn (string $mark): array => [['command' => ["{$mark}/usr/bin/count"]], false],
        ['+', '!', '!!', '@', '-', ':', '|', ' '],
    ),
    'a program without its path' => [['command' => ['count']], false],
    'a folder' => [['command' => ['/usr/bin/']], false],
    'nobody' => [['user' => ''], false],
    'a slash' => [['user' => '/'], false],
    'root by number' => [['user' => '0'], false],
    'two' => [['user' => 'nobody root'], false],
    'a group with a blank' => [['groups' => ['video root']], false],
    'a line that goes on' => [['what' => 'counts seeds\\'], false],
]);

test('a site of nginx does not pass on to itself', function (): void {
    $writer = FileKinds::all()['nginx-site'];
    $written = fn (int $port): ?string => $writer->write(
        (string) json_encode(['host' => 'larder', 'domain' => 'home.arpa', 'port' => $port]),
        (string) file_get_contents($writer->schema()),
        'values',
    )->text;
    expect($written(443))->toBeNull()->and($written(8081))->toContain('proxy_pass http://127.0.0.1:8081;');
});
