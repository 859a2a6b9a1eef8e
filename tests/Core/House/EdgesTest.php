<?php

declare(strict_types=1);

use App\Household\Concerns;
use Burrow\Addresses\OutsideNetwork;
use Burrow\BringUp\Unfinished;
use Burrow\Card\WifiCheck;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Ground\Outlook;
use Burrow\Household\WanKind;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Quantity\Bytes;
use Burrow\Reach\Schools;
use Burrow\Reach\Tunnel\TunnelDescription;
use Burrow\Stores\Backup\Keep;
use Burrow\Text\TextBudget;
use Burrow\Text\Words;

// Small rules of the house, both sides of each of their edges.

test('who visits is told what concerns everybody, and not where the house is weak', function (): void {
    $told = [];
    foreach (Concerns::all() as $concern) {
        $told[basename(str_replace('\\', '/', $concern::class))] = $concern->isForGuests();
    }
    $guests = array_keys(array_filter($told));
    sort($guests);
    expect($guests)->toBe([
        'BoxesAsBuilt',
        'Certificates',
        'FilterAgainstLedger',
        'OutsideNetwork',
        'PortTable',
        'SharedSwitches',
        'Shut',
        'StoresConcern',
        'Unfinished',
        'Watch',
    ]);
});

test('what was left open is counted together', function (int $passed, int $jobs, ?string $words): void {
    $house = household([dweller('larder', passedOver: $passed, unfinishedJobs: $jobs)]);
    $found = (new Unfinished())->findings($house)->list;
    expect($found[0]->found ?? null)->toBe($words);
})->with([
    [0, 0, null],
    [1, 0, 'Larder is not finished: one thing was left open.'],
    [0, 1, 'Larder is not finished: one thing was left open.'],
    [2, 3, 'Larder is not finished: five things were left open.'],
]);

test('boxes outside of their network are named up to five', function (int $count, string $words): void {
    $names = ['larder', 'sieve', 'lantern', 'wren', 'press', 'chalk'];
    $boxes = array_map(
        fn (string $name, int $i): Burrow\Household\Box => dweller(
            $name,
            address: Ipv4::parse("172.22.9.{$i}"),
            covered: $i >= $count,
        ),
        $names,
        array_keys($names),
    );
    $found = (new OutsideNetwork())->findings(household($boxes))->list;
    $count === 0 ? expect($found)->toBe([]) : expect($found[0]->found)->toContain($words);
})->with([
    [0, ''],
    [1, 'Larder lies outside'],
    [5, 'Larder, sieve, lantern, wren, press lie outside'],
    [6, 'press and more'],
]);

/** @param  array<string, string>  $boxes  name => "answers", "silent" or "not asked" */
function outlookOf(array $boxes, array $openings = [], int $due = 0, bool $toKeeper = true): Outlook
{
    return new Outlook(
        household(
            array_map(
                fn (string $name, string $state): Burrow\Household\Box => dweller(
                    $name,
                    job: $name === 'culvert' ? 'tunnel-endpoint' : 'file-store',
                    address: Ipv4::parse('172.22.8.11'),
                    hearing: match ($state) {
                        'answers' => heard(),
                        'silent' => heard('2026-11-25 12:00'),
                        default => heard(asked: '2026-11-24 12:00'),
                    },
                ),
                array_keys($boxes),
                $boxes,
            ),
            ['culvert' => ['51944 udp tunnel'], 'larder' => ['443 tcp page', '445 tcp shares']],
            $openings,
        ),
        $due,
        $toKeeper,
    );
}

test('who answers, in one sentence', function (array $boxes, string $says): void {
    expect(outlookOf($boxes)->lead())->toBe($says);
})->with([
    [[], 'Nobody lives here yet.'],
    [['larder' => 'answers'], 'The one box answers.'],
    [['larder' => 'silent'], 'The one box does not answer.'],
    [['larder' => 'not asked'], 'The one box was not asked lately.'],
    [['larder' => 'answers', 'sieve' => 'answers'], 'All two boxes answer.'],
    [['larder' => 'silent', 'sieve' => 'silent'], 'No box answers.'],
    [['larder' => 'not asked', 'sieve' => 'not asked'], 'No box was asked lately.'],
    [['larder' => 'answers', 'sieve' => 'silent'], 'One of two boxes answers.'],
    [['larder' => 'answers', 'sieve' => 'silent', 'wren' => 'answers'], 'Two of three boxes answer.'],
    [['larder' => 'answers', 'sieve' => 'not asked'], 'One of two boxes answers, one was not asked lately.'],
    [
        ['larder' => 'answers', 'wren' => 'answers', 'sieve' => 'not asked', 'press' => 'not asked'],
        'Two of four boxes answer, two were not asked lately.',
    ],
]);

test('the ways in, and what is due', function (
    array $openings,
    int $due,
    bool $toKeeper,
    string $says,
): void {
    expect(
        outlookOf(['larder' => 'answers', 'culvert' => 'answers'], $openings, $due, $toKeeper)->rest(),
    )->toContain($says);
})->with([
    [[], 0, true, 'Nothing can be reached from outside. Nothing is due.'],
    [
        ['culvert' => ['51944 udp']],
        1,
        true,
        'One way in from outside, and it is the one that is meant. One update is due.',
    ],
    [
        ['larder' => ['443 tcp']],
        2,
        true,
        'One way in from outside, one of them to a box whose job is not to be reached. Two updates are due.',
    ],
    [
        ['larder' => ['443 tcp', '445 tcp'], 'culvert' => ['51944 udp']],
        0,
        true,
        'Three ways in from outside, two of them to a box whose job is not to be reached.',
    ],
    [[], 3, false, 'Nothing can be reached from outside.'],
    [['culvert' => ['51944 udp']], 3, false, 'One way in from outside.'],
    [['larder' => ['443 tcp', '445 tcp']], 3, false, 'Two ways in from outside.'],
]);

test('which way in is best for which line', function (
    ?WanKind $wan,
    bool $everybody,
    string $best,
    array $fits,
): void {
    $told = Schools::compare($wan, $everybody);
    expect($told[0]['id'])
        ->toBe($best)
        ->and(array_column($told, 'best'))
        ->toBe([true, false, false, false]);
    $fitting = array_column(array_filter($told, fn (array $one): bool => $one['fits']), 'id');
    sort($fitting);
    expect($fitting)->toBe($fits);
})->with([
    [null, false, 'tunnel', ['cloud', 'forward', 'relay', 'tunnel']],
    [WanKind::Fixed, false, 'tunnel', ['cloud', 'forward', 'relay', 'tunnel']],
    [WanKind::Changing, true, 'forward', ['cloud', 'forward', 'relay', 'tunnel']],
    [WanKind::BehindRouter, true, 'tunnel', ['cloud', 'relay', 'tunnel']],
    [WanKind::CarrierNat, false, 'relay', ['cloud', 'relay']],
]);

test('why a way in fits or does not', function (): void {
    $because = fn (?WanKind $wan, string $id): string => array_column(
        Schools::compare($wan, false),
        'because',
        'id',
    )[$id];
    expect($because(WanKind::Fixed, 'tunnel'))
        ->toContain('its address stays')
        ->and($because(WanKind::Changing, 'tunnel'))
        ->toContain('a name has to be kept up to date')
        ->and($because(null, 'tunnel'))
        ->toContain('is to be found out')
        ->and($because(WanKind::CarrierNat, 'tunnel'))
        ->toContain('no forwarded port leads in')
        ->and($because(WanKind::BehindRouter, 'forward'))
        ->toContain('the other router')
        ->and($because(WanKind::Fixed, 'forward'))
        ->toContain('anybody in the world may knock');
});

test('what is typed for an open network is no secret', function (
    string $typed,
    WifiSecurity $security,
    array $codes,
): void {
    expect(WifiCheck::passphrase($typed, $security, Place::field('passphrase'))->codes())->toBe($codes);
})->with([
    ['', WifiSecurity::Open, []],
    ['seeds in paper bags', WifiSecurity::Open, ['card.passphrase_for_open']],
]);

test('the network inside a tunnel is one that no other overlaps', function (
    array $others,
    string $net,
): void {
    expect(TunnelDescription::freeNet(array_map(Prefix::parse(...), $others))->prefix())->toBe($net);
})->with([
    [[], '10.73.12.0/24'],
    [['10.73.12.0/24', '10.73.13.0/24'], '10.73.14.0/24'],
    [['10.73.0.0/16'], '10.74.0.0/24'],
    [['10.73.0.0/16', '10.74.0.0/25'], '10.74.1.0/24'],
]);

test('how far copies go back', function (array $keep, int $copies, int $days): void {
    $keep = new Keep(...$keep);
    expect([$keep->copies(), $keep->days()])->toBe([$copies, $days]);
})->with([
    [[7, 4, 12, 0], 23, 372],
    [[1, 0, 0, 0], 1, 1],
    [[0, 3, 0, 0], 3, 21],
    [[30, 4, 0, 0], 34, 30],
    [[0, 0, 0, 2], 2, 732],
]);

test('room of copies is one whole and what changes on each day', function (): void {
    expect((new Keep(7, 0, 0, 0))->room(Bytes::giga(100), Bytes::giga(2))->count)
        ->toBe(114_000_000_000)
        ->and((new Keep(0, 0, 0, 400))->room(Bytes::of(9_000_000_000_000_000_000), Bytes::giga(2))->count)
        ->toBe((int) 9e18);
});

test('a text is looked at up to each of its edges', function (
    string $text,
    ?string $tooMuch,
    ?int $line,
): void {
    $told = TextBudget::entry()->exceeded($text);
    expect([$told?->because, $told?->line])->toBe([$tooMuch, $line]);
})->with([
    'as large as it may be' => [str_repeat(str_repeat('a', 1023)."\n", 60), null, null],
    'larger by one' => [str_repeat(str_repeat('a', 1023)."\n", 60).'a', 'it is larger than 60 KiB', null],
    'as many lines' => [str_repeat("a\n", 2000), null, null],
    'more by one' => [str_repeat("a\n", 2001), 'it has more than 2000 lines', 2001],
    'as long a line' => [str_repeat('a', 4096), null, null],
    'longer by one' => ["a\n".str_repeat('a', 4097), 'this line is longer than 4 KiB', 2],
    'as many blanks' => ['a'.str_repeat(' ', 400).'b', null, null],
    'more blanks' => ['a'.str_repeat(' ', 401).'b', 'hundreds of blanks stand in this line', 1],
    'blanks in two runs' => [str_repeat(' ', 400).'a'.str_repeat("\t", 400), null, null],
    'as many empty lines' => ['a'.str_repeat("\n", 401).'b', null, null],
    'more empty lines' => ['a'.str_repeat("\n", 402).'b', 'hundreds of empty lines stand in it', 402],
]);

test('sizes of texts are said in their unit', function (): void {
    expect(TextBudget::paste()->exceeded(str_repeat('a', 16 * 1024 * 1024 + 1))?->because)
        ->toBe('it is larger than 16 MiB')
        ->and(TextBudget::cardFile()->exceeded(str_repeat(str_repeat('a', 99)."\n", 1311))?->because)
        ->toBe('it is larger than 128 KiB');
});

test('numbers in sentences', function (): void {
    expect([Words::number(0), Words::number(1), Words::number(12), Words::number(13)])
        ->toBe(['none', 'one', 'twelve', '13'])
        ->and([
            Words::counted(1, 'day'),
            Words::counted(0, 'day'),
            Words::counted(2.5, 'day'),
            Words::counted(1.0, 'day'),
        ])
        ->toBe(['1 day', '0 days', '2.5 days', '1 day'])
        ->and([Words::counted(2, 'box', 'boxes'), Words::counted(1, 'box', 'boxes')])
        ->toBe(['2 boxes', '1 box'])
        ->and(Words::typed("a\tb\u{200B}"))
        ->toBe('a·b·')
        ->and(mb_strlen(Words::typed(str_repeat('ü', 61))))
        ->toBe(60)
        ->and(Words::typed(str_repeat('ü', 60)))
        ->toBe(str_repeat('ü', 60));
});

test('an address of the older kind has thirty-two bits', function (int $number, ?string $written): void {
    $written === null
        ? expect(fn () => Ipv4::fromNumber($number))->toThrow(InvalidArgumentException::class)
        : expect((string) Ipv4::fromNumber($number))->toBe($written);
})->with([[-1, null], [0, '0.0.0.0'], [0xFFFFFFFF, '255.255.255.255'], [0x100000000, null]]);
