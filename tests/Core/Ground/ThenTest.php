<?php

declare(strict_types=1);

use Burrow\Ground\Then;

// The house on a day that is past.

test('who was in service and what reached the surface, from first to last', function (
    string $day,
    array $boxes,
    array $ways,
    string $said,
): void {
    $at = fn (string $when): DateTimeImmutable => new DateTimeImmutable($when);
    $then = Then::of(
        $at($day),
        $at('2026-11-27 12:00'),
        [
            ['name' => 'larder', 'from' => $at('2026-03-10 09:00'), 'to' => null],
            ['name' => 'kettle', 'from' => $at('2026-01-01'), 'to' => $at('2026-06-30 10:00')],
        ],
        [
            ['box' => 'larder', 'way' => '51944 udp', 'from' => $at('2026-05-01'), 'to' => null],
            [
                'box' => 'kettle',
                'way' => '8443 tcp',
                'from' => $at('2026-02-01'),
                'to' => $at('2026-05-20 18:00'),
            ],
        ],
    );
    expect([$then->boxes, array_column($then->ways, 'way'), $then->sentence()])->toBe([$boxes, $ways, $said]);
})->with([
    ['2025-12-31', [], [], 'Nothing was in service.'],
    'in the moment in which it began' => [
        '2026-01-01',
        ['kettle'],
        [],
        'One box was in service, and nothing reached the surface.',
    ],
    ['2026-01-31', ['kettle'], [], 'One box was in service, and nothing reached the surface.'],
    [
        '2026-02-01',
        ['kettle'],
        ['8443 tcp'],
        'One box was in service, and one way led in: 8443 tcp to kettle.',
    ],
    [
        '2026-03-10',
        ['larder', 'kettle'],
        ['8443 tcp'],
        '2 boxes were in service, and one way led in: 8443 tcp to kettle.',
    ],
    [
        '2026-05-10',
        ['larder', 'kettle'],
        ['51944 udp', '8443 tcp'],
        '2 boxes were in service, and 2 ways led in.',
    ],
    // The end of a day is meant: what was closed in its evening was not open any more.
    [
        '2026-05-20',
        ['larder', 'kettle'],
        ['51944 udp'],
        '2 boxes were in service, and one way led in: 51944 udp to larder.',
    ],
    [
        '2026-06-30',
        ['larder'],
        ['51944 udp'],
        'One box was in service, and one way led in: 51944 udp to larder.',
    ],
    [
        '2026-11-27',
        ['larder'],
        ['51944 udp'],
        'One box was in service, and one way led in: 51944 udp to larder.',
    ],
]);

test('what is otherwise today is said in both directions, and today nothing is', function (int $seed): void {
    mt_srand($seed);
    $now = new DateTimeImmutable('2026-11-27 12:00');
    $span = function () use ($now): array {
        $from = $now->modify('-'.mt_rand(1, 900).' days');

        return [
            $from,
            mt_rand(0, 1) === 1 ? null : min($now, $from->modify('+'.mt_rand(1, 400).' days')),
        ];
    };
    $boxes = $ways = [];
    foreach (range(1, 12) as $one) {
        [$from, $to] = $span();
        $boxes[] = ['name' => "b{$one}", 'from' => $from, 'to' => $to];
        [$from, $to] = $span();
        $ways[] = ['box' => "b{$one}", 'way' => "{$one} tcp", 'from' => $from, 'to' => $to];
    }
    $day = $now->modify('-'.mt_rand(1, 800).' days');
    $then = Then::of($day, $now, $boxes, $ways);
    $today = Then::of($now, $now, $boxes, $ways);
    $back = array_values(array_diff([...$then->boxes, ...$then->came], $then->went));
    sort($back);
    $is = $today->boxes;
    sort($is);
    expect($back)
        ->toBe($is)
        ->and(count($then->ways) + count($then->opened) - count($then->closed))
        ->toBe(count($today->ways))
        ->and([$today->came, $today->went, $today->opened, $today->closed])
        ->toBe([[], [], [], []]);
})->with([1, 2, 3, 4, 5]);
