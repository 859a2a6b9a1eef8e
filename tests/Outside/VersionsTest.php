<?php

declare(strict_types=1);

use Burrow\Upkeep\DebianVersion;

// The order of versions, against dpkg.

/** A version that dpkg takes: like those of packages, and like nothing that anybody ever released. */
function randomVersion(): string
{
    $piece = fn (string $letters, int $most): string => implode(
        '',
        array_map(fn (): string => $letters[mt_rand(0, strlen($letters) - 1)], range(1, mt_rand(1, $most))),
    );
    $upstream = mt_rand(0, 9).$piece('0123456789.abz+~~..', 6);
    $revision = mt_rand(0, 1) === 0 ? '' : '-'.$piece('0012abz.+~', 5);

    return (mt_rand(0, 9) === 0 ? mt_rand(0, 2).':' : '').$upstream.$revision;
}

test('two versions stand in the order that dpkg gives them', function (): void {
    mt_srand(5612);
    $pairs = [];
    for ($i = 0; $i < 100_000; $i++) {
        $a = randomVersion();
        // Most orders are settled by the first letter; a small change shows the rules.
        $b =
            mt_rand(0, 2) === 0
                ? randomVersion()
                : substr_replace(
                    $a,
                    '0123456789.abz+~'[mt_rand(0, 15)],
                    mt_rand(1, strlen($a)),
                    mt_rand(0, 1),
                );
        if (DebianVersion::tryParse($a) !== null && DebianVersion::tryParse($b) !== null) {
            $pairs[] = [$a, $b];
        }
    }
    // One process for all: apt's library is dpkg's own order, a hundred thousand times.
    $script = 'import sys, ctypes.util
sys.path.insert(0, "/usr/lib/python3/dist-packages")
import apt_pkg
apt_pkg.init_system()
for line in sys.stdin:
    a, b = line.split()
    o = apt_pkg.version_compare(a, b)
    print("<" if o < 0 else ">" if o > 0 else "=")';
    $file = scratch().'/pairs';
    file_put_contents($file, implode("\n", array_map(fn (array $pair): string => implode(' ', $pair), $pairs))."\n");
    $said = run('/usr/bin/python3 -c '.escapeshellarg($script)." <{$file}");
    expect($said['err'])->toBe('');
    $theirs = explode("\n", trim($said['out']));
    expect($theirs)->toHaveCount(count($pairs));
    $wrong = [];
    foreach ($pairs as $i => [$a, $b]) {
        $order = DebianVersion::tryParse($a)->compare(DebianVersion::tryParse($b));
        $sign = $order < 0 ? '<' : ($order > 0 ? '>' : '=');
        $sign === $theirs[$i] || ($wrong[] = "{$a} {$sign} {$b}, not {$theirs[$i]}");
    }
    expect(array_slice($wrong, 0, 5))->toBe([])->and(count($pairs))->toBeGreaterThan(80_000);
});

test('dpkg itself says the same of the hard ones', function (string $a, string $sign, string $b): void {
    $order = DebianVersion::tryParse($a)?->compare(
        DebianVersion::tryParse($b) ?? throw new LogicException($b),
    );
    $word = ['<' => 'lt', '=' => 'eq', '>' => 'gt'][$sign];
    expect($order <=> 0)
        ->toBe(['<' => -1, '=' => 0, '>' => 1][$sign])
        ->and(run("dpkg --compare-versions {$a} {$word} {$b}")['exit'])
        ->toBe(0);
})->with([
    ['1.0~rc1', '<', '1.0'],
    ['1.0~~', '<', '1.0~'],
    ['1.0', '<', '1.0+b1'],
    ['2:1.0', '>', '1:9.0'],
    ['0:1.0', '=', '1.0'],
    ['1.0-1', '<', '1.0-1.1'],
    ['1.0', '=', '1.0-0'],
    ['1.10', '>', '1.9'],
    ['1.002', '=', '1.2'],
    ['3.0.11-1~deb12u2', '<', '3.0.11-1'],
    ['1a', '<', '1+'],
    ['12345678901234567890', '<', '12345678901234567891'],
]);

test('what dpkg refuses is no version', function (string $text): void {
    expect(DebianVersion::tryParse($text))
        ->toBeNull()
        ->and(run('dpkg --validate-version '.escapeshellarg($text))['exit'])
        ->not->toBe(0);
})->with([
    'empty' => [''],
    'blank inside' => ['1 0'],
    'no digit first' => ['a1'],
    'epoch of letters' => ['a:1'],
    'nothing behind the hyphen' => ['1-'],
    'a slash' => ['1/2'],
    'underscore' => ['1_2'],
    'epoch alone' => ['1:'],
]);
