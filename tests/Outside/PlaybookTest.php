<?php

declare(strict_types=1);

use Burrow\Plan\Time\InstallTime;
use Symfony\Component\Yaml\Yaml;

// The playbooks at the terminal's door.

const LARDER = "host: larder\nuser: warden\naddress: 172.22.8.10\nrouter: 172.22.8.1\nprefix: 172.22.8.0/24\ndomain: thistledown.home.arpa\nzone: Europe/London\n";

function playbookOf(string $call, string $box = LARDER): array
{
    $file = scratch().'/box.yaml';
    file_put_contents($file, $box);

    return run("./burrow playbook {$call} --box {$file}");
}

test('a script stops at the first failure, asks for what is done by hand, and passes shellcheck', function (
    string $id,
): void {
    [$job, $school] = explode('.', $id);
    $said = playbookOf("{$job} --school {$school} --script");
    expect($said['exit'])->toBe(0)->and($said['out'])->toStartWith("#!/bin/bash\n")->toContain('set -euo pipefail');
    $checked = run('shellcheck --severity=style -', $said['out']);
    expect([$id, $checked['exit'] === 0 ? '' : $checked['all']])->toBe([$id, '']);
})->with(array_keys(entryFiles('playbook')));

test('a script really stops where a command fails', function (): void {
    $script = playbookOf('radio-receiver --school package --script')['out'];
    // Every program is there and says yes, but for one; prompts are answered.
    $folder = scratch();
    foreach (['sudo', 'dpkg', 'free', 'timedatectl', 'lsusb'] as $program) {
        file_put_contents(
            "{$folder}/{$program}",
            "#!/bin/sh\necho \"\$0 \$*\" >>{$folder}/log\ncase \"\$*\" in *'install rtl-sdr'*) exit 100 ;; esac\n",
        );
        chmod("{$folder}/{$program}", 0755);
    }
    $said = run("PATH={$folder}:\$PATH bash", str_replace(['read -r -p', '</dev/tty'], [': ', ''], $script));
    $log = (string) file_get_contents("{$folder}/log");
    expect($said['exit'])
        ->toBe(100)
        ->and($log)
        ->toContain('install usbutils')
        ->toContain('install rtl-sdr')
        ->not->toContain('usermod');
});

test('the paper has a box for every step, and its marks do not break', function (): void {
    $json = json_decode(playbookOf('filter-and-tunnel --json')['out'], true);
    $paper = playbookOf('filter-and-tunnel --markdown')['out'];
    expect(preg_match_all('/^- \[ \] \*\*\d+\. /m', $paper))
        ->toBe(count($json['steps']))
        // Every fence that is opened is shut.
        ->and(preg_match_all('/^  ```/m', $paper) % 2)
        ->toBe(0);
});

test('steps answer a program in the shape that the door promises', function (): void {
    $said = playbookOf('dns-filter,audio-player --json');
    $json = json_decode($said['out'], true);
    expect($said['exit'])
        ->toBe(0)
        ->and($json['jobs'])
        ->toBe(['dns-filter', 'audio-player'])
        ->and($json['schools'])
        ->toBe(['package', 'appliance']);
    $ids = array_column($json['steps'], 'id');
    expect($ids)->toBe(array_values(array_unique($ids)))->toContain('filter-names')->toContain('output-chosen');
    $keys = [
        'id',
        'kind',
        'where',
        'title',
        'text',
        'command',
        'expect',
        'hands_s',
        'wait_s',
        'needs',
        'reads',
        'probe',
    ];
    foreach ($json['steps'] as $step) {
        expect(array_diff([...$keys, 'caution', 'releases', 'repeatable'], array_keys($step)))
            ->toBe([])
            ->and($step['where'])
            ->toBeIn(['hand', 'desk', 'box', 'router', 'page'])
            ->and(is_numeric($step['hands_s']))
            ->toBeTrue()
            ->and($step['wait_s'] === null || $step['wait_s'][0] <= $step['wait_s'][1])
            ->toBeTrue();
    }
});

test('a wrong call says what would be right, and never a trace', function (
    string $call,
    string $box,
    int $exit,
    string $says,
): void {
    $said = playbookOf($call, $box);
    expect([$said['exit'], str_contains($said['all'], $says), str_contains($said['all'], '#0 ')])->toBe([
        $exit,
        true,
        false,
    ]);
})->with([
    ['tea', LARDER, 2, 'There is no job “tea”'],
    ['dns-filter --school tea', LARDER, 2, 'It has package, container'],
    ['dns-filter', "hots: larder\n", 1, 'hots'],
    ['dns-filter', "host: [\n", 1, 'box.yaml'],
    ['dns-filter', "page_ports: {dns-filter: 70000}\n", 1, 'page_ports'],
]);

test('what a plan says of hands and waiting is what the steps add up to', function (string $id): void {
    [$job, $school] = explode('.', $id);
    $steps = json_decode(playbookOf("{$job} --school {$school} --json")['out'], true)['steps'];
    $minutes = fn (array $seconds): float => array_sum($seconds) / 60;
    $hands = $minutes(array_column($steps, 'hands_s'));
    $waits = array_filter(array_column($steps, 'wait_s'));
    $said = array_column(Yaml::parseFile(entryFiles('job')[$job])['schools'], null, 'id')[$school];

    expect(abs($said['hands_min'] - $hands))
        ->toBeLessThanOrEqual(max(5, 0.15 * $hands), "{$id}: {$said['hands_min']} for {$hands}")
        ->and($said['wait_min'])
        ->toBeGreaterThanOrEqual(floor($minutes(array_column($waits, 0))))
        ->toBeLessThanOrEqual(ceil($minutes(array_column($waits, 1))));
})->with(array_keys(entryFiles('playbook')));

test('two jobs on one box take together what their common playbook adds up to', function (string $jobs): void {
    $steps = json_decode(playbookOf("{$jobs} --json")['out'], true)['steps'];
    $hands = array_sum(array_column($steps, 'hands_s'));
    $said = InstallTime::of(plan(job: str_replace(',', ' ', $jobs)))->hands()->seconds;
    expect(abs($said - $hands))->toBeLessThanOrEqual(max(300, 0.2 * $hands), "{$jobs}: {$said} for {$hands}");
})->with([
    'dns-filter,tunnel-endpoint',
    'file-store,dns-filter',
    'media-library,dns-filter',
    'audio-player,dns-filter',
    'file-store,audio-player,dns-filter',
]);
