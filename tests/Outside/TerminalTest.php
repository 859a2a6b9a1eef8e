<?php

declare(strict_types=1);

// The commands as somebody types them, with nothing running.

function burrowCommand(string $arguments, ?string $input = null, ?string $folder = null): array
{
    return run(
        'env -u DB_SOCKET -u DB_PASSWORD -u APP_ENV -u APP_KEY '.
            escapeshellarg(getcwd().'/burrow').
            " {$arguments}",
        $input,
        $folder,
    );
}

test('a plan that fits, and one that does not', function (): void {
    $folder = scratch();
    file_put_contents(
        "{$folder}/good.yaml",
        "jobs: [file-store]\nboard: flint\nsupply: supply-3a\ncable: usual-1m\ndisk: ssd-500\nlink: wired\nimage: server-64\ncard: card-32-a1\ncase: vented\n",
    );
    file_put_contents(
        "{$folder}/weak.yaml",
        "jobs: [file-store]\nboard: flint\nsupply: charger-1a\ncable: usual-1m\ndisk: ssd-500\nlink: wired\nimage: server-64\ncard: card-32-a1\ncase: vented\n",
    );
    file_put_contents(
        "{$folder}/odd.yaml",
        "jobs: [file-store]\nboard: marble\nsupply: supply-3a\ncable: usual-1m\nlink: wired\nimage: server-64\ncard: card-32-a1\ncase: vented\n",
    );
    $good = burrowCommand('plan good.yaml', folder: $folder);
    expect($good['exit'])
        ->toBe(0)
        ->and($good['out'])
        ->toContain('Fits, with 94 % memory to spare; the network is the limit at 118 MB/s.');
    $weak = burrowCommand('plan weak.yaml --json', folder: $folder);
    expect($weak['exit'])
        ->toBe(1)
        ->and(json_decode($weak['out'], true)['fits'])
        ->toBeFalse()
        ->and(json_decode($weak['out'], true)['workings'][2]['code'])
        ->toBe('plan.voltage_at_board');
    $odd = burrowCommand('plan odd.yaml', folder: $folder);
    expect($odd['exit'])
        ->toBe(1)
        ->and($odd['out'])
        ->toContain('stop plan.unknown_part odd.yaml:2 There is no board “marble”')
        ->toContain('Known: pebble, marl');
    expect(burrowCommand('plan nothing.yaml', folder: $folder)['exit'])->toBe(2);
});

test('a card folder is looked over', function (): void {
    $folder = scratch();
    file_put_contents("{$folder}/user-data", "hostname: wren.local\n");
    file_put_contents("{$folder}/ssh.txt", '');
    $result = burrowCommand("lint {$folder}");
    expect($result['exit'])
        ->toBe(1)
        ->and($result['out'])
        ->toMatch('/^stop card\.no_cloud_config_line user-data:1:1 /m')
        ->toMatch('/^stop card\.marker_extension ssh\.txt /m');
    $json = json_decode(burrowCommand("lint {$folder} --json")['out'], true);
    expect(array_column($json, 'code'))
        ->toContain('card.no_meta_data')
        ->and(burrowCommand('lint /nonexistent')['exit'])
        ->toBe(2);
});

test('what a tool printed becomes facts', function (): void {
    $result = burrowCommand('read leases -', "0 02:4b:1e:90:00:07 172.22.8.131 wren *\n");
    expect(json_decode($result['out'], true))
        ->toBe([
            'kind' => 'leases',
            'facts' => [
                [
                    'address' => '172.22.8.131',
                    'mac' => '02:4b:1e:90:00:07',
                    'name' => 'wren',
                    'expires' => null,
                    'state' => 'active',
                    'client_id' => null,
                ],
            ],
            'totals' => [],
            'findings' => [],
        ])
        ->and(burrowCommand('read tea -', '')['exit'])
        ->toBe(2)
        ->and(burrowCommand('read tea -', '')['all'])
        ->toContain('lsblk --json --bytes')
        ->and(burrowCommand('read lsblk -', 'x')['exit'])
        ->toBe(1);
});

test('an unknown command says where to look', function (): void {
    expect(burrowCommand('tea')['exit'])
        ->toBe(1)
        ->and(burrowCommand('tea')['err'])
        ->toContain('./burrow alone lists them')
        ->and(burrowCommand('')['out'])
        ->toContain('bench:speed');
});

test('a plan answers a program with numbers, ways out, and also when it refuses', function (): void {
    $folder = scratch();
    $plan =
        "jobs: [file-store]\nboard: flint\nsupply: charger-1a\ncable: usual-1m\ndisk: ssd-500\nlink: wired\nimage: server-64\ncard: card-32-a1\ncase: vented\n";
    file_put_contents("{$folder}/weak.yaml", $plan);
    $answer = json_decode(burrowCommand('plan weak.yaml --json', folder: $folder)['out'], true);
    foreach (
        [
            'voltage_at_board_volts',
            'peak_amps',
            'memory_spare_percent',
            'copy_rate_mbyte_s',
            'copy_time_s',
            'board_celsius',
            'card_years',
            'drive_years',
            'running_cost_year',
            'parts_price',
            'install_hands_s',
            'install_wait_s',
        ] as $name
    ) {
        expect([$name, is_int($answer['figures'][$name]) || is_float($answer['figures'][$name])])->toBe([
            $name,
            true,
        ]);
    }
    expect($answer['figures']['copy_limit'])
        ->toBeString()
        ->and(array_keys($answer['findings'][0]))
        ->toBe(['severity', 'code', 'found', 'why', 'do', 'file', 'line', 'column', 'field'])
        ->and($answer['ways_out'])
        ->not->toBe([])
        ->and(array_keys($answer['ways_out'][0]))
        ->toBe(['changes', 'price', 'leaves'])
        // 118.7 MB/s without, 117.7 with time stamps (IEEE 802.3, RFC 7323).
        ->and($answer['figures']['copy_rate_mbyte_s'])
        ->toBeLessThanOrEqual(117.7);
    file_put_contents(
        "{$folder}/odd.yaml",
        str_replace('board: flint', 'board: marble', $plan).
            "schools: {dns-filter: package}\nroom_celsius: .inf\n",
    );
    $refused = burrowCommand('plan odd.yaml --json', folder: $folder);
    expect($refused['exit'])
        ->toBe(1)
        ->and(array_column(json_decode($refused['out'], true)['findings'], 'code'))
        ->toBe(['yaml.number']);
    file_put_contents("{$folder}/school.yaml", $plan."schools: {dns-filter: package}\n");
    expect(
        array_column(
            json_decode(burrowCommand('plan school.yaml --json', folder: $folder)['out'], true)['findings'],
            'code',
        ),
    )->toBe(['plan.school_without_job']);
    file_put_contents(
        "{$folder}/typo.yaml",
        str_replace('image: server-64', 'immage: server-64', $plan)."link: wired\n",
    );
    expect(burrowCommand('plan typo.yaml', folder: $folder)['out'])->toContain('typo.yaml:10', 'Duplicate key');
    file_put_contents("{$folder}/typo.yaml", str_replace('image: server-64', 'immage: server-64', $plan));
    expect(burrowCommand('plan typo.yaml', folder: $folder)['out'])->toContain(
        'typo.yaml:7',
        'perhaps “image” was meant',
    );
});

test('a diagnosis answers people and programs, and names by line what it does not know', function (): void {
    $case = "job: dns-filter\nlink: wired\nseen:\n  complaint: silent-old\n  reach: silent\n  link-lights: dark\n";
    $told = json_decode(burrowCommand('diagnose - --json', $case)['out'], true);
    expect($told['causes'][0]['id'])
        ->toBe('cable-out')
        ->and($told['causes'][0]['probability'])
        ->toBeFloat()
        ->and($told['next']['id'] ?? $told['told'])
        ->toBeString()
        ->and(burrowCommand('diagnose -', $case)['out'])
        ->toContain('%  Network cable out or broken');
    $next = json_decode(burrowCommand('diagnose - --json', '{"seen": {"complaint": "silent-old"}}')['out'], true)[
        'next'
    ];
    expect($next['minutes'])
        ->toBeGreaterThan(0)
        ->and($next['because'])
        ->toStartWith('It tells')
        ->and($next['answers'])
        ->not->toBe([]);

    $odd = burrowCommand('diagnose - --json', "seen:\n  complaint: silent-old\n  reach: slient\n");
    $finding = json_decode($odd['out'], true)['findings'][0];
    expect($odd['exit'])
        ->toBe(1)
        ->and([$finding['code'], $finding['line']])
        ->toBe(['diagnosis.unknown_word', 3])
        ->and($finding['found'])
        ->toContain('“silent” resembles it');

    $list = json_decode(burrowCommand('diagnose --list --json')['out'], true);
    expect(count($list['causes']))
        ->toBeGreaterThan(60)
        ->and(count($list['observations']))
        ->toBeGreaterThan(50)
        ->and($list['observations'][0]['answers'][0])
        ->toHaveKeys(['id', 'label']);

    $play = json_decode(burrowCommand('diagnose --play wrong-user,no-mdns --seed 3 --json')['out'], true);
    expect(array_column($play['checks'], 'minutes'))
        ->each->toBeNumeric()
        ->and(array_slice(array_column($play['causes'], 'id'), 0, 3))
        ->toContain('wrong-user');
    foreach (
        ['diagnose', 'diagnose --play tea', 'diagnose --play no-power --seed x', 'diagnose /nonexistent'] as $wrong
    ) {
        $result = burrowCommand($wrong);
        expect($result['exit'])->toBe(2)->and(substr_count(trim($result['err']), "\n"))->toBeLessThan(3);
    }
});
