<?php

declare(strict_types=1);

use Burrow\Household\BoxParts;
use Burrow\Move\PartSwap;

// Another part for a box in service.

test(
    'what changes is what is another one; each brings its own steps, between shutting down and the way back',
    function (array $to, array $changed, array $steps, array $forgets): void {
        $from = ['board' => 'cobble', 'supply' => 'supply-2a5', 'card' => 'card-32-a1', 'drive' => null];
        $swap = PartSwap::of(new BoxParts(...$from), new BoxParts(...$to + $from));
        $said = array_column($swap->steps('larder', 'warden'), 'what');
        expect($swap->changed)
            ->toBe($changed)
            ->and(array_slice($said, 2, -2))
            ->toBe($steps)
            ->and($said[1])
            ->toBe('Shut it down')
            ->and($said[count($said) - 1])
            ->toBe('The way back')
            ->and($swap->forgets())
            ->toBe($forgets);
    },
)->with([
    'nothing' => [[], [], [], []],
    'a board' => [
        ['board' => 'flint'],
        ['board'],
        ['Note the hardware address of the new board', 'Put the card across'],
        ['mac', 'pinned_at'],
    ],
    'a cable' => [['cable' => 'thick-1m'], ['cable'], ['Look at its voltage'], []],
    'a card and a disk' => [
        ['card' => 'card-64-a2', 'drive' => 'disk-4t'],
        ['card', 'drive'],
        ['Write the new card', 'Copy the disk across, then change its line'],
        ['card_written_at'],
    ],
]);

test('nothing is known and nothing chosen is the same', function (): void {
    expect(PartSwap::of(new BoxParts(drive: null), new BoxParts(drive: ''))->isEmpty())->toBeTrue();
});

test('what is not led as one run has its reason', function (array $to, string $begins): void {
    $from = ['board' => 'cobble', 'supply' => 'supply-2a5', 'card' => 'card-32-a1', 'drive' => 'ssd-500'];
    $why = PartSwap::of(new BoxParts(...$from), new BoxParts(...$to + $from))->notAtOnce();
    expect($begins === '' ? $why : str_starts_with((string) $why, $begins))->toBe(
        $begins === '' ? null : true,
    );
})->with([
    [[], 'Nothing is another part.'],
    [['board' => 'flint', 'card' => 'card-16'], 'Another board and another card at once'],
    [['board' => 'flint'], ''],
    [['card' => 'card-16'], ''],
    [['drive' => 'ssd-1t'], ''],
    [['drive' => 'ssd-1t', 'supply' => 'supply-3a'], 'The disk by itself'],
    [['board' => 'flint', 'supply' => 'supply-3a'], ''],
]);
