<?php

declare(strict_types=1);

// The commands as somebody types them, with nothing running.

function burrowCommand(string $arguments, ?string $input = null, ?string $folder = null): array
{
    return run('env -u DB_SOCKET -u DB_PASSWORD -u APP_ENV -u APP_KEY '.escapeshellarg(getcwd().'/burrow')." {$arguments}", $input, $folder);
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
    expect($good['exit'])->toBe(0)->and($good['out'])->toContain('Fits, with 94 % memory to spare; the network is the limit at 118 MB/s.');
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
    expect(array_column($json, 'code'))->toContain('card.no_meta_data')->and(burrowCommand('lint /nonexistent')['exit'])->toBe(2);
});

test('what a tool printed becomes facts', function (): void {
    $result = burrowCommand('read leases -', "0 02:4b:1e:90:00:07 172.22.8.131 wren *\n");
    expect(json_decode($result['out'], true))
        ->toBe([
            'kind' => 'leases',
            'facts' => [['address' => '172.22.8.131', 'mac' => '02:4b:1e:90:00:07', 'name' => 'wren', 'expires' => null]],
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
