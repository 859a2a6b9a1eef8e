<?php

declare(strict_types=1);

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Card\Read\CloudAccounts;
use Burrow\Card\Read\CloudValues;
use Burrow\Card\Rule\UserDataRule;
use Burrow\Card\WifiCheck;
use Burrow\Catalogue\CatalogueReader;
use Burrow\Judgement\Place;

// What cloud-init takes an entry for, by the modules that read it.

test('which words of an account are hashes and which are the password itself', function (
    string $key,
    ?bool $hashed,
): void {
    $accounts = CloudAccounts::of(['users' => [['name' => 'warden', $key => 'x', 'lock_passwd' => false]]]);
    $passwords = array_merge(...array_map(fn ($one): array => $one->passwords, array_values($accounts)));
    expect(array_map(fn ($one): bool => $one->hashed, $passwords))->toBe($hashed === null ? [] : [$hashed]);
})->with([
    ['passwd', true],
    ['hashed_passwd', true],
    ['hashed-passwd', true],
    ['plain_text_passwd', false],
    ['plain-text-passwd', false],
    ['gecos', null],
]);

test('a key wants its kind of value; one that is empty is left alone', function (
    string $key,
    mixed $value,
    array $wanted,
): void {
    expect(array_column(CloudValues::faults([$key => $value]), 1))->toBe($wanted);
})->with([
    'a list' => ['mounts', [['a', 'b']], []],
    'a word for a list' => ['mounts', 'a', ['a list']],
    'names for a list' => ['mounts', ['a' => 'b'], ['a list']],
    'names below' => ['chpasswd', ['expire' => false], []],
    'nothing below' => ['chpasswd', null, []],
    'an empty list below' => ['chpasswd', [], []],
    'a word for names' => ['chpasswd', 'x', ['names with values below it']],
    'a list for names' => ['chpasswd', ['a'], ['names with values below it']],
    'one value' => ['hostname', 'wren', []],
    'a list for one value' => ['hostname', ['wren'], ['one value']],
]);

test('keys that nothing reads are named one by one, up to twenty', function (
    int $keys,
    array $users,
    int $named,
): void {
    $lines = ['#cloud-config', 'hostname: wren'];
    for ($i = 1; $i <= $keys; $i++) {
        $lines[] = "unheard_{$i}: x";
    }
    foreach ($users as $at => $count) {
        $lines[] = ($at === 0 ? "users:\n" : '').'  - name: warden'.($at + 1);
        for ($i = 1; $i <= $count; $i++) {
            $lines[] = "    unheard_{$i}: x";
        }
    }
    $folder = new CardFolder(['user-data' => implode("\n", $lines)."\n"]);
    $found = (new UserDataRule())->lint($folder, new CardContext())->codes();
    expect(count(array_keys($found, 'card.unknown_key', true)))->toBe($named);
})->with([
    [1, [], 1],
    [20, [], 20],
    [21, [], 20],
    [19, [3], 22],
    [20, [1], 20],
    [0, [19], 19],
    [0, [25], 19],
    [0, [19, 2], 21],
    [0, [19, 2, 3], 21],
]);

test('what locks an account is what Python takes for true', function (mixed $locked, bool $is): void {
    $accounts = CloudAccounts::of([
        'users' => [['name' => 'warden', 'passwd' => 'x', 'lock_passwd' => $locked]],
    ]);
    expect(array_values($accounts)[0]->locked)->toBe($is);
})->with([
    [true, true],
    [false, false],
    [1, true],
    [0, false],
    [1.0, true],
    [0.0, false],
    ['', false],
    ['no', true],
    ['0', true],
    [[], false],
    [[0], true],
    [null, true],
]);

test('a password for an account without a name is for nobody', function (array $user): void {
    $accounts = CloudAccounts::of([
        'users' => [['name' => 'warden', 'lock_passwd' => false]],
        'chpasswd' => ['users' => [$user]],
    ]);
    expect([array_column($accounts, 'name'), array_values($accounts)[0]->passwords])->toBe([['warden'], []]);
})->with([
    [['password' => 'x']],
    [['name' => ['warden'], 'password' => 'x']],
    [['name' => 7, 'password' => 'x']],
]);

test('a password with colons is read whole', function (): void {
    $accounts = CloudAccounts::of([
        'users' => [['name' => 'warden', 'lock_passwd' => false]],
        'chpasswd' => ['list' => ['warden:a:b:c']],
    ]);
    expect(array_values($accounts)[0]->passwords[0]->value)->toBe('a:b:c');
});

test('a name is a slip of one on the air by how long that is', function (
    string $typed,
    string $known,
    string $code,
): void {
    expect(WifiCheck::ssid($typed, Place::field('ssid'), [$known])->codes())->toBe([$code]);
})->with([
    ['abd', 'abc', 'card.ssid_unknown'],
    ['abce', 'abcd', 'card.ssid_misspelt'],
    ['abef', 'abcd', 'card.ssid_unknown'],
    ['abcdefxy', 'abcdefgh', 'card.ssid_misspelt'],
    ['abcdexyz', 'abcdefgh', 'card.ssid_unknown'],
]);

test('images have no account of their own from 2022 on', function (int $year, string $code): void {
    $image = (new CatalogueReader())->image(['year' => $year] + entry('image', 'server-64'));
    expect(
        (new Linter())->lint(new CardFolder(['ssh' => '']), new CardContext(image: $image))->codes(),
    )->toBe([$code]);
})->with([[2021, 'card.default_account'], [2022, 'card.nobody_can_log_in']]);
