<?php

declare(strict_types=1);

use App\Probe\GreetingProbe;
use App\Probe\NameProbe;
use App\Probe\Target;
use Burrow\BringUp\Seen\Greeting;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Filter\DnsmasqList;
use Burrow\Filter\DnsmasqSettings;
use Burrow\Net\Protocol;
use Burrow\Stores\SmbShare;
use Symfony\Component\Yaml\Yaml;

// Every command and file of every playbook that is typed on a plain system, tried in a Debian 12 userland.

/** What needs a whole machine, a network or a device: there it is only looked whether the program is there. */
const STUBS = <<<'BASH'
there() { type -P "$1" >/dev/null || { echo "no program $1"; exit 127; }; }
lsblk() { there lsblk; }
findmnt() { there findmnt; }
ping() { there ping; }
lsusb() { there lsusb; }
aplay() { there aplay; }
rtl_test() { there rtl_test; }
podman() { there podman; }
timedatectl() { there timedatectl; }
speaker-test() { there speaker-test; }
exit() { :; }
git() { there git; }
systemctl() {
    case "$1" in is-active) there systemctl ;; *) command systemctl "$@" ;; esac
}
sudo() {
    case "$1 ${2:-}" in
        mount\ * | ss\ * | podman\ * | wg\ show* | systemd-run\ * | parted\ * | mkfs.ext4\ * | blkid\ * | udevadm\ * | smbpasswd\ *) there "$1" ;;
        systemctl\ reboot | systemctl\ restart | systemctl\ start | systemctl\ reload-or-restart | systemctl\ daemon-reload) there systemctl ;;
        # No system runs here that could start it; that it can be enabled shows that the unit is there.
        systemctl\ enable) shift 2; [ "$1" = --now ] && shift; command sudo systemctl enable "$@" ;;
        apt-get\ update) : ;;
        apt-get\ *)
            case "$*" in
                *full-upgrade* | *./*) : ;;
                *) command sudo DEBIAN_FRONTEND=noninteractive "$@" $(case "$*" in *xfce* | *build-essential*) echo --simulate ;; esac) ;;
            esac ;;
        *) command sudo "$@" ;;
    esac
}
BASH;

/**
 * The compose tool with an engine that only writes down what it is asked: image, folder, and a port or the host's
 * network.
 */
const COMPOSED = <<<'BASH'
printf '#!/bin/sh\necho "$@" >>/tmp/engine.log\ncase "$1" in --version) echo podman version 4.3.1 ;; esac\n' >/tmp/engine
chmod 755 /tmp/engine
cd "$(dirname FILE)"
podman-compose --podman-path /tmp/engine up --detach >/tmp/composed 2>&1 || { cat /tmp/composed; exit 1; }
grep '^run ' /tmp/engine.log | grep -- "-v $PWD/data:/" | grep -- '--restart unless-stopped registry.home.arpa/bench/' | grep -Eq -- '-p [0-9]+:[0-9]+|--network host|--net host|--net=host' || { cat /tmp/engine.log; exit 1; }
BASH;

/** @return array<string, string> everything that the steps of a playbook ask, read or learn */
function sampleValues(string $id): array
{
    $values = [
        'uuid' => '3f1c2a54-0f3e-4c6b-9a0d-5b6f0f3e2a11',
        'disk' => 'sda',
        'disk_partition' => 'sda1',
        'disk_serial' => 'SEED000007',
        'disk_bytes' => '500000000000',
        'fingerprint' => 'SHA256:x',
    ];
    foreach (playbook($id)->list as $step) {
        foreach ($step->more->asks as $asked) {
            $values[$asked->name] = $asked->example;
        }
        foreach ($step->more->prints as $printed) {
            $values[$printed->name] = match ($printed->kind->value) {
                'tunnel-key' => base64_encode(str_repeat($printed->name[0], 32)),
                'word' => 'recorder_1_arm64.deb',
                default => 'Device,DEV=0',
            };
        }
    }

    return $values;
}

dataset(
    'plain',
    array_values(
        array_filter(array_keys(entryFiles('playbook')), fn (string $id): bool => ! str_ends_with($id, '.appliance')),
    ),
);

test('every command and file of it works on a plain Debian 12', function (string $id): void {
    [$job, $school] = explode('.', $id);
    $box = scratch().'/box.yaml';
    file_put_contents(
        $box,
        Yaml::dump([
            'host' => 'wren',
            'user' => 'warden',
            'address' => '172.22.8.16',
            'mac' => '02:4b:1e:90:00:07',
            'router' => '172.22.8.1',
            'prefix' => '172.22.8.0/24',
            'domain' => 'thistledown.home.arpa',
            'zone' => 'Europe/London',
            'page_ports' => [$job => 8085],
            'values' => sampleValues($id),
        ]),
    );
    $steps = json_decode(run("./burrow playbook {$job} --school {$school} --box {$box} --json")['out'], true)[
        'steps'
    ];
    $root = userland();
    foreach ($steps as $step) {
        if ($step['where'] !== StepPlace::Box->value || $step['command'] === '') {
            continue;
        }
        expect([$step['id'], $step['complete'], run('bash -n', $step['command'])['exit']])->toBe([
            $step['id'],
            true,
            0,
        ]);
        $said = typedThere($root, "set -eu -o pipefail\n".STUBS."\n{$step['command']}\n");
        expect([$step['id'], $said['exit'], $said['exit'] === 0 ? '' : $said['all']])->toBe([$step['id'], 0, '']);
    }

    // What was written is read by the programs that will read it.
    $checks = [
        '/etc/systemd/system/box-*.service /etc/systemd/system/copy-home.*' => 'systemd-analyze verify FILE',
        '/srv/*/compose.yaml' => COMPOSED,
        '/etc/mpd.conf' => 'touch /var/lib/mpd/tag_cache; timeout 3 mpd --no-daemon --stderr FILE 2>&1 | grep -i "exception: .*line\|unrecognized\|syntax" && exit 1; true',
        '/home/warden/device.conf' => 'wg-quick strip FILE',
        '/etc/wireguard/wg0.conf' => 'wg-quick strip wg0 >/dev/null && sed -n "s/^PostUp = \(nft .*\)/\1/p" FILE | unshare --net bash -e',
        '/etc/vdr/conf.d/90-recordings.conf' => 'vdr --showargs=/etc/vdr/conf.d | grep -q -- --video=/srv/recordings',
        '/etc/apt/apt.conf.d/20auto-upgrades' => 'apt-config dump | grep -q "Unattended-Upgrade \"1\""',
        '/etc/samba/smb.conf' => 'testparm --suppress-prompt 2>&1 | grep -q "Loaded services file OK"',
        '/etc/minidlna.conf' => 'mkdir -p /srv/library/films; timeout 3 minidlnad -S -f FILE -P /tmp/m.pid 2>&1 | grep -i "error parsing\|invalid\|unknown" && exit 1; true',
    ];
    foreach ($checks as $files => $check) {
        $found = array_filter(
            explode(
                "\n",
                run(
                    'cd '.
                        escapeshellarg($root).
                        " && ls -d $(echo {$files} | sed 's#\\(^\\| \\)/#\\1./#g') 2>/dev/null",
                )['out'],
            ),
        );
        foreach ($found as $file) {
            $file = substr($file, 1);
            $said = run(
                'chroot '.escapeshellarg($root).' bash -s',
                str_replace('FILE', escapeshellarg($file), $check),
            );
            // One that the package brings unchanged proves nothing.
            expect([$file, $said['exit'], $said['exit'] === 0 ? '' : $said['all']])->toBe([$file, 0, '']);
        }
    }
})->with('plain');

/** Where a probe asks, on loopback. */
function loopback(int $port): Target
{
    $class = new ReflectionClass(Target::class);
    $target = $class->newInstanceWithoutConstructor();
    $class->getMethod('__construct')->invoke($target, '127.0.0.1', $port);

    return $target;
}

test('what the probes ask is understood by the real services', function (): void {
    $root = userland();
    file_put_contents(
        "{$root}/etc/samba/smb.conf",
        "[global]\ninterfaces = 127.0.0.1\nbind interfaces only = yes\nsmb ports = 44517\ndisable netbios = yes\n".
            new SmbShare('store', '/srv', 'warden').
            "\n",
    );
    // The upstream is a port of this machine where nobody answers: nothing leaves it.
    $settings = new DnsmasqSettings('sieve', 'thistledown.home.arpa', '172.22.8.53', '127.0.0.9');
    file_put_contents("{$root}/etc/dnsmasq.d/house.conf", "{$settings}\n");
    file_put_contents("{$root}/etc/dnsmasq.d/list.conf", DnsmasqList::of("listed.example\nads.example.net")."\n");
    $quiet = array_fill(0, 3, ['file', '/dev/null', 'r+']);
    $services = array_map(
        fn (array $command) => proc_open(['timeout', '30', 'chroot', $root, ...$command], $quiet, $pipes),
        [
            ['smbd', '--foreground', '--no-process-group'],
            [
                'dnsmasq',
                '--keep-in-foreground',
                '--port=45317',
                '--listen-address=127.0.0.1',
                '--conf-dir=/etc/dnsmasq.d,*.conf',
            ],
        ],
    );
    $ask = fn (string $name, Protocol $over) => (new NameProbe(2))->ask(loopback(45317), $name, $over);
    $until = microtime(true) + 15;
    do {
        usleep(200_000);
        $said = (new GreetingProbe(2))->ask(loopback(44517), Greeting::Smb, '/');
    } while (($said === null || $ask('listed.example', Protocol::Udp)->isSilent()) && microtime(true) < $until);
    expect(Greeting::Smb->fits((string) $said, ''))->toBeTrue();
    foreach ([Protocol::Udp, Protocol::Tcp] as $over) {
        foreach (['listed.example', 'below.listed.example', 'ADS.example.net'] as $name) {
            expect([$name, $over, $ask($name, $over)->isRefused()])->toBe([$name, $over, true]);
        }
        expect($ask('sieve.thistledown.home.arpa', $over)->addresses)->toBe(['172.22.8.53']);
        // One that is on no list is asked of the upstream, and that is silent here: that is no refusal.
        expect($ask('notlisted.example', $over)->isRefused())->toBeFalse();
    }
    array_map(proc_terminate(...), $services);
    array_map(proc_close(...), $services);
});
