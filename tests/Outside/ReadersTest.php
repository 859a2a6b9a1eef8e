<?php

declare(strict_types=1);

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;
use Burrow\Intake\System\MachineFact;
use Burrow\Intake\Updates\PackageChange;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

// Real tools print, our readers read.

test('the disks of this very machine', function (): void {
    $printed = run(
        'lsblk --json --bytes --output NAME,SIZE,TYPE,FSTYPE,LABEL,UUID,MOUNTPOINTS,RO,RM,MODEL,SERIAL,TRAN',
    )['out'];
    $disks = Intake::standard()->read('lsblk', $printed)->all(BlockDevice::class);
    $plain = array_values(
        array_filter(
            explode("\n", trim(run('lsblk --nodeps --bytes --noheadings --raw --output NAME,SIZE')['out'])),
            fn (string $line) => ! preg_match('/^(loop|ram|zram|sr|dm-|md)/', $line),
        ),
    );
    expect(array_map(fn (BlockDevice $d) => "{$d->name} {$d->size->count}", $disks))->toBe($plain);
});

test('keys as ssh-keygen writes them', function (): void {
    $folder = scratch();
    run(
        "ssh-keygen -q -t ed25519 -N '' -f {$folder}/key && (printf 'larder,172.22.8.11 '; cat {$folder}/key.pub) > {$folder}/known_hosts && ssh-keygen -H -f {$folder}/known_hosts",
    );
    $keys = Intake::standard()
        ->read('hostkeys', (string) file_get_contents("{$folder}/known_hosts"))
        ->all(KeySeen::class);
    // Hashing writes a line for each of the two names.
    expect(count($keys))
        ->toBe(2)
        ->and(run("ssh-keygen -l -f {$folder}/key.pub")['out'])
        ->toContain($keys[0]->sha256)
        ->and([$keys[0]->isFor('larder'), $keys[0]->isFor('172.22.8.11'), $keys[1]->isFor('larder')])
        ->toBe([true, false, false])
        ->and($keys[1]->isFor('172.22.8.11'))
        ->toBeTrue();
});

test('apt\'s own simulation of an upgrade', function (): void {
    $reading = Intake::standard()->read('upgrade', run('LC_ALL=C apt-get --simulate upgrade')['out']);
    expect($reading->findings->codes())->toBe(['intake.upgraded']);
});

test('prefixes agree with Python\'s ipaddress', function (): void {
    mt_srand(1519);
    $cases = [];
    for ($i = 0; $i < 400; $i++) {
        $cases[] = long2ip(mt_rand(0, 0xFFFFFFFF)).'/'.mt_rand(0, 32);
    }
    $script = 'import ipaddress, json, sys
out = []
for line in sys.stdin.read().split():
    n = ipaddress.IPv4Network(line, strict=False)
    a = ipaddress.IPv4Address(line.split("/")[0])
    out.append([str(n), str(n.netmask), str(n.broadcast_address), n.num_addresses, any(a in ipaddress.IPv4Network(p) for p in ("10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16"))])
print(json.dumps(out))';
    $expected = json_decode(
        run('/usr/bin/python3 -c '.escapeshellarg($script), implode("\n", $cases))['out'],
        true,
    );
    foreach ($cases as $i => $case) {
        $prefix = Prefix::parse($expected[$i][0]);
        expect([
            (string) $prefix,
            (string) $prefix->netmask(),
            (string) $prefix->broadcast(),
            $prefix->size(),
            Ipv4::parse(explode('/', $case)[0])->isPrivate(),
        ])
            ->toBe($expected[$i])
            ->and($prefix->contains(Ipv4::parse(explode('/', $case)[0])))
            ->toBeTrue()
            ->and(Prefix::tryParse($case) !== null)
            ->toBe($case === $expected[$i][0]);
    }
});

test('this very machine, as its own tools and Python see it', function (): void {
    $read = fn (string $command): array => Intake::standard()
        ->read('machine', run($command)['out'])
        ->all(MachineFact::class)[0]
        ->jsonSerialize();
    $release = json_decode(
        run(
            'python3 -c "import platform,json; r=platform.freedesktop_os_release(); print(json.dumps([r[\'ID\'], r[\'VERSION_ID\'], r[\'VERSION_CODENAME\']]))"',
        )['out'],
    );
    $system = json_decode(
        run(
            'python3 -c "import os,platform,json; print(json.dumps([platform.machine(), 64 if os.sysconf(\'SC_LONG_BIT\')==64 else 32, os.cpu_count(), os.sysconf(\'SC_PAGE_SIZE\')*os.sysconf(\'SC_PHYS_PAGES\')]))"',
        )['out'],
    );
    expect(
        array_values(
            array_intersect_key($read('cat /etc/os-release'), ['id' => 1, 'version' => 1, 'codename' => 1]),
        ),
    )
        ->toBe($release)
        ->and($read('uname -a')['architecture'])
        ->toBe($system[0])
        ->and($read('LC_ALL=C lscpu')['cores'])
        ->toBe($system[2])
        ->and($read('LC_ALL=C lscpu --json')['architecture'])
        ->toBe($system[0])
        ->and($read('LC_ALL=C lscpu --json')['bits'])
        ->toBe($system[1]);
    foreach (['', ' --mebi', ' --bytes', ' --kibi', ' --human'] as $unit) {
        $memory = $read("LC_ALL=C free{$unit}");
        expect([$unit, abs($memory['memory_bytes'] / $system[3] - 1) < 0.05, $memory['available_bytes'] > 0])->toBe(
            [$unit, true, true],
        );
    }
    $since = (float) explode(' ', (string) file_get_contents('/proc/uptime'))[0];
    foreach (['uptime', 'uptime --pretty'] as $command) {
        $up = $read("LC_ALL=C {$command}")['uptime_seconds'];
        // It counts whole minutes.
        expect([$command, abs($up - $since) < 120])->toBe([$command, true]);
    }
    expect($read('LC_ALL=C uptime')['load1'])->toBeFloat();
});

test('what apt and dpkg say of packages, counted by other programs', function (): void {
    $text = run('LC_ALL=C apt-get --simulate install build-essential minidlna lightdm 2>/dev/null')['out'];
    $reading = Intake::standard()->read('updates', $text);
    $counted = json_decode(
        run(
            "python3 -c 'import sys,re,json; m=re.search(r\"(\\d+) upgraded, (\\d+) newly installed, (\\d+) to remove and (\\d+) not\", sys.stdin.read()); print(json.dumps([int(x) for x in m.groups()]))'",
            $text,
        )['out'],
    );
    expect(array_values($reading->totals))->toBe($counted);
    $new = array_filter(
        $reading->all(PackageChange::class),
        fn (PackageChange $one): bool => $one->change === 'new',
    );
    foreach ($new as $one) {
        expect([
            $one->package,
            trim(run("apt-cache policy {$one->package} | awk '/Candidate:/{print \$2}'")['out']),
        ])->toBe([$one->package, $one->to]);
        break;
    }
    $log = implode("\n", array_slice(explode("\n", (string) file_get_contents('/var/log/dpkg.log')), 0, 4000));
    $expected = (int) run('awk \'$3=="install"{n[$4]=1} END{print length(n)}\'', $log)['out'];
    $installed = array_filter(
        Intake::standard()->read('updates', $log)->all(PackageChange::class),
        fn (PackageChange $one): bool => $one->change === 'new',
    );
    expect(count($installed))->toBe($expected);
});
