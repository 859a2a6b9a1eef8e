<?php

declare(strict_types=1);

use Burrow\Household\FolderPair;
use Burrow\Stores\Alike\AlikeConcern;
use Burrow\Stores\Alike\AlikeSaid;
use Burrow\Stores\Alike\TypedPair;

// Folders that are kept alike on two machines.

/** /srv/papers of larder, kept alike with the desk, with what is said otherwise. */
function papers(mixed ...$with): FolderPair
{
    $now = new DateTimeImmutable(THREE_O_CLOCK);

    return new FolderPair(
        ...[
            'id' => 1,
            'box' => 'larder',
            'folder' => '/srv/papers',
            'peer' => 'desk',
            'inStep' => $now,
            ...$with,
        ],
    );
}

test('what is said of a folder that is kept alike', function (
    array $with,
    bool $copied,
    array $expected,
): void {
    $told = ['pairs' => [papers(...$with)]] + ($copied ? [] : ['copyings' => []]);
    $house = household([dweller('larder')], told: $told);
    $found = [];
    foreach ((new AlikeConcern())->findings($house) as $finding) {
        $found[$finding->code] = $finding->severity->value;
    }
    expect($found)->toBe($expected);
})->with([
    'in step, copied, not asked for the rest' => [[], true, []],
    'nothing of the box is copied' => [[], false, ['stores.alike_is_no_copy' => 'warn']],
    'nobody looked' => [['inStep' => null], true, ['stores.alike_never_seen' => 'note']],
    'fourteen days ago' => [['inStep' => new DateTimeImmutable('2026-11-11T15:00:00Z')], true, []],
    'fifteen days ago' => [
        ['inStep' => new DateTimeImmutable('2026-11-10T14:00:00Z')],
        true,
        ['stores.alike_unseen' => 'note'],
    ],
    'differed after it was in step' => [
        ['inStep' => new DateTimeImmutable('2026-11-20'), 'differed' => new DateTimeImmutable('2026-11-21')],
        true,
        ['stores.alike_differs' => 'warn'],
    ],
    'in step again' => [['differed' => new DateTimeImmutable('2026-11-21')], true, []],
    'conflicts, and nothing kept' => [
        ['conflicts' => 2, 'keepsDays' => 0],
        true,
        ['stores.alike_conflicts' => 'warn', 'stores.alike_keeps_nothing' => 'warn'],
    ],
]);

test('both ends are read from one paste; what is no line of theirs is passed over', function (): void {
    $sum = str_repeat('ab', 32);
    $said = AlikeSaid::of(
        "warden@larder:~$ sh look\r\nconflict 120 ./seeds (conflict).txt\r\nalike 3 {$sum} larder:/srv/papers\r\n".
            "desk:~ % sh look\nconflict 120 ./seeds (conflict).txt\nconflict x ./no\nalike 4 {$sum}0 x\nalike 3 {$sum} desk:/home/papers\n",
    );
    expect($said->isAlike())
        ->toBeTrue()
        ->and($said->ends)
        ->toHaveCount(2)
        ->and($said->conflicts)
        ->toBe(['./seeds (conflict).txt' => 120])
        ->and(AlikeSaid::of("alike 3 {$sum} larder:/a")->isAlike())
        ->toBeNull()
        // One end that was pasted twice is one end.
        ->and(AlikeSaid::of("alike 3 {$sum} larder:/a\nalike 3 {$sum} larder:/a")->isAlike())
        ->toBeNull()
        ->and(AlikeSaid::of('a kettle')->isEmpty())
        ->toBeTrue()
        ->and(AlikeSaid::of("alike 3 {$sum} a:/a\nalike 3 ".str_repeat('cd', 32).' b:/a')->isAlike())
        ->toBeFalse();
});

test('what was typed is told at its field', function (array $with, ?string $field): void {
    $house = household([dweller('larder')]);
    $typed = TypedPair::of(
        $house,
        $with + [
            'pair_box' => (string) $house->boxes()[0]->id,
            'pair_folder' => '/srv/papers',
            'pair_peer' => 'desk',
            'pair_keeps' => '30',
        ],
    );
    expect(array_map(fn ($finding) => (string) $finding->place, $typed->findings->list))->toBe(
        $field === null ? [] : [$field],
    );
})->with([
    'as it should be' => [[], null],
    'days not known' => [['pair_keeps' => ''], null],
    'days of another kind' => [['pair_keeps' => '3.5'], 'pair_keeps'],
    'too many days' => [['pair_keeps' => '3651'], 'pair_keeps'],
    'no box of the house' => [['pair_box' => '999'], 'pair_box'],
    'not from the root' => [['pair_folder' => 'papers'], 'pair_folder'],
    'a line break' => [['pair_folder' => "/srv/a\nb"], 'pair_folder'],
    'nobody' => [['pair_peer' => ' '], 'pair_peer'],
    'the most days' => [['pair_keeps' => '3650'], null],
    'the longest names' => [
        ['pair_peer' => str_repeat('ü', 60), 'pair_folder' => '/'.str_repeat('ü', 190)],
        null,
    ],
    'a longer peer' => [['pair_peer' => str_repeat('ü', 61)], 'pair_peer'],
    'a longer folder' => [['pair_folder' => '/'.str_repeat('ü', 191)], 'pair_folder'],
]);

test('ten thousand conflicts are counted, more are as many', function (): void {
    $text = implode("\n", array_map(fn (int $i): string => "conflict 5 ./f{$i}", range(1, 10_001)));
    expect(count(AlikeSaid::of($text)->conflicts))->toBe(10_000);
});
