<?php

declare(strict_types=1);

use Burrow\Ground\Draw\ChamberState;
use Burrow\Ground\Draw\Choice;
use Burrow\Ground\Draw\Dwelling;

// Which boxes the cross-section shows, and what stands beside what.

/** @return list<Dwelling> five boxes with two jobs and two supplies */
function choosable(): array
{
    $one = fn (
        string $name,
        string $job,
        string $power,
        ChamberState $state = ChamberState::Answers,
        array $ways = [],
        string $network = 'house',
    ): Dwelling => new Dwelling($name, '', '', $state, $ways, job: $job, fedBy: $power, network: $network);

    return [
        $one('e', 'names', 'strip'),
        $one('d', 'files', ''),
        $one('c', 'names', 'shelf', ChamberState::Silent),
        $one('b', 'files', 'strip', ChamberState::Answers, ['8443 tcp']),
        $one('a', '', 'shelf', ChamberState::Unheard, network: 'greenhouse'),
    ];
}

test('a choice shows what it says, in the order that it says', function (
    string $show,
    string $by,
    string $names,
): void {
    expect(implode('', array_column(Choice::of($show, $by)->apply(choosable()), 'name')))->toBe($names);
})->with([
    ['', '', 'edcba'],
    ['silent', '', 'c'],
    ['open', '', 'b'],
    ['job:files', '', 'db'],
    ['power:shelf', '', 'ca'],
    ['network:house', '', 'edcb'],
    ['network:greenhouse', 'job', 'a'],
    ['', 'network', 'aedcb'],
    ['job:nothing', '', ''],
    ['', 'job', 'adbec'],
    ['', 'power', 'caebd'],
    // What is no choice is none.
    ['all of them', 'size', 'edcba'],
    ["job:files\n", '', 'edcba'],
    ['job:', '', 'edcba'],
]);

test('what there is to choose from chooses something', function (): void {
    $options = Choice::options(choosable());
    expect(array_keys($options))->toBe([
        '',
        'silent',
        'open',
        'job:files',
        'job:names',
        'power:shelf',
        'power:strip',
        'network:greenhouse',
        'network:house',
    ]);
    foreach (array_keys($options) as $show) {
        expect(Choice::of($show, '')->show)
            ->toBe($show)
            ->and(Choice::of($show, '')->apply(choosable()))
            ->not->toBe([]);
    }
});
