<?php

declare(strict_types=1);

use Burrow\Card\AllClear;
use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;

// What is said of a card that nothing speaks against: only what was looked at.

/** @param  array<string, string>  $files */
function allClear(array $files, ?CardContext $known = null): array
{
    return AllClear::words(new CardFolder($files), $known ?? new CardContext());
}

test('files that nobody reads are not called looked at', function (): void {
    expect(allClear(['notes.txt' => 'x']))->toBe([
        'No file that the first start looks for is here.',
        'No file here makes an account: whether somebody can log in is up to the image, and was not looked at.',
        'No file here switches remote login on: whether it is on is up to the image, and was not looked at.',
        'No file here sets up the network: the image asks the router for an address, if it does so by itself.',
        'Nothing was compared with an image or a network: none was named.',
    ]);
});

test('the older files', function (): void {
    expect(
        allClear([
            'ssh' => '',
            'userconf.txt' => 'warden:$6$x',
            'wpa_supplicant.conf' => "country=GB\n",
            'notes.txt' => 'x',
        ]),
    )->toBe([
        'Looked at: ssh, userconf.txt, wpa_supplicant.conf.',
        'The account of userconf.txt can log in.',
        'Remote login is switched on.',
        'wpa_supplicant.conf names a wireless network; whether it is in reach was not looked at.',
        'Nothing was compared with an image or a network: none was named.',
    ]);
});

test('who can log in by user-data', function (string $user, bool $can): void {
    $words = allClear(['user-data' => "#cloud-config\n{$user}", 'network-config' => "version: 2\n"]);
    expect($words[1] === 'An account of user-data can log in.')
        ->toBe($can)
        ->and($words[3])
        ->toBe('network-config sets up a link that gets an address.');
})->with([
    'by key' => ["users:\n  - {name: warden, ssh_authorized_keys: [ssh-ed25519 AAAA]}\n", true],
    'by keys from elsewhere' => ["users:\n  - {name: warden, ssh_import_id: ['lp:warden']}\n", true],
    'by password' => ["users:\n  - {name: warden, passwd: \$6\$x\$y, lock_passwd: false}\n", true],
    'by none of these' => ["users:\n  - {name: warden}\n", false],
]);

test('what switches remote login on', function (string $user, bool $on): void {
    expect(allClear(['user-data' => "#cloud-config\n{$user}"])[2] === 'Remote login is switched on.')->toBe($on);
})->with([
    'a command' => ["runcmd:\n  - [systemctl, enable, --now, ssh]\n", true],
    'an early command' => ["bootcmd:\n  - systemctl start sshd\n", true],
    'its package' => ["packages: [samba, openssh-server]\n", true],
    'its package alone, as a word' => ["packages: openssh-server\n", true],
    'another package' => ["packages: [openssh-client]\n", false],
    'another command' => ["runcmd:\n  - [sshfs, larder]\n", false],
    'nothing' => ["hostname: wren\n", false],
]);

test('what it was compared with', function (): void {
    $image = catalogue('image')[array_key_first(catalogue('image'))];
    $network = new LocalNetwork(
        Prefix::parse('172.22.8.0/24'),
        Ipv4::parse('172.22.8.1'),
        AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199')),
        'thistledown.home.arpa',
    );
    expect(allClear(['ssh' => ''], new CardContext($image))[4])
        ->toBe('Compared with what the image understands.')
        ->and(allClear(['ssh' => ''], new CardContext(null, $network))[4])
        ->toBe('Compared with the network and the other boxes.')
        ->and(allClear(['ssh' => ''], new CardContext($image, $network))[4])
        ->toBe('Compared with what the image understands and the network and the other boxes.');
});
