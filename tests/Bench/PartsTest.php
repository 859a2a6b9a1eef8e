<?php

declare(strict_types=1);

use Bench\Board\Board;
use Bench\Board\Disk;
use Bench\Board\FirstBoot;
use Bench\Net\Line;
use Bench\Net\PackageIndex;
use Bench\Net\Router;
use Bench\Net\SshDoor;
use Bench\Programs\Programs;
use Bench\Services\Services;
use Bench\Shell\Shell;

/** A board with a disk that has booted for warden with the share's package. */
function benchBoard(): Board
{
    $board = new Board('b', '02:4b:1e:90:00:07', 'Flint', 30, disks: [new Disk(500000000000, 'SEED000007')]);
    $board->boot = FirstBoot::from([
        'meta-data' => "instance-id: a\n",
        'user-data' => "#cloud-config\nhostname: wren\npackages: [samba]\nusers:\n  - name: warden\n    lock_passwd: false\n    hashed_passwd: \"\$6\$a\$b\"\nruncmd:\n  - [systemctl, enable, --now, ssh]\n",
    ]);

    $board->machine->packages = ['samba', 'parted'];
    Services::boot($board);

    return $board;
}

function typed(Board $board, string $command): string
{
    return (new Shell(new Programs(new PackageIndex())))->run($board, $command);
}

test('the router gives the reserved address, else the last one, else the first free one', function (): void {
    $router = new Router('172.22.8.100', '172.22.8.102', ['02:00:00:00:00:01' => '172.22.8.16']);
    expect($router->ask('02:00:00:00:00:01', 'wren', 0))
        ->toBe('172.22.8.16')
        ->and($router->ask('02:00:00:00:00:02', 'a', 0))
        ->toBe('172.22.8.100')
        ->and($router->ask('02:00:00:00:00:03', 'b', 0))
        ->toBe('172.22.8.101')
        ->and($router->ask('02:00:00:00:00:02', 'a', 9))
        ->toBe('172.22.8.100');
});

test('a full pool gives the place of whoever ran out first', function (): void {
    $router = new Router('172.22.8.100', '172.22.8.101');
    $router->ask('02:00:00:00:00:01', 'a', 50);
    $router->ask('02:00:00:00:00:02', 'b', 10);
    expect($router->ask('02:00:00:00:00:03', 'c', 60))->toBe('172.22.8.101');
});

test('a lease file has a line a lease, and a star for no name', function (): void {
    $router = new Router('172.22.8.100', '172.22.8.199');
    $router->ask('02:00:00:00:00:01', '', 0);
    expect($router->leaseFile())->toBe("43200 02:00:00:00:00:01 172.22.8.100 * 01:02:00:00:00:00:01\n");
});

test('first boot passes over what it cannot read', function (
    array $files,
    string $name,
    ?string $user,
    bool $login,
    bool $network,
): void {
    $boot = FirstBoot::from($files);
    expect([$boot->hostname, $boot->user, $boot->remoteLogin, $boot->network])->toBe([
        $name,
        $user,
        $login,
        $network,
    ]);
})->with([
    'nothing' => [[], 'board', null, false, true],
    'no meta-data' => [['user-data' => "#cloud-config\nhostname: wren\n"], 'board', null, false, true],
    'a marker file' => [['ssh' => ''], 'board', null, true, true],
    'a name and nobody' => [
        ['meta-data' => 'a: b', 'user-data' => "#cloud-config\nhostname: wren\n"],
        'wren',
        null,
        false,
        true,
    ],
    'a name with a domain' => [
        ['meta-data' => 'a: b', 'user-data' => "#cloud-config\nhostname: wren.local\n"],
        'wren',
        null,
        false,
        true,
    ],
    'a name that is none' => [
        ['meta-data' => 'a: b', 'user-data' => "#cloud-config\nhostname: wren_\n"],
        'board',
        null,
        false,
        true,
    ],
    'a locked password' => [
        [
            'meta-data' => 'a: b',
            'user-data' => "#cloud-config\nusers: [{name: warden, hashed_passwd: \"\$6\$a\"}]\n",
        ],
        'board',
        null,
        false,
        true,
    ],
    'a command as text' => [
        ['meta-data' => 'a: b', 'user-data' => "#cloud-config\nruncmd: [systemctl enable --now ssh]\n"],
        'board',
        null,
        true,
        true,
    ],
    'network of version 1' => [['network-config' => "version: 1\n"], 'board', null, false, false],
    'another socket' => [
        ['network-config' => "version: 2\nethernets: {w: {match: {name: \"wl*\"}, dhcp4: true}}\n"],
        'board',
        null,
        false,
        false,
    ],
    'wrapped network' => [
        ['network-config' => "network: {version: 2, ethernets: {eth0: {dhcp4: true}}}\n"],
        'board',
        null,
        false,
        true,
    ],
]);

test('the shell takes a line apart as a real one does', function (string $line): void {
    $real = run($line)['out'];
    expect([$line, typed(benchBoard(), $line)])->toBe([$line, rtrim($real, "\n")]);
})->with([
    <<<'LINE'
    echo one  'two  three' "four \"five\"" six\ seven
    LINE
    ,
    'echo a && echo b || echo c',
    'test x = y && echo never || echo otherwise',
    'test x = y ; echo after',
    'echo "$(echo inner "$(echo most)")" outer',
    'echo one # two',
    'echo a#b',
    'printf "%s-%s\n" first second | cat',
    'echo nothing > /dev/null ; echo "two  blanks"',
    "test -z \"\" && test -n x && echo 'it''s'",
    "cat <<'E'\n\$HOME stays  as it is\nE",
    "grep -q two <<'E' && echo found\none two\nE",
]);

test('the console knows the commands of the playbooks and says so of others', function (): void {
    expect(typed(benchBoard(), 'brew tea'))
        ->toBe('bash: brew: the bench does not know this command')
        ->and(typed(benchBoard(), ''))
        ->toBe('');
});

test('what needs rights says so, as the real programs do', function (): void {
    expect(typed(benchBoard(), "tee /etc/x <<'E'\nhello\nE"))
        ->toContain('tee: /etc/x: Permission denied')
        ->and(typed(benchBoard(), 'apt-get install mpd'))
        ->toContain('E: Could not open lock file')
        ->and(typed(benchBoard(), 'systemctl enable smbd'))
        ->toContain('Interactive authentication required')
        ->and(typed(benchBoard(), 'echo x > /etc/x'))
        ->toContain('Permission denied');
});

test(
    'a group counts from the next login, and without the append flag takes the others away',
    function (): void {
        $board = benchBoard();
        typed($board, 'sudo usermod --append --groups audio warden');
        typed($board, 'sudo usermod --append --groups plugdev warden');
        expect(typed($board, 'groups'))->not->toContain('audio');
        typed($board, 'exit');
        expect(typed($board, 'groups'))->toContain('audio plugdev');
        typed($board, "sudo usermod --groups video warden\nexit");
        expect(typed($board, 'groups'))->not->toContain('audio')->toContain('video');
    },
);

test('a service that was started and not enabled is missing after the next start', function (): void {
    $board = benchBoard();
    typed($board, 'sudo apt-get --yes install rtl-sdr');
    typed(
        $board,
        "sudo tee /etc/systemd/system/samples.service <<'U'\n[Service]\nExecStart=/usr/bin/rtl_tcp -a 172.22.8.16 -p 8091\nU\nsudo systemctl start samples",
    );
    expect(typed($board, 'systemctl is-active samples'))->toBe('active');
    Services::boot($board);
    expect(typed($board, 'systemctl is-active samples'))->toBe('inactive');
    typed($board, 'sudo systemctl enable samples');
    Services::boot($board);
    expect(typed($board, 'systemctl is-active samples'))->toBe('active');
});

test('a wrong file stops its service with the words of the program', function (): void {
    $board = benchBoard();
    typed($board, 'sudo apt-get --yes install dnsmasq');
    typed($board, "sudo tee /etc/dnsmasq.d/x.conf <<'C'\nserver=203.0.113.53\nno-resolve\nC");
    expect(typed($board, 'sudo systemctl restart dnsmasq'))
        ->toContain('Job for dnsmasq.service failed')
        ->toContain('bad option at line 2')
        ->and(typed($board, 'dnsmasq --test'))
        ->toContain('bad option');
});

test('an upgrade installs what the index has, once', function (): void {
    $board = benchBoard();
    expect(typed($board, 'sudo apt-get --yes full-upgrade'))->toContain('0 upgraded');
    typed($board, 'sudo apt-get update');
    expect(typed($board, 'sudo apt-get --yes full-upgrade'))
        ->toContain('9 upgraded')
        ->toContain('Setting up openssl');
    typed($board, 'sudo apt-get update');
    expect(typed($board, 'sudo apt-get --yes full-upgrade'))->toContain('0 upgraded');
});

test('the index is ahead of the image, by Debian\'s own ordering', function (): void {
    $versions = (new ReflectionClass(PackageIndex::class))->getConstant('PACKAGES');
    foreach ($versions as $name => [$image, $index]) {
        expect([$name => run("dpkg --compare-versions '{$index}' gt '{$image}'")['exit']])->toBe([
            $name => 0,
        ]);
    }
});

test('a disk goes from empty to mounted in the right order only', function (): void {
    $board = benchBoard();
    expect(typed($board, 'sudo mkfs.ext4 -L store /dev/sda1'))->toContain('does not exist');
    typed($board, 'sudo parted --script /dev/sda mklabel gpt mkpart store ext4 1MiB 100%');
    expect(typed($board, 'sudo mkfs.ext4 -L store /dev/sda1'))->toMatch(
        '/UUID: [0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}/',
    );
    expect(typed($board, 'sudo mount /srv/store'))
        ->toContain("can't find in /etc/fstab")
        ->and(typed($board, 'findmnt /srv/store'))
        ->toBe('');
    $uuid = typed($board, 'sudo blkid -s UUID -o value /dev/sda1');
    typed($board, "sudo tee --append /etc/fstab <<'L'\nUUID={$uuid} /srv/store ext4 defaults,nofail 0 2\nL");
    expect(typed($board, 'sudo mount /srv/store'))
        ->toBe('')
        ->and(typed($board, 'findmnt /srv/store'))
        ->toContain('/srv/store /dev/sda1 ext4');
});

test('a share without its package, or for a stranger', function (): void {
    $board = benchBoard();
    expect(typed($board, 'sudo smbpasswd -a nobody'))
        ->toContain('Failed to add')
        ->and(typed($board, 'sudo smbpasswd -a warden'))
        ->toContain('Added user warden.');
    $board->machine->packages = [];
    expect(typed($board, 'sudo systemctl enable smbd'))
        ->toContain('does not exist')
        ->and(typed($board, 'sudo smbpasswd -a warden'))
        ->toContain('command not found');
});

test('a board comes back from its state as it was', function (): void {
    $board = benchBoard();
    $board->hostKey();
    typed($board, 'sudo parted --script /dev/sda mklabel gpt');
    $again = Board::from(json_decode((string) json_encode($board->state()), true));
    expect($again->state())->toBe($board->state())->and($again->hostKey())->toBe($board->hostKey());
});

test('the public half is the one of the secret key', function (): void {
    $pair = sodium_crypto_sign_keypair();
    $blob = SshDoor::publicBlob(sodium_crypto_sign_secretkey($pair));
    expect(substr($blob, 4, 11))
        ->toBe('ssh-ed25519')
        ->and(substr($blob, 19))
        ->toBe(sodium_crypto_sign_publickey($pair));
});

test('the line lets in what is opened, and nothing behind another router or a carrier', function (): void {
    $line = new Line();
    $line->open(51944, 'udp', '172.22.8.12', 51820);
    expect($line->leadsTo(51944, 'udp'))
        ->toBe(['address' => '172.22.8.12', 'port' => 51820])
        ->and($line->leadsTo(51944, 'tcp'))
        ->toBeNull()
        ->and($line->leadsTo(51820, 'udp'))
        ->toBeNull();
    foreach (['behind', 'carrier'] as $kind) {
        $line->become($kind);
        expect($line->leadsTo(51944, 'udp'))->toBeNull();
    }
    $line->become('fixed');
    expect($line->leadsTo(51944, 'udp'))->not->toBeNull();
    $line->shut(51944, 'udp');
    expect($line->leadsTo(51944, 'udp'))->toBeNull();
});

test(
    'a line that changes has another address after a cut, and the name follows where it is kept',
    function (): void {
        $line = Line::from(['kind' => 'changing', 'name' => 'seeds.example.net']);
        $line->redial(true);
        $first = $line->state()['address'];
        expect($first)
            ->not->toBe('203.0.113.27')
            ->and($line->names())
            ->toBe(['seeds.example.net' => $first]);
        $line->redial(false);
        expect($line->state()['address'])
            ->not->toBe($first)
            ->and($line->names())
            ->toBe(['seeds.example.net' => $first]);
        $kept = Line::from($line->state());
        expect($kept->state())->toBe($line->state());
        $kept->become('fixed');
        $address = $kept->state()['address'];
        $kept->redial(true);
        expect($kept->state()['address'])->toBe($address);
    },
);

test(
    'a house without internet says so as the real program does, and what is there already needs none',
    function (): void {
        $board = benchBoard();
        $board->rate = 0;
        // What apt-get prints with no way to its sources, shortened.
        expect(typed($board, 'sudo apt-get update'))
            ->toContain("Temporary failure resolving 'bench'")
            ->and(typed($board, 'sudo apt-get --yes install mpd'))
            ->toContain(
                'E: Unable to fetch some archives, maybe run apt-get update or try with --fix-missing?',
            )
            ->and($board->machine->packages)
            ->not->toContain('mpd')
            ->and(typed($board, 'sudo apt-get --yes install samba'))
            ->toContain('0 newly installed');
        $board->rate = 50;
        expect(typed($board, 'sudo apt-get --yes install mpd && systemctl is-active mpd'))->toContain(
            'Setting up mpd',
        );
    },
);

test('a download takes as long as the line has it', function (float $rate, int $seconds): void {
    $board = benchBoard();
    $board->rate = $rate;
    preg_match(
        '/Fetched 8,844 kB in (\d+)s \(([\d,]+) kB\/s\)/',
        typed($board, 'sudo apt-get update'),
        $said,
    );
    expect((int) $said[1])
        ->toBe($seconds)
        ->and(((int) str_replace(',', '', $said[2]) * 8) / 1000)
        ->toBeLessThanOrEqual($rate * 1.1 + 0.1);
})->with([[1, 71], [16, 5], [50, 2]]);

test('the router knows the names of its list, alone and in the domain', function (): void {
    $router = new Router('172.22.8.100', '172.22.8.199');
    $router->ask('02:00:00:00:00:01', 'Wren', 0);
    $router->ask('02:00:00:00:00:02', '', 0);
    expect($router->names('thistledown.home.arpa'))->toBe([
        'wren' => '172.22.8.100',
        'wren.thistledown.home.arpa' => '172.22.8.100',
    ]);
});

test('a unit is active before its port answers, and so after each start', function (): void {
    $board = benchBoard();
    $board->speed = 20;
    $ports = fn (): array => array_map(fn ($door): int => $door->port, Services::doors($board));
    typed($board, 'sudo apt-get --yes install nfs-kernel-server');
    expect(typed($board, 'systemctl is-active nfs-server'))
        ->toBe('active')
        ->and($ports())
        ->not->toContain(2049);
    $board->machine->startedAt['nfs-server.service'] -= 1;
    expect($ports())->toContain(2049);
    typed($board, 'sudo systemctl restart nfs-server');
    expect(typed($board, 'systemctl is-active nfs-server'))
        ->toBe('active')
        ->and($ports())
        ->not->toContain(2049);
});

test('a long job is at work first, and what it makes is there when it is over', function (): void {
    $board = benchBoard();
    $board->speed = 1;
    typed($board, 'sudo systemd-run --unit=recorder-build sh -c "apt-get source recorder"');
    $look = fn (): string => typed($board, 'sudo journalctl --unit=recorder-build --lines=5 --no-pager');
    expect($look())
        ->toContain('g++')
        ->not->toContain('Deactivated')
        ->and(typed($board, 'ls recorder_4.3-1_arm64.deb'))
        ->toContain('No such file');
    $board->began['recorder-build'] -= 700;
    expect($look())
        ->toContain('Deactivated successfully')
        ->and(typed($board, 'ls recorder_4.3-1_arm64.deb'))
        ->not->toContain('No such file')
        ->and(typed($board, 'sudo journalctl --unit=nobody'))
        ->toBe('-- No entries --');
});
