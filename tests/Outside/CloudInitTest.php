<?php

declare(strict_types=1);

use Bench\Board\Accounts;
use Bench\Board\Settings;
use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\CloudAccount;
use Burrow\Card\Read\CloudAccounts;
use Burrow\Card\Read\CloudKeys;
use Burrow\Card\Read\CloudValues;
use Burrow\Card\Read\NetworkLink;
use Burrow\Card\Read\UserDataKind;
use Burrow\Text\Yaml11;
use Symfony\Component\Yaml\Yaml;

// The linter and the bench against the code of cloud-init itself (22.4, of Debian 12), unpacked for these tests.

const WARDENS_KEY = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk';

const A_HASH = '$6$thistle0$V1GFlyvieJVwawzS8L62UODeG8i4PT7wZgcNVBZvKNeOSuaZXaKR2w5ev/BPPMhq0JOsuRzUYVPP./4VTRIxZ.';

/**
 * @param  list<string>  $texts
 * @return list<mixed>
 */
function python(string $script, array $texts): array
{
    $home = getenv('CLOUD_INIT') ?: getcwd().'/var/tools/cloud-init';
    $run = run(
        "PYTHONPATH={$home}/usr/lib/python3/dist-packages /usr/bin/python3 {$script}",
        json_encode($texts, JSON_THROW_ON_ERROR),
    );

    return json_decode($run['out'], true, 512, JSON_THROW_ON_ERROR) ??
        throw new RuntimeException($run['err']);
}

/** @return list<string> every settings file of the corpus */
function settingsFiles(): array
{
    $texts = [];
    foreach (glob(dirname(__DIR__).'/Core/Card/cards/*/*.yaml') ?: [] as $card) {
        array_push(
            $texts,
            ...array_values(
                array_intersect_key(
                    Yaml::parseFile($card)['files'],
                    array_flip(['user-data', 'meta-data', 'network-config']),
                ),
            ),
        );
    }

    return array_values(array_unique($texts));
}

/** What a hurried hand does to a text, one to three times. */
function slip(string $text): string
{
    for ($slips = mt_rand(1, 3); $slips > 0; $slips--) {
        $lines = explode("\n", $text);
        $at = mt_rand(0, count($lines) - 1);
        $line = $lines[$at];
        $put = fn (array $from): string => $from[mt_rand(0, count($from) - 1)];
        $middle = mt_rand(0, strlen($line));
        $lines[$at] = match (mt_rand(0, 8)) {
            0 => ' '.$line,
            1 => substr($line, 1),
            2 => str_replace('"', '', $line),
            3 => (string) preg_replace(
                '/: .*/',
                ': '.
                    $put([
                        'yes',
                        'no',
                        'On',
                        'off',
                        '~',
                        '0123',
                        '"yes"',
                        '[yes, no]',
                        '{a: off}',
                        '|',
                        '>-',
                    ]),
                $line,
            ),
            4 => $line.' # aside',
            5 => str_replace(':', '', $line),
            6 => "\t".$line,
            7 => strtr($line, ['true' => 'yes', 'false' => 'no']),
            default => substr($line, 0, $middle).
                $put(['"', "'", '[', ']', '{', '}', ':', '#', '-', ' ', ',', '*', '|', '%', '@', "\t"]).
                substr($line, $middle),
        };
        $text = implode("\n", $lines);
    }

    return $text;
}

test(
    'what a settings file is called unreadable, the box\'s own reader refuses, and nearly the other way round',
    function (): void {
        mt_srand(802);
        $texts = [...settingsFiles(), "a: {x: }\n", "a: {x: , y: 1}\n", "a: [b, {c: }]\n"];
        for ($count = count($texts); $count < 4000; $count++) {
            $text = slip($texts[mt_rand(0, 99)]);
            mb_check_encoding($text, 'UTF-8') && ($texts[] = $text);
        }
        $readable = python(__DIR__.'/readers/safe_yaml.py', $texts);
        $missed = $refused = 0;
        $falsely = [];
        foreach ($texts as $i => $text) {
            $codes = CardDocument::read('user-data', $text)->findings->codes();
            $called = array_intersect($codes, ['card.yaml_tab', 'card.yaml_does_not_parse']) !== [];
            $refused += $readable[$i] === null ? 1 : 0;
            $missed += $readable[$i] === null && ! $called && $codes === [] ? 1 : 0;
            // A text that is no map of keys is as good as none.
            if ($called && is_array($readable[$i]) && ! array_is_list($readable[$i])) {
                $falsely[] = $text;
            }
        }
        // Anchors before a key are more than the parser below us takes.
        expect(array_filter($falsely, fn (string $text): bool => ! str_contains($text, '&')))
            ->toBe([])
            ->and($refused)
            ->toBeGreaterThan(1000)
            ->and($missed / $refused)
            ->toBeLessThan(0.02);
    },
);

test('yes, no, on and off mean what they mean on the box', function (): void {
    $texts = [];
    foreach (
        [
            'yes',
            'Yes',
            'YES',
            'no',
            'No',
            'on',
            'On',
            'OFF',
            'off',
            'true',
            'y',
            'n',
            'yEs',
            '"yes"',
            "'no'",
            'yes it is',
            'no # aside',
            'yes#aside',
        ] as $word
    ) {
        foreach (
            [
                "a: {$word}\n",
                "- {$word}\n",
                "a:\n  - b: {$word}\n",
                "a: [{$word}, x, {$word} ]\n",
                "a: {b: {$word}, \"c\": {$word}}\n",
                "a: |\n  {$word}\n  b: {$word}\n",
            ] as $text
        ) {
            (str_contains($text, '#') && preg_match('/[\[{]/', $text) === 1) || ($texts[] = $text);
        }
    }
    foreach (python(__DIR__.'/readers/safe_yaml.py', $texts) as $i => $read) {
        expect([$texts[$i], Yaml::parse(Yaml11::toYaml12($texts[$i]))])->toBe([$texts[$i], $read]);
    }
});

test('what user-data is, and which keys it knows', function (): void {
    $texts = [
        "#cloud-config\na: 1\n",
        " \n\n#Cloud-Config\na: 1\n",
        "#cloud-config # x\na: 1\n",
        "# cloud-config\na: 1\n",
        "\u{FEFF}#cloud-config\na: 1\n",
    ];
    $texts = [
        ...$texts,
        "#!/bin/sh\n",
        "#include\n",
        "#cloud-config-archive\n",
        "## template: jinja\n#cloud-config\n",
        "#cloud-boothook\n",
        "hello\n",
        '',
        "#cloud_config\n",
    ];
    foreach (python(__DIR__.'/readers/cloud_init.py', $texts) as $i => $answer) {
        expect([$texts[$i], UserDataKind::of($texts[$i]) === UserDataKind::Settings])
            ->toBe([$texts[$i], $answer['kind'] === 'text/cloud-config'])
            ->and([$texts[$i], UserDataKind::of($texts[$i]) === null])
            ->toBe([$texts[$i], $answer['kind'] === 'text/plain']);
    }
    $schema = json_decode(
        (string) file_get_contents(
            (getenv('CLOUD_INIT') ?: getcwd().'/var/tools/cloud-init').
                '/usr/lib/python3/dist-packages/cloudinit/config/schemas/schema-cloud-config-v1.json',
        ),
        true,
    );
    $keys = [];
    foreach ($schema['allOf'] as $part) {
        array_push($keys, ...array_keys($schema['$defs'][basename($part['$ref'])]['properties'] ?? []));
    }
    // A key of a maker's subscription is left out on purpose.
    expect(
        array_values(
            preg_grep('/_advantage$/', array_diff($keys, CloudKeys::top()->all()), PREG_GREP_INVERT),
        ),
    )
        ->toBe([])
        ->and(
            array_diff(
                array_keys($schema['$defs']['users_groups.user']['properties']),
                CloudKeys::ofAnAccount()->all(),
            ),
        )
        ->toBe([])
        ->and(count($keys))
        ->toBeGreaterThan(80);
});

/** A cloud-config that gives logins in one of the many ways there are. */
function someLogins(): array
{
    $one = fn (array $from): mixed => $from[mt_rand(0, count($from) - 1)];
    $account = function (string $name) use ($one): array {
        $user = ['name' => $name];
        mt_rand(0, 2) > 0 ||
            ($user[$one(['ssh_authorized_keys', 'ssh-authorized-keys'])] = $one([
                [WARDENS_KEY],
                WARDENS_KEY,
                [WARDENS_KEY, WARDENS_KEY],
                [],
            ]));
        mt_rand(0, 2) > 0 ||
            ($user[$one(['passwd', 'hashed_passwd', 'plain_text_passwd'])] = $one([A_HASH, '']));
        mt_rand(0, 1) > 0 || ($user[$one(['lock_passwd', 'lock-passwd'])] = $one([true, false]));

        return $user;
    };
    $data = ['hostname' => 'wren'];
    $users = $one([
        null,
        ['default'],
        [$account('warden')],
        ['default', $account('warden')],
        [$account('warden'), $account('desk')],
        ['warden, desk'],
        'warden,default',
    ]);
    $users === null || ($data['users'] = $users);
    mt_rand(0, 3) > 0 ||
        ($data['user'] = $one([
            'warden',
            ['name' => 'keeper', 'ssh_authorized_keys' => [WARDENS_KEY]],
            ['name' => 'keeper', 'passwd' => A_HASH, 'lock_passwd' => $one([true, false])],
        ]));
    mt_rand(0, 3) > 0 || ($data['ssh_authorized_keys'] = [WARDENS_KEY]);
    mt_rand(0, 3) > 0 || ($data['password'] = $one(['seed drawer open', A_HASH]));
    mt_rand(0, 3) > 0 ||
        ($data['chpasswd'] = $one([
            ['expire' => false],
            ['users' => [['name' => 'warden', 'password' => A_HASH]]],
            [
                'users' => [
                    ['name' => 'warden', 'password' => 'seed drawer', 'type' => 'text'],
                    ['name' => 'desk', 'type' => 'RANDOM'],
                ],
            ],
            ['list' => "warden:seed drawer\ndesk:RANDOM\n"],
            ['list' => ['warden:'.A_HASH]],
        ]));

    return $data;
}

/**
 * @param  array{accounts: array<string, array{keys: list<string>, password: bool, locked: bool}>}  $answer
 * @return list<string>
 */
function whoGetsIn(array $answer): array
{
    $in = array_filter(
        $answer['accounts'],
        fn (array $account): bool => $account['keys'] !== [] || ($account['password'] && ! $account['locked']),
    );
    $names = array_map(strval(...), array_keys($in));
    sort($names);

    return $names;
}

test('who can log in is who can log in on the box', function (): void {
    mt_srand(22);
    $configs = array_map(fn (): array => someLogins(), range(1, 500));
    $texts = array_map(fn (array $data): string => "#cloud-config\n".Yaml::dump($data, 8), $configs);
    $agreed = [];
    foreach (python(__DIR__.'/readers/cloud_init.py', $texts) as $i => $answer) {
        $really = whoGetsIn($answer);
        $tool = array_filter(
            CloudAccounts::of($configs[$i]),
            fn (CloudAccount $account): bool => array_filter(
                $account->keys,
                fn (array $key): bool => $key[0] !== '',
            ) !== [] || $account->hasPassword(),
        );
        expect([$texts[$i], $really !== []])->toBe([$texts[$i], $tool !== []]);
        $names = array_map(fn (CloudAccount $account): string => $account->name ?: 'standard', $tool);
        sort($names);
        expect([$texts[$i], $names])->toBe([$texts[$i], $really]);
        $bench = (new Accounts(Settings::read($texts[$i]) ?? []))->first();
        expect([$texts[$i], $bench === null])->toBe([$texts[$i], $really === []]);
        $agreed[(string) json_encode($really)] = true;
    }
    // All of them, nobody and everybody, did come up.
    expect(count($agreed))->toBeGreaterThan(6);
});

test('the links of network-config, and which get an address, in either version', function (): void {
    $texts = [
        "version: 2\nethernets:\n  eth0: {dhcp4: yes}\n  eth1: {dhcp4: no}\n",
        "version: 2\nethernets:\n  eth0: {addresses: [172.22.8.20/24], gateway4: 172.22.8.1}\nvlans:\n  eth0.7: {id: 7, link: eth0, dhcp4: on}\n",
        "network:\n  version: 2\n  ethernets:\n    eth0: {dhcp4: false}\n  bridges:\n    br0: {interfaces: [eth0], dhcp6: true}\n",
        "version: 2\nethernets:\n  eth0: {}\n  eth1: {}\nbonds:\n  bond0: {interfaces: [eth0, eth1], addresses: [172.22.8.21/24]}\n",
        "version: 1\nconfig:\n  - type: physical\n    name: eth0\n    subnets: [{type: dhcp}]\n  - {type: physical, name: eth1}\n",
        "version: 1\nconfig:\n  - type: physical\n    name: eth0\n    subnets:\n      - {type: static, address: 172.22.8.20, netmask: 255.255.255.0, gateway: 172.22.8.1}\n  - {type: nameserver, address: 172.22.8.1}\n",
        "version: 1\nconfig:\n  - {type: physical, name: eth0}\n  - type: vlan\n    name: eth0.7\n    vlan_link: eth0\n    vlan_id: 7\n    subnets: [{type: dhcp6}]\n",
        "network:\n  version: 1\n  config:\n    - {type: physical, name: eth0, subnets: [{type: manual}]}\n    - type: bridge\n      name: br0\n      bridge_interfaces: [eth0]\n      subnets: [{type: static, address: 172.22.8.20/24}]\n",
    ];
    foreach (python(__DIR__.'/readers/network_state.py', $texts) as $i => $really) {
        $data = CardDocument::read('network-config', $texts[$i])->data;
        $data = $data['network'] ?? $data;
        $links =
            $data['version'] === 1 ? NetworkLink::ofVersion1($data, []) : NetworkLink::ofVersion2($data, []);
        $ours = array_combine(
            array_column($links, 'name'),
            array_map(fn (NetworkLink $link): bool => $link->getsAddress(), $links),
        );
        ksort($ours);
        ksort($really);
        expect([$texts[$i], $ours])->toBe([$texts[$i], $really]);
    }
});

test(
    'a value that is called wrong is wrong to the schema, and commands called so are not run',
    function (): void {
        $values = [
            'one: two',
            'one',
            '7',
            'yes',
            '[one]',
            '[[one, two]]',
            '[one, {two: three}]',
            '[{path: /etc/one}]',
            '[{content: one}]',
            '{one: two}',
            '[]',
            '[[one], 7]',
            '"*/5 * * * *"',
        ];
        $texts = [];
        foreach (CloudKeys::top()->all() as $key) {
            foreach (array_slice($values, 1) as $value) {
                $texts[] = "{$key}: {$value}\n";
            }
        }
        $texts[] = "runcmd:\n  - echo one\n  - echo \"two\": three\n";
        $answers = python('tests/Outside/readers/cloud_values.py', $texts);
        $called = 0;
        foreach ($texts as $at => $text) {
            $data = Yaml::parse(Yaml11::toYaml12($text));
            $faults = array_map(
                fn (array $fault): string => (string) $fault[0][0],
                CloudValues::faults($data),
            );
            foreach ($faults as $key) {
                $called++;
                expect(in_array($key, $answers[$at]['schema'], true))->toBeTrue(
                    "{$text} is fine to the schema",
                );
            }
            if (
                preg_match('/^(runcmd|bootcmd):/', $text) === 1 &&
                $data[substr($text, 0, 6) === 'runcmd' ? 'runcmd' : 'bootcmd'] !== []
            ) {
                expect($faults === [])->toBe($answers[$at]['commands'], $text);
            }
        }
        expect($called)->toBeGreaterThan(80);
    },
);

test('what is on record of settings and of logins the box\'s own readers say today', function (): void {
    $settings = told('settings');
    $logins = told('logins');
    expect(python(__DIR__.'/readers/safe_yaml.py', array_column($settings, 'text')))
        ->toEqual(array_column($settings, 'read'))
        ->and(array_map(whoGetsIn(...), python(__DIR__.'/readers/cloud_init.py', array_column($logins, 'text'))))
        ->toBe(array_column($logins, 'in'));
});
