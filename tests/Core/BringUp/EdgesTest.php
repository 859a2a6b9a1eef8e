<?php

declare(strict_types=1);

use Burrow\BringUp\Change;
use Burrow\BringUp\Playbook\HouseWords;
use Burrow\BringUp\Seen\PageSeen;
use Burrow\BringUp\Step\HostKeyHistory;
use Burrow\BringUp\Step\InventoryFindings;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\RunFacts;
use Burrow\BringUp\Told\AskedKind;
use Burrow\BringUp\Told\Inventory;
use Burrow\Net\SshPublicKey;

// The last that is taken of each kind of value, and the first that is not.

test('a value is taken up to its edges, and not beyond them', function (
    AskedKind $kind,
    string $last,
    string $beyond,
): void {
    expect([$kind->normal($last), $kind->normal($beyond)])->toBe([$last, null]);
})->with(function (): array {
    $label = str_repeat('a', 63);
    $names = fn (int $many): string => implode(
        "\n",
        array_map(fn (int $i): string => "n{$i}.example", range(1, $many)),
    );
    $long = str_repeat(str_repeat('a', 49).'.', 5);

    return [
        'a line' => [AskedKind::Text, str_repeat('ü', 120), str_repeat('ü', 121)],
        'the first port' => [AskedKind::Port, '1', '0'],
        'the last port' => [AskedKind::Port, '65535', '65536'],
        'a folder eight deep' => [AskedKind::Folder, str_repeat('/a', 8), str_repeat('/a', 9)],
        'a folder with a long name' => [
            AskedKind::Folder,
            '/'.str_repeat('a', 61),
            '/'.str_repeat('a', 62),
        ],
        'a path' => [AskedKind::UrlPath, '/'.str_repeat('a', 120), '/'.str_repeat('a', 121)],
        'a tag' => [AskedKind::Image, 'a:'.str_repeat('a', 128), 'a:'.str_repeat('a', 129)],
        'a digest' => [
            AskedKind::Image,
            'a@sha256:'.str_repeat('0', 64),
            'a@sha256:'.str_repeat('0', 63),
        ],
        'a name of one label' => [AskedKind::Host, $label, "{$label}a"],
        'a name as a whole' => [AskedKind::Host, $long.'aaa', $long.'aaaa'],
        'names' => [AskedKind::Names, $names(200), $names(201)],
        'an account' => [AskedKind::Account, str_repeat('a', 32), str_repeat('a', 33)],
        'a key' => [
            AskedKind::TunnelKey,
            base64_encode(str_repeat('k', 32)),
            base64_encode(str_repeat('k', 31)),
        ],
        'a source' => [
            AskedKind::Source,
            'https://a/'.str_repeat('a', 200),
            'https://a/'.str_repeat('a', 201),
        ],
        'the last private network' => [AskedKind::PrivateNet, '172.31.255.0/24', '172.32.0.0/24'],
        'the first private network' => [AskedKind::PrivateNet, '172.16.0.0/24', '172.15.255.0/24'],
        'a word' => [AskedKind::Word, str_repeat('a', 61), str_repeat('a', 62)],
    ];
});

test('an inventory is read up to its edges, and beyond them it is said', function (): void {
    $lines = fn (int $many): string => implode(
        "\n",
        array_map(fn (int $i): string => "1 thing{$i}", range(1, $many)),
    );
    $whole = Inventory::read($lines(Inventory::MOST_LINES));
    $more = Inventory::read($lines(Inventory::MOST_LINES + 1));
    expect([$whole->tooLong, $whole->total(), $more->tooLong, $more->total()])->toBe([false, 200, true, 200]);
    $letters = fn (int $many): Inventory => Inventory::read('1 '.str_repeat('ü', $many));
    expect([$letters(120)->isEmpty(), $letters(121)->isEmpty(), $letters(121)->unread])->toBe([
        false,
        true,
        [1],
    ]);
    $bytes = fn (int $many): Inventory => Inventory::read('1 a'.str_repeat(' ', $many - 3));
    expect([$bytes(16_384)->tooLong, $bytes(16_385)->tooLong])->toBe([false, true]);
    expect(Inventory::read("1000000 a\n1 a")->total())->toBe(1_000_000);
    expect([Inventory::read('1000000 a')->unread, Inventory::read('1000001 a')->unread])->toBe([[], [1]]);
});

test('the engine of a house by its command', function (?string $command, array $words): void {
    expect(array_values(HouseWords::engine($command)))->toBe($words);
})->with([
    [null, ['podman', 'podman-compose', 'podman-compose']],
    ['', ['podman', 'podman-compose', 'podman-compose']],
    ['podman', ['podman', 'podman-compose', 'podman-compose']],
    ['engine', ['engine', 'engine compose', 'engine']],
]);

test('which changes move a job and which swap a part', function (): void {
    $named = fn (callable $that): array => array_values(
        array_map(fn (Change $one): string => $one->value, array_filter(Change::cases(), $that)),
    );
    expect($named(fn (Change $one): bool => $one->moves()))
        ->toBe(['move', 'from-desk'])
        ->and($named(fn (Change $one): bool => $one->swaps()))
        ->toBe(['other-board', 'other-card', 'other-disk', 'other-parts']);
});

test('of a list that is too long the beginning is counted', function (): void {
    $read = Inventory::read("12 devices\n".str_repeat("3 lamps\n", 4000));
    expect([$read->things['devices']['count'] ?? null, $read->tooLong])->toBe([12, true]);
});

test('lines that are not counted are named, eight of them', function (int $many, string $said): void {
    expect(InventoryFindings::lineNotCounted(range(3, 2 + $many), 'x')->found)->toBe($said);
})->with([
    [1, 'Line 3 says no thing that can be counted.'],
    [2, 'Lines 3, 4 say no thing that can be counted.'],
    [9, 'Lines 3, 4, 5, 6, 7, 8, 9, 10 say no thing that can be counted.'],
]);

test('a value belongs to the job that learned it', function (): void {
    $facts = new RunFacts(
        'wren',
        learned: ['file-store:page' => '1', 'file-store-2:page' => '2', ':page' => '3'],
    );
    expect([$facts->learnedFor('file-store'), $facts->learnedFor('')])->toBe([['page' => '1'], []]);
});

test('what is left of waits lies between the shortest and the longest', function (): void {
    $steps = playbook()->list;
    $sum = fn (string $end): float => array_sum(
        array_map(fn ($one): float => $one->{$end}->seconds ?? 0.0, $steps),
    );
    expect(playbook()->waitLeft([])->seconds)
        ->toBeGreaterThan($sum('waitFrom'))
        ->toBeLessThan($sum('waitTo'));
});

test('a key that was kept in the moment in which the card was written is not explained by it', function (
    string $written,
    string $code,
): void {
    $key = fn (string $byte): SshPublicKey => SshPublicKey::tryOf(
        'ssh-ed25519',
        base64_encode(pack('N', 11).'ssh-ed25519'.pack('N', 32).str_repeat($byte, 32)),
    ) ?? throw new LogicException();
    $kept = new DateTimeImmutable('2026-11-25 14:00:00');
    $found = HostKeyHistory::judge(
        $key('a'),
        $key('b')->fingerprint(),
        $kept,
        new DateTimeImmutable($written),
    );
    expect($found->code)->toBe($code);
})->with([
    ['2026-11-25 14:00:00', 'bringup.host_key_changed'],
    ['2026-11-25 14:00:01', 'bringup.host_key_rewritten'],
]);

test('a page is ready from 200 to 399, and where it asks who is there', function (
    int $status,
    bool $ready,
): void {
    expect((new PageSeen($status))->isReady())->toBe($ready);
})->with([[199, false], [200, true], [399, true], [400, false], [401, true], [403, false], [500, false]]);

test('what two looks learned is learned, the later one\'s word before the earlier one\'s', function (
    string $what,
): void {
    $with = fn (bool $one, bool $other): bool => (new Learned(...[$what => $one]))->with(
        new Learned(...[$what => $other]),
    )->{$what};
    expect([$with(false, false), $with(true, false), $with(false, true), $with(true, true)])
        ->toBe([false, true, true, true])
        ->and(
            (new Learned('a', answers: ['x' => ['k' => '1', 'l' => '2']]))->with(
                new Learned(answers: ['x' => ['k' => '3']]),
            ),
        )
        ->toEqual(new Learned('a', answers: ['x' => ['k' => '3', 'l' => '2']]));
})->with(['pinned', 'updated', 'cardWritten']);
