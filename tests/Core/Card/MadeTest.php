<?php

declare(strict_types=1);

use Burrow\Card\Write\CardOrder;
use Burrow\Card\Write\CardSet;
use Burrow\Card\Write\DeclarativeWriter;
use Burrow\Card\Write\FirstBoot;
use Burrow\Card\Write\StaticAddress;
use Burrow\Card\Write\UserDataMerge;
use Burrow\Card\Write\WifiNetwork;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Catalogue\Part\CardSchool;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Net\SshPublicKey;
use Symfony\Component\Yaml\Yaml;

// Cards as they are made, school by school: made/SCHOOL.txt has orders, and all files, sheets and findings that come of
// them. That the programs of a box take such files is held in tests/Outside.

const KEY_OF_A_CARD = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk';

function orderedCard(array $order): CardSet
{
    $static = $order['static'] ?? null;
    $settings = new FirstBoot(
        Hostname::parse($order['name'] ?? 'wren'),
        'thistledown.home.arpa',
        'wren-01',
        'warden',
        ($order['by'] ?? 'key') === 'key' ? SshPublicKey::tryParse(KEY_OF_A_CARD) : null,
        ($order['by'] ?? 'key') === 'key' ? null : '$6$thistle0$x',
        'Europe/London',
        'gb',
        $order['packages'] ?? [],
        array_map(
            fn (array $wifi): WifiNetwork => WifiNetwork::of(
                $wifi['ssid'],
                WifiSecurity::from($wifi['security'] ?? 'wpa2'),
                $wifi['passphrase'] ?? 'seeds in paper bags',
                $wifi['priority'] ?? 0,
                $wifi['hidden'] ?? false,
            ),
            $order['wifis'] ?? [],
        ),
        $order['country'] ?? null,
        $static === null
            ? null
            : new StaticAddress(
                Ipv4::parse($static['address']),
                Prefix::parse('172.22.8.0/24'),
                Ipv4::parse('172.22.8.1'),
                array_map(Ipv4::parse(...), $static['resolvers'] ?? []),
            ),
        $order['wired'] ?? true,
        $order['remote_login'] ?? true,
    );

    return CardSet::of(
        $settings,
        new CardOrder(
            catalogue('image')[$order['image']],
            array_map(CardSchool::from(...), $order['schools']),
            $order['containers'] ?? false,
            $order['sixty_four'] ?? false,
            $order['user_data'] ?? '',
            $order['kernel_line'] ?? '',
            $order['firmware'] ?? '',
            $order['marker'] ?? '',
        ),
    );
}

/** Files with the reasons of their lines, sheets with what is typed, and what is said of it all. */
function cardAsTold(CardSet $set): string
{
    $text = findingLines($set->findings);
    foreach ($set->files as $file) {
        $text .= "--- {$file->name}\n";
        foreach ($file->lines as $line) {
            $text .= $line->text.($line->reason === '' ? '' : "    <- {$line->reason}")."\n";
        }
    }
    foreach ($set->sheets as $name => $steps) {
        $text .= "--- to type: {$name}\n";
        foreach ($steps as $step) {
            $text .= json_encode((array) $step, CORPUS_JSON)."\n";
        }
    }

    return $text;
}

test('a card is what was ordered', function (
    string $file,
    string $school,
    string $order,
    string $before,
): void {
    $now = cardAsTold(orderedCard(json_decode($order, true, 16, JSON_THROW_ON_ERROR)));
    expect($now)->toBe(cameOf($file, $order, $before, $now));
})->with(sections('Card/made/*.txt'));

test('which way is recommended for an image', function (
    string $image,
    bool $byKey,
    CardSchool $school,
): void {
    expect(CardSet::recommended(catalogue('image')[$image], $byKey)[0])->toBe($school);
})->with([['server-64', true, CardSchool::Declarative], ['server-32-old', false, CardSchool::BootFiles]]);

test('who is there already keeps what is theirs, and others are left alone', function (): void {
    [$ours] = (new DeclarativeWriter())->write(
        new FirstBoot(
            Hostname::parse('wren'),
            'home.arpa',
            'wren-1',
            'warden',
            SshPublicKey::tryParse(KEY_OF_A_CARD),
            null,
            'Etc/UTC',
            'gb',
            [],
        ),
    );
    $theirs = "#cloud-config\nusers:\n  - name: desk\n    gecos: one\n  - name: warden\n    gecos: two\n";
    $users = Yaml::parse((string) UserDataMerge::of($theirs, $ours)?->file->text())['users'];
    expect(
        array_map(fn (array $one): array => [$one['name'], $one['gecos'], isset($one['shell'])], $users),
    )->toBe([['desk', 'one', false], ['warden', 'two', true]]);
});

test('the networks that a file cannot say are told at their fields', function (): void {
    $set = orderedCard([
        'image' => 'server-64',
        'schools' => ['declarative'],
        'wired' => false,
        'country' => 'GB',
        'wifis' => [['ssid' => 'Thistledown'], ['ssid' => 'Attic', 'security' => 'wpa3']],
    ]);
    $fields = array_map(
        fn ($one): ?string => $one->place?->field,
        array_filter($set->findings->list, fn ($one): bool => $one->code === 'card.wpa3_declarative'),
    );
    expect(array_values($fields))->toBe(['security_2']);
});
