<?php

declare(strict_types=1);

use Burrow\Household\BoxReport;
use Burrow\Intake\Intake;
use Burrow\Upkeep\Report\ReportReader;
use Burrow\Upkeep\Report\ReportScript;
use Burrow\Upkeep\Report\ReportUnits;
use Tests\Support\SshServer;

// The report of this very machine, under each shell, against what other programs say of it.

function ownReport(string $shell): BoxReport
{
    $folder = scratch();
    file_put_contents("{$folder}/report", ReportScript::text());
    mkdir("{$folder}/.ssh", 0700);
    run(
        "ssh-keygen -q -t ed25519 -N '' -f {$folder}/key && cp {$folder}/key.pub {$folder}/.ssh/authorized_keys",
    );
    $said = run("HOME={$folder} {$shell} {$folder}/report");
    expect($said['exit'])->toBe(0)->and($said['err'])->toBe('');
    $read = (new ReportReader(Intake::standard()))->read($said['out']);
    expect($read)
        ->not->toBeNull()
        ->and($read->keys)
        ->toBe([explode(' ', run("ssh-keygen -lf {$folder}/key.pub")['out'])[1]]);

    return $read;
}

test('the script tells what this machine is, and needs nothing that is not there', function (
    string $shell,
): void {
    $read = ownReport($shell);
    $python = json_decode(
        run(
            'python3',
            <<<'PY'
            import json, os, time
            root = os.statvfs('/')
            release = dict(l.rstrip().split('=', 1) for l in open('/etc/os-release') if '=' in l)
            memory = {l.split(':')[0]: int(l.split()[1]) * 1024 for l in open('/proc/meminfo') if l.startswith('Mem')}
            print(json.dumps({
                'host': os.uname().nodename, 'now': int(time.time()), 'release': release['PRETTY_NAME'].strip('"'),
                'uptime': int(float(open('/proc/uptime').read().split()[0])), 'memory': memory['MemTotal'],
                'kernel': ' '.join([os.uname().sysname, os.uname().release, os.uname().machine]),
                'size': (root.f_blocks - root.f_bfree + root.f_bavail) * root.f_frsize,
                'users': [l.split(':')[0] for l in open('/etc/passwd')
                          if (l.split(':')[2] == '0' or 1000 <= int(l.split(':')[2]) < 60000)
                          and not l.rstrip().endswith(('nologin', 'false'))],
            }))
            PY
            ,
        )['out'],
        true,
    );
    $root = array_values(array_filter($read->fills, fn (array $one): bool => $one[0] === '/'))[0];
    expect($read->host)
        ->toBe($python['host'])
        ->and($read->release)
        ->toBe($python['release'])
        ->and($read->kernel)
        ->toBe($python['kernel'])
        ->and($read->memoryBytes)
        ->toBe($python['memory'])
        ->and($read->accounts)
        ->toBe($python['users'])
        ->and(abs($read->madeAt - $python['now']))
        ->toBeLessThan(60)
        ->and(abs($read->uptimeSeconds - $python['uptime']))
        ->toBeLessThan(60)
        ->and(abs($root[1] - $python['size']) / $python['size'])
        ->toBeLessThan(0.02);
})->with(['dash', 'bash', 'busybox sh']);

test('without a tool its part is empty and the rest is told', function (): void {
    $folder = scratch();
    file_put_contents("{$folder}/report", ReportScript::text());
    mkdir("{$folder}/bin");
    foreach (['date', 'uname', 'cat', 'cut', 'awk', 'grep', 'df'] as $tool) {
        symlink(trim(run("command -v {$tool}")['out']), "{$folder}/bin/{$tool}");
    }
    // The script looks in the places of the system, too; there they are hidden.
    $text = str_replace('PATH=$PATH:/usr/sbin:/sbin', 'PATH=$PATH', ReportScript::text());
    file_put_contents("{$folder}/report", $text);
    $said = run("env -i PATH={$folder}/bin /bin/sh {$folder}/report");
    $read = (new ReportReader(Intake::standard()))->read($said['out']);
    expect($said['exit'])
        ->toBe(0)
        ->and($read->release)
        ->not->toBeNull()
        ->and([
            $read->pending,
            $read->listening,
            $read->failed,
            $read->containers,
            $read->keys,
            $read->addresses,
        ])
        ->toBe([null, null, null, null, null, null]);
});

test('pending updates are those that the package manager itself would do', function (): void {
    $read = ownReport('sh');
    $simulated = run('LC_ALL=C apt-get -s -o Debug::NoLocking=1 dist-upgrade');
    preg_match_all('/^Inst (\S+) \[/m', $simulated['out'], $all);
    preg_match_all('/^Inst (\S+) \[[^]]*\] \([^)]*-Security/mi', $simulated['out'], $security);
    $known = array_values(array_intersect($read->pending, $all[1]));
    sort($known);
    sort($all[1]);
    // What is held back or would need something removed is listed, and not done.
    expect(count($known))->toBeGreaterThanOrEqual((int) floor(0.98 * count($all[1])));
    foreach (array_intersect($security[1], $read->pending) as $one) {
        expect($read->security)->toContain($one);
    }
});

test('the script and its units pass those who read them', function (): void {
    $folder = scratch();
    file_put_contents("{$folder}/report", ReportScript::text());
    file_put_contents(
        "{$folder}/burrow-report.service",
        str_replace(
            ReportUnits::SCRIPT,
            '/bin/true',
            ReportUnits::service('root', 'http://127.0.0.1:8738/report'),
        ),
    );
    file_put_contents("{$folder}/burrow-report.timer", ReportUnits::timer());
    expect(run("shellcheck {$folder}/report")['all'])
        ->toBe('')
        ->and(
            run("systemd-analyze verify {$folder}/burrow-report.service {$folder}/burrow-report.timer")[
                'all'
            ],
        )
        ->toBe('');
});

test('a real server of remote login gives the report to the key, and nothing else', function (): void {
    $folder = scratch();
    chmod($folder, 0755);
    file_put_contents("{$folder}/burrow-report", ReportScript::text());
    chmod("{$folder}/burrow-report", 0755);
    run("ssh-keygen -q -t ed25519 -N '' -f {$folder}/key");
    $server = new SshServer('127.0.0.1', $folder);
    $server->authorize(
        str_replace(
            ReportUnits::SCRIPT,
            "{$folder}/burrow-report",
            ReportUnits::authorizedKey((string) file_get_contents("{$folder}/key.pub")),
        ),
    );
    $who = trim(run('id -un')['out']);
    $ssh = "ssh -p {$server->port} -i {$folder}/key -o IdentitiesOnly=yes -o StrictHostKeyChecking=no -o UserKnownHostsFile=/dev/null -o LogLevel=ERROR {$who}@127.0.0.1";
    $asked = run("{$ssh} 'echo mine; id'");
    $read = (new ReportReader(Intake::standard()))->read($asked['out']);
    // Nothing is led through it to another port either.
    $beside = $server->port + 1;
    $led = run(
        "{$ssh} -N -L 127.0.0.1:{$beside}:127.0.0.1:{$server->port} & p=\$!; sleep 1; head -c 3 < /dev/tcp/127.0.0.1/{$beside}; kill \$p",
    );
    expect($read?->host)
        ->toBe(trim(run('uname -n')['out']))
        ->and($asked['out'])
        ->not->toContain('mine')
        ->and($led['out'])
        ->not->toContain('SSH');
});
