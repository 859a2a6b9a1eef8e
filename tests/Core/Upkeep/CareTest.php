<?php

declare(strict_types=1);

use Burrow\Household\BoxReport;
use Burrow\Household\Care;
use Burrow\Household\Certificate;
use Burrow\Household\Opening;
use Burrow\Household\Reported;
use Burrow\Household\Service;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Upkeep\Care\CareCalendar;
use Burrow\Upkeep\Care\CareConcern;
use Burrow\Upkeep\Care\CareDue;
use Burrow\Upkeep\Care\ReleaseTable;
use Burrow\Upkeep\Care\TypedCare;
use Burrow\Upkeep\UpkeepFindings;

// What is due beside updates.

/** @return list<string> "kind days" */
function cared(array $told, array $openings = []): array
{
    return array_map(
        fn (CareDue $one): string => "{$one->kind} {$one->daysLeft}",
        CareCalendar::of(
            household([dweller('larder')], openings: $openings, told: $told + ['copyings' => []]),
        ),
    );
}

test('each kind has its day, the soonest first', function (): void {
    $day = fn (string $day): DateTimeImmutable => new DateTimeImmutable($day);
    expect(
        cared(
            [
                'cares' => [
                    new Care(1, 'larder', 'filter of the fan', 90, $day('2026-11-20')),
                    new Care(2, null, 'battery', 365, null),
                    new Care(3, null, 'rack', 30, $day('2026-10-01')),
                    new Care(4, null, 'far away', 3650, $day('2026-11-20')),
                ],
                'reports' => [
                    new Reported('larder', $day('2026-11-25'), new BoxReport(codename: 'Bookworm')),
                ],
                'releases' => ['bookworm' => $day('2027-01-04')],
            ],
            ['larder' => [new Opening('larder', 51944, 'udp', $day('2026-12-05'))]],
        ),
    )->toBe(['own -25', 'own 0', 'opening 10', 'support 40', 'own 85']);
});

test(
    'what is late, and a release that ends, reach the front page; the rest other floors tell',
    function (): void {
        $day = fn (string $day): DateTimeImmutable => new DateTimeImmutable($day);
        $codes = fn (string $ends, string $done): array => array_map(
            fn ($one): string => "{$one->code} {$one->severity->value}",
            (new CareConcern())->findings(
                household(
                    [dweller('larder')],
                    told: [
                        'cares' => [new Care(1, 'larder', 'filter', 30, $day($done))],
                        'reports' => [
                            new Reported('larder', $day('2026-11-25'), new BoxReport(codename: 'bookworm')),
                        ],
                        'releases' => ['bookworm' => $day($ends)],
                    ],
                ),
            )->list,
        );
        expect($codes('2028-06-30', '2026-11-20'))
            ->toBe([])
            ->and($codes('2027-01-01', '2026-10-20'))
            ->toBe(['upkeep.care_late note', 'upkeep.support_ends note'])
            ->and($codes('2026-11-01', '2026-11-20'))
            ->toBe(['upkeep.support_ended warn']);
    },
);

test('what was typed is told at its field', function (array $with, array $fields): void {
    $typed = TypedCare::of(
        household([dweller('larder')]),
        $with + [
            'care_what' => 'filter',
            'care_box' => 'larder',
            'care_every' => '90',
            'care_done' => '2026-11-01',
        ],
    );
    expect(array_map(fn ($one) => (string) $one->place, $typed->findings->list))->toBe($fields);
})->with([
    'as it should be' => [[], []],
    'of no box, done never' => [['care_box' => '', 'care_done' => ''], []],
    'nothing' => [['care_what' => ' '], ['care_what']],
    'never again' => [['care_every' => '0'], ['care_every']],
    'another box' => [['care_box' => 'nobody'], ['care_box']],
    'tomorrow' => [['care_done' => '2026-11-26'], ['care_done']],
    'no day' => [['care_done' => '2026-02-30'], ['care_done']],
    'the seldomest, in the longest words, done today' => [
        ['care_every' => '3650', 'care_what' => str_repeat('ü', 80), 'care_done' => '2026-11-25'],
        [],
    ],
    'every day, done long ago' => [['care_every' => '1', 'care_done' => '1990-01-02'], []],
    'seldomer' => [['care_every' => '3651'], ['care_every']],
    'words too long' => [['care_what' => str_repeat('ü', 81)], ['care_what']],
    'before there was any' => [['care_done' => '1990-01-01'], ['care_done']],
    'a zero byte' => [['care_done' => "2026-02\0-03"], ['care_done']],
]);

test('the table of releases is read as another reader reads it', function (): void {
    $file = '/usr/share/distro-info/debian.csv';
    $python = json_decode(
        run(
            'python3',
            <<<'PY'
            import csv, json
            rows = csv.DictReader(open('/usr/share/distro-info/debian.csv'))
            print(json.dumps({r['series']: max(filter(None, [r['eol'], r.get('eol-lts')])) for r in rows if r['eol']}))
            PY
            ,
        )['out'],
        true,
    );
    $ends = array_map(
        fn (DateTimeImmutable $one): string => $one->format('Y-m-d'),
        ReleaseTable::ends((string) file_get_contents($file), new DateTimeZone('UTC')),
    );
    ksort($python);
    ksort($ends);
    expect($ends)->toBe($python)->and(count($ends))->toBeGreaterThan(10);
    expect(ReleaseTable::ends("a,b\n\"x", new DateTimeZone('UTC')))
        ->toBe([])
        ->and(ReleaseTable::ends('', new DateTimeZone('UTC')))
        ->toBe([]);
});

test('support that ends today has not ended', function (int $daysLeft, string $code): void {
    $due = new CareDue(
        'support',
        'larder',
        'its release',
        new DateTimeImmutable(THREE_O_CLOCK),
        $daysLeft,
        'a table',
    );
    expect(UpkeepFindings::supportEnds($due)->code)->toBe($code);
})->with([[-1, 'upkeep.support_ended'], [0, 'upkeep.support_ends'], [1, 'upkeep.support_ends']]);

test('what is due is seen four hundred days ahead, and what is no own entry has no number', function (
    int $days,
    array $due,
): void {
    $ends = (new DateTimeImmutable(THREE_O_CLOCK))->modify("{$days} days");
    $house = household(
        [dweller('larder')],
        openings: ['larder' => [new Opening('larder', 51944, 'udp', $ends)]],
        told: ['copyings' => []],
    );
    expect(array_map(fn (CareDue $one): array => [$one->daysLeft, $one->id], CareCalendar::of($house)))->toBe(
        $due,
    );
})->with([[400, [[400, 0]]], [401, []]]);

test('another certificate is due two weeks before the end of the one that is shown', function (): void {
    $now = new DateTimeImmutable(THREE_O_CLOCK);
    $page = new Service('larder', Port::of(443), Protocol::Tcp, 'page', scheme: 'https');
    $ends = $now->modify('+30 days');
    $one = new Certificate(
        $page,
        'ab',
        'larder',
        'larder',
        ['larder'],
        $now->modify('-60 days'),
        $ends,
        $now,
    );
    $house = household([dweller('larder')], told: ['copyings' => [], 'certificates' => [$one]]);
    expect(
        array_map(fn (CareDue $due): array => [$due->kind, $due->daysLeft], CareCalendar::of($house)),
    )->toBe([['certificate', 16]]);
});
