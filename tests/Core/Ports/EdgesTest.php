<?php

declare(strict_types=1);

use Burrow\Ports\PortScheme;
use Burrow\Ports\TypedPort;

// The last that is taken at each field of a port, and the first that is not.

test('a port is taken up to its edges, and told beyond them', function (array $with, ?string $field): void {
    $typed = TypedPort::of(
        'larder',
        $with + ['port' => '8080', 'purpose' => 'page', 'reach' => 'some', 'sources' => '172.22.8.30'],
        [],
        new PortScheme([]),
    );
    $fields = array_values(
        array_unique(
            array_filter(
                array_map(
                    fn ($one) => $one->severity->value === 'stop' ? (string) $one->place?->field : null,
                    $typed->findings->list,
                ),
            ),
        ),
    );
    expect($fields)
        ->toBe($field === null ? [] : [$field])
        ->and($typed->service === null)
        ->toBe($field !== null);
})->with(function (): array {
    $sources = fn (int $many): string => implode(
        ' ',
        array_map(fn (int $i): string => "172.22.8.{$i}", range(30, 29 + $many)),
    );

    return [
        'the first port' => [['port' => '1'], null],
        'the last port' => [['port' => '65535'], null],
        'none' => [['port' => '0'], 'port'],
        'one more' => [['port' => '65536'], 'port'],
        'an inner one more' => [['inner_port' => '65536'], 'inner_port'],
        'sixty letters' => [['purpose' => str_repeat('ü', 60)], null],
        'sixty-one' => [['purpose' => str_repeat('ü', 61)], 'purpose'],
        'eight sources' => [['sources' => $sources(8)], null],
        'nine' => [['sources' => $sources(9)], 'sources'],
        'a path of 120' => [['path' => '/'.str_repeat('a', 119)], null],
        'of 121' => [['path' => '/'.str_repeat('a', 120)], 'path'],
        'forty clients' => [['clients' => implode("\n", array_fill(0, 40, 'desk: address'))], null],
        'forty-one' => [['clients' => implode("\n", array_fill(0, 41, 'desk: address'))], 'clients'],
    ];
});

test('a number with a digit too many is one of those that come of it', function (): void {
    $scheme = new PortScheme([8082 => 'larder']);
    expect($scheme->meant('80823'))
        ->toBe([8082, 823, 8823])
        ->and($scheme->meant('82'))
        ->toBe([2, 8]);
});

test('a page has a port that is no system\'s', function (string $typed, bool $is): void {
    expect((new PortScheme([]))->check($typed, 'port')->isEmpty())->toBe($is);
})->with([['1023', false], ['1024', true], ['65535', true], ['65536', false], ['x', false]]);
