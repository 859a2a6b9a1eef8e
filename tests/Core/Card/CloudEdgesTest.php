<?php

declare(strict_types=1);

use Burrow\Card\Read\CloudAccounts;
use Burrow\Card\Read\CloudValues;

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
