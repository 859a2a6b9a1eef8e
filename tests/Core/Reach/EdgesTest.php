<?php

declare(strict_types=1);

use Burrow\Household\WayIn;
use Burrow\Judgement\Finding;
use Burrow\Net\Prefix;
use Burrow\Reach\KeysEnd;
use Burrow\Reach\Tunnel\TunnelDescription;
use Burrow\Reach\Tunnel\TunnelEndpoint;
use Burrow\Reach\TypedKey;
use Burrow\Reach\TypedOpening;
use Burrow\Reach\Write\NameKeeper;

// The last that is taken at each field of a key and of an opening, and the first that is not.

test('a key of a program is taken up to its edges', function (string $field, int $most): void {
    $house = household([dweller('larder')], ['larder' => ['443 tcp page']]);
    $typed = fn (string $words): array => array_map(
        fn ($one): string => (string) $one->place?->field,
        TypedKey::of($house, [
            ...[
                'program' => 'slicer',
                'key_holder' => 'desk',
                'key_back' => 'on its page',
                'key_for' => (string) $house->services()[0]->id,
            ],
            $field => $words,
        ])->findings->list,
    );
    expect([$typed(str_repeat('ü', $most)), $typed(str_repeat('ü', $most + 1)), $typed(' ')])->toBe([
        [],
        [$field],
        [$field],
    ]);
})->with([['program', 40], ['key_holder', 80], ['key_back', 160]]);

test('an opening is taken up to its edges', function (string $field, string $last, string $beyond): void {
    $box = dweller('culvert');
    $house = household([$box], ['culvert' => ['51944 udp tunnel']]);
    $typed = fn (string $said): array => array_map(
        fn ($one): string => (string) $one->place?->field,
        TypedOpening::check($house, [
            ...[
                'box' => (string) $box->id,
                'outside_port' => '41000',
                'inside_port' => '51944',
                'protocol' => 'udp',
                'purpose' => 'tunnel',
                'reason' => 'to look at the vents',
                'review_on' => '2027-03-26',
                'sources' => '',
            ],
            $field => $said,
        ])->list,
    );
    expect($typed($last))->not->toContain($field)->and($typed($beyond))->toContain($field);
})->with([
    ['purpose', str_repeat('ü', 60), str_repeat('ü', 61)],
    ['reason', str_repeat('ü', 170), str_repeat('ü', 171)],
    ['outside_port', '65535', '65536'],
    ['outside_port', '1', '0'],
    ['review_on', '2028-02-29', '2027-02-29'],
    ['sources', '203.0.113.0/24, 2001:db8::1', '203.0.113.0/33'],
]);

test('an endpoint listens at a port that there is', function (int $port, bool $fits): void {
    $written = fn (): string => (string) new TunnelEndpoint($port, '10.77.8.0/24');
    $fits
        ? expect($written())->toContain("ListenPort = {$port}\n")
        : expect($written)->toThrow(InvalidArgumentException::class);
})->with([[0, false], [1, true], [65535, true], [65536, false]]);

test('a key ends on a day that there is, or on none', function (string $said, ?string $ends): void {
    $house = household([dweller('larder')], ['larder' => ['443 tcp page']]);
    $typed = TypedKey::of($house, [
        'key_kind' => 'account',
        'program' => 'slicer',
        'key_holder' => 'desk',
        'key_back' => 'on its page',
        'key_for' => (string) $house->services()[0]->id,
        'key_ends' => $said,
    ]);
    expect($typed->ends?->format('Y-m-d H:i'))
        ->toBe($ends)
        ->and($typed->findings->blocks())
        ->toBe($ends === null && $said !== '')
        ->and($typed->kind)
        ->toBe('account')
        ->and($typed->service)
        ->toBe($house->services()[0]);
})->with([
    ['', null],
    ['2027-02-28', '2027-02-28 00:00'],
    ['2028-02-29', '2028-02-29 00:00'],
    ['2027-02-29', null],
    ['2027-2-1', null],
    ['28.02.2027', null],
]);

test('a key is for a page that there is', function (): void {
    $house = household([dweller('larder')], ['larder' => ['443 tcp page']]);
    $service = $house->services()[0];
    $for = fn (string $id): TypedKey => TypedKey::of($house, ['key_for' => $id, 'key_kind' => 'other']);
    expect($for((string) $service->id)->service)
        ->toBe($service)
        ->and($for('nothing')->service)
        ->toBeNull()
        ->and($for('nothing')->kind)
        ->toBe('program')
        ->and(array_map(fn ($one): string => (string) $one->place?->field, $for('nothing')->findings->list))
        ->toBe(['program', 'key_holder', 'key_back', 'key_for']);
});

test('a key that ends is told from fourteen days before, and by what it did', function (
    int $days,
    ?string $told,
): void {
    $now = new DateTimeImmutable(THREE_O_CLOCK);
    $way = fn (int $id, ?DateTimeImmutable $ends): WayIn => new WayIn(
        $id,
        'desk',
        'warden',
        'program',
        null,
        null,
        $now->modify('-90 days'),
        ends: $ends,
    );
    $ends = $now->setTime(0, 0)->modify("{$days} days");
    $house = household([dweller('larder')], waysIn: [$way(1, null), $way(2, $ends)]);
    $found = array_map(fn (Finding $one): string => $one->found, (new KeysEnd())->findings($house)->list);
    expect($found)->toBe($told === null ? [] : ["The key of desk {$told} on {$ends->format('Y-m-d')}."]);
})->with([[-1, 'ended'], [0, 'ends'], [14, 'ends'], [15, null]]);

test('a free net for a tunnel is the first that nobody has', function (array $others, string $net): void {
    $free = TunnelDescription::freeNet(array_map(Prefix::parse(...), $others));
    expect((string) $free->prefix)->toBe($net);
})->with([
    [[], '10.73.12.0/24'],
    [['10.73.12.0/24'], '10.73.13.0/24'],
    [['10.73.0.0/16'], '10.74.0.0/24'],
    [['10.0.0.0/9'], '10.128.0.0/24'],
]);

test('a keeper of a name is written for names that the world could ask', function (
    string $name,
    bool $is,
): void {
    $script = fn (): string => NameKeeper::script($name);
    $is
        ? expect($script())->toContain(
            'leading to this house',
            'told every 15 minutes',
            "OnUnitActiveSec=15min\n",
            $name,
        )
        : expect($script)->toThrow(InvalidArgumentException::class);
})->with([
    ['seeds.example.net', true],
    ['a.b', true],
    [str_repeat('a', 63).'.example.net', true],
    [str_repeat('a', 64).'.example.net', false],
    [implode('.', array_fill(0, 4, str_repeat('a', 62))).'.a', true],
    [implode('.', array_fill(0, 4, str_repeat('a', 62))).'.abc', false],
    ['larder', false],
    ['-a.example.net', false],
    ['a b.example.net', false],
    ["seeds.example.net\n", false],
    ['', false],
]);

test('a day of the calendar is what a way in is looked at again on', function (
    string $typed,
    bool $is,
): void {
    $found = TypedOpening::check(household([dweller('larder')]), [
        'box' => 'larder',
        'purpose' => 'x',
        'reason' => 'x',
        'review_on' => $typed,
    ]);
    expect($found->forField('review_on')->isEmpty())->toBe($is);
})->with([['2027-02-28', true], ['2027-02-29', false], ['2027-2-28', false], ['soon', false], ['', false]]);
