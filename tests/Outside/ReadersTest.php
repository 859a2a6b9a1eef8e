<?php

declare(strict_types=1);

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Intake;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Net\SshPublicKey;

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
        ->all(SshPublicKey::class);
    // Hashing writes a line for each of the two names.
    expect(count($keys))
        ->toBe(2)
        ->and(run("ssh-keygen -l -f {$folder}/key.pub")['out'])
        ->toContain($keys[0]->fingerprint());
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
