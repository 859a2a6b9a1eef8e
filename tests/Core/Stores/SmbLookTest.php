<?php

declare(strict_types=1);

use Burrow\Stores\Rights\Folder;
use Burrow\Stores\Rights\Share;
use Burrow\Stores\Rights\SmbLook;

// What is odd in a smb.conf (smb.conf(5)): settings said twice, guests, names of shares that are names of accounts.

test('what speaks against a file of shares', function (string $conf, array $codes): void {
    expect(SmbLook::over($conf, ['warden'])->codes())->toBe($codes);
})->with([
    'nothing' => ["[store]\npath = /srv\nvalid users = warden\n", []],
    'said twice alike' => ["[store]\npath = /srv\nread only = yes\nread only = YES\n", ['stores.said_twice']],
    'said twice, by another word' => [
        "[store]\npath = /srv\nread only = yes\nwritable = no\n",
        ['stores.said_twice'],
    ],
    'said twice, otherwise' => [
        "[store]\npath = /srv\nread only = yes\nwriteable = yes\n",
        ['stores.contradicts'],
    ],
    'in two sections' => ["[a]\npath = /a\nread only = yes\n[b]\npath = /b\nread only = no\n", []],
    'guests and names' => [
        "[store]\npath = /srv\nguest ok = yes\nvalid users = warden\n",
        ['stores.guests_and_names'],
    ],
    'guests may write' => ["[store]\npath = /srv\nguest ok = yes\nread only = no\n", ['stores.guests_write']],
    'guests may read' => ["[store]\npath = /srv\npublic = yes\n", []],
    'named like an account, beside homes' => ["[homes]\n[Warden]\npath = /srv\n", ['stores.like_an_account']],
    'named like an account, without homes' => ["[Warden]\npath = /srv\n", []],
    'named like nobody' => ["[homes]\n[store]\npath = /srv\n", []],
]);

test('a share says what its words mean', function (): void {
    [$store] = Share::all(
        <<<'CONF'
        [global]
           guest ok = yes
           force group = +seeds
        [printers]
           path = /var/spool
        [nowhere]
           comment = no path
        [Store]
           directory = "/srv/seed scans/"
           writable = on
           public = 0
           valid users = warden, "reading room" @seeds %S
        CONF
        ,
    );
    expect([$store->name, $store->path(), $store->is('readonly', true), $store->is('guestok', true)])
        ->toBe(['Store', '/srv/seed scans', false, false])
        ->and($store->is('guestonly', true))
        ->toBeTrue()
        ->and($store->text('forcegroup'))
        ->toBe('+seeds')
        ->and($store->list('validusers'))
        ->toBe(['warden', 'reading room', '@seeds', '%S'])
        ->and($store->names('validusers', 'WARDEN', []))
        ->toBeTrue()
        ->and($store->names('validusers', 'store', []))
        ->toBeTrue()
        ->and($store->names('validusers', 'kiosk', ['seeds']))
        ->toBeTrue()
        ->and($store->names('validusers', 'seeds', []))
        ->toBeFalse()
        ->and($store->names('validusers', 'kiosk', ['others']))
        ->toBeFalse()
        ->and(Share::all("[root]\npath = /\n")[0]->path())
        ->toBe('/');
});

test('what the letters of a folder let people do', function (
    string $mode,
    string $user,
    array $groups,
    array $lets,
): void {
    $folder = Folder::all("{$mode} warden seeds /srv/seed scans\n")['/srv/seed scans'];
    $told = $folder->lets($user, $groups);
    expect([$told['reads'], $told['writes'], $told['as']])->toBe($lets);
})->with([
    'the owner' => ['drwx------', 'warden', [], [true, true, 'owner']],
    'the owner, whom the group would let' => ['d---rwxrwx', 'warden', ['seeds'], [false, false, 'owner']],
    'the group' => ['drwxr-x---', 'desk', ['seeds'], [true, false, 'group']],
    'the group, whom others would let' => ['drwx---rwx', 'desk', ['seeds'], [false, false, 'group']],
    'others' => ['drwxrwxr-x', 'desk', ['desk'], [true, false, 'others']],
    'to write without the right to enter' => ['drwxrwx-w-', 'desk', [], [false, false, 'others']],
    'to read without the right to enter' => ['drwxrwxr--', 'desk', [], [false, false, 'others']],
    'to enter and write without reading' => ['drwxrwx-wx', 'desk', [], [false, true, 'others']],
    'with the marks of groups and of owners' => ['drwxrws--T', 'desk', ['seeds'], [true, true, 'group']],
    'marked without the right' => ['drwxrwS--t', 'desk', ['seeds'], [false, false, 'group']],
]);
