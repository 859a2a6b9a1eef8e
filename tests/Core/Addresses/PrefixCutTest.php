<?php

declare(strict_types=1);

use Burrow\Addresses\PrefixCut;
use Burrow\Net\Ipv4;

// A prefix cut into parts, or several joined, with who is in which.

test('parts and joins are those of another program, and everybody is in exactly one part', function (
    int $seed,
): void {
    mt_srand($seed);
    for ($round = 0; $round < 12; $round++) {
        $length = mt_rand(16, 28);
        $into = mt_rand($length, min(32, $length + 6));
        $base = long2ip(mt_rand(0, 0x7FFFFFFF) & (0xFFFFFFFF << 32 - $length));
        $theirs = json_decode(
            run(
                "python3 -c 'import ipaddress,json;print(json.dumps([str(x) for x in ipaddress.ip_network(\"{$base}/{$length}\").subnets(new_prefix={$into})]))'",
            )['out'],
            true,
        );
        $held = [];
        foreach (range(1, 8) as $number) {
            $held["b{$number}"] = Ipv4::parse(long2ip(ip2long($base) + mt_rand(0, 2 ** (32 - $length) - 1)));
        }
        $cut = PrefixCut::of("{$base}/{$length}", "/{$into}", $held);
        expect(array_map(fn (array $one): string => (string) $one['prefix'], $cut->parts))->toBe($theirs);
        $who = array_merge(...array_column($cut->parts, 'who'));
        sort($who);
        expect($who)->toBe(array_keys($held));
        shuffle($theirs);
        $joined = PrefixCut::of(implode([' ', ', ', ";\n"][$round % 3], array_slice($theirs, 0, 64)), '', []);
        count($theirs) < 2 ||
            count($theirs) > 64 ||
            expect(array_map(fn (array $one): string => (string) $one['prefix'], $joined->parts))->toBe([
                "{$base}/{$length}",
            ]);
    }
})->with([1, 2, 3]);

test('what cannot be cut is told at its field', function (
    string $prefix,
    string $length,
    string $code,
    string $field,
): void {
    $cut = PrefixCut::of($prefix, $length, []);
    expect([$cut->parts, $cut->findings->codes(), $cut->findings->list[0]->place?->field])->toBe([
        [],
        [$code],
        $field,
    ]);
})->with([
    ['', '/26', 'addresses.not_a_prefix_to_cut', 'cut_prefix'],
    ['172.22.8.0', '/26', 'addresses.not_a_prefix_to_cut', 'cut_prefix'],
    ['172.22.8.0/24 nonsense', '', 'addresses.not_a_prefix_to_cut', 'cut_prefix'],
    [str_repeat('10.0.0.0/24 ', 65), '', 'addresses.not_a_prefix_to_cut', 'cut_prefix'],
    ['172.22.8.0/24', '/23', 'addresses.not_split', 'cut_length'],
    ['172.22.8.0/24', '', 'addresses.not_split', 'cut_length'],
    ['172.22.8.0/24', '33', 'addresses.not_split', 'cut_length'],
    ['10.0.0.0/8', '/30', 'addresses.not_split', 'cut_length'],
    ['172.22.8.0/24', 'half', 'addresses.not_split', 'cut_length'],
]);

test('a length that was typed is repeated as it is', function (string $length, string $told): void {
    expect(PrefixCut::of('172.22.8.0/24', $length, [])->findings->list[0]->found)->toContain($told);
})->with([['33', 'into /33'], ['260', 'into /99'], [' / 99 ', 'into /99']]);

test('what could not be cut was not joined either', function (): void {
    expect(PrefixCut::of('172.22.8.0', '', [])->joins)
        ->toBeFalse()
        ->and(PrefixCut::of('172.22.8.0/25 172.22.8.128/25', '', [])->joins)
        ->toBeTrue();
});
