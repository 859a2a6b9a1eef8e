<?php

declare(strict_types=1);

use App\Probe\HostKeyProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Bench\Faults\Fault;
use Bench\Faults\Faults;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Household\DoorState;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Disks\FileSystemId;
use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;
use Burrow\Intake\Leases\Lease;
use Burrow\Stores\DiskChoice;
use Burrow\Stores\FstabLine;
use Burrow\Stores\SmbShare;
use Tests\Bench\BenchProcess;

/** A target on this bench, as the application makes one for a box in its network. */
function target(string $host, int $port): Target
{
    return (new ReflectionClass(Target::class))
        ->getMethod('__construct')
        ->invoke(
            $target = (new ReflectionClass(Target::class))->newInstanceWithoutConstructor(),
            $host,
            $port + BenchProcess::OFFSET,
            7 + BenchProcess::OFFSET,
        ) ?? $target;
}

beforeEach(function (): void {
    $this->bench = new BenchProcess();
});

test('what the tool writes boots: a lease under its name, and remote login', function (): void {
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    $leases = Intake::standard()
        ->read('leases', $this->bench->ask(['do' => 'leases'])['text'])
        ->all(Lease::class);
    expect($leases[0]->name)
        ->toBe('wren')
        ->and((string) $leases[0]->address)
        ->toBe('172.22.8.100')
        ->and((string) $leases[0]->mac)
        ->toBe('02:4b:1e:90:00:07');
});

test('names of all kinds boot and pass the linter', function (string $name): void {
    expect((new Linter())->lint(new CardFolder(benchCard($name)))->codes())->toBe([]);
    $this->bench->boot(benchCard($name));
    $this->bench->until(fn () => $this->bench->board()['fingerprint'] !== null);
    expect($this->bench->ask(['do' => 'status'])['leases']['02:4b:1e:90:00:07']['name'])->toBe($name);
})->with(['on', 'no', '0123a', 'true', 'null', 'a', 'y', '1e3x', str_repeat('k', 63)]);

test('a broken user-data leaves the board out of reach', function (Closure $break): void {
    $files = benchCard();
    $files['user-data'] = $break($files['user-data']);
    $this->bench->boot($files);
    $this->bench->until(fn () => $this->bench->board()['address'] !== null);
    usleep(400000);
    expect($this->bench->isOpen('127.22.8.100', 22))
        ->toBeFalse()
        ->and((new TcpProbe(1))->ask(target('127.22.8.100', 22)))
        ->toBe(DoorState::Refused)
        ->and($this->bench->ask(['do' => 'status'])['leases']['02:4b:1e:90:00:07']['name'])
        // meta-data beside it is read all the same, and has the name.
        ->toBe('wren')
        ->and((new Linter())->lint(new CardFolder($files))->blocks())
        ->toBeTrue();
})->with([
    'first line gone' => fn (string $text): string => substr($text, strpos($text, "\n") + 1),
    'a tab' => fn (string $text): string => str_replace('  - name', "\t- name", $text),
    'an open quote' => fn (string $text): string => str_replace('hostname: wren', 'hostname: "wren', $text),
    'a blank inside the mark' => fn (string $text): string => str_replace('#cloud', '# cloud', $text),
]);

test('a broken network-config leaves it silent', function (): void {
    $this->bench->boot(['network-config' => "ethernets:\n  wired:\n    dhcp4: true\n"] + benchCard());
    usleep(500000);
    expect($this->bench->board()['address'])
        ->toBeNull()
        ->and((new TcpProbe(1))->ask(target('127.22.8.100', 22)))
        ->toBe(DoorState::Silent)
        ->and(implode("\n", $this->bench->board()['screen']))
        ->toContain('network-config: not understood');
});

test('no card, no life', function (): void {
    $this->bench->boot([]);
    usleep(200000);
    expect($this->bench->board()['phase'])
        ->toBe('no card')
        ->and($this->bench->board()['address'])
        ->toBeNull();
});

test('the three states of a door are told apart', function (): void {
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    $states = (new TcpProbe(1))->askAll([
        'login' => target('127.22.8.100', 22),
        'share' => target('127.22.8.100', 445),
        'nobody' => target('127.22.8.140', 22),
    ]);
    expect($states)->toBe([
        'login' => DoorState::Open,
        'share' => DoorState::Refused,
        'nobody' => DoorState::Silent,
    ]);
    $this->bench->ask(['do' => 'power', 'board' => 'b', 'on' => false]);
    expect((new TcpProbe(1))->ask(target('127.22.8.100', 22)))->toBe(DoorState::Silent);
});

test('real programs meet a real host key', function (): void {
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    $scanned = run('ssh-keyscan -T 3 -t ed25519 -p '.(22 + BenchProcess::OFFSET).' 127.22.8.100');
    $line = preg_replace('/^\[[^ ]+/m', 'host', $scanned['out']);
    $key = Intake::standard()->read('hostkeys', (string) $line)->all(KeySeen::class)[0]->key;
    $probed = (new HostKeyProbe())->ask(target('127.22.8.100', 22));
    expect(run('ssh-keygen -l -f -', "{$key}\n")['out'])
        ->toContain($key->fingerprint())
        ->and($probed?->fingerprint())
        ->toBe($key->fingerprint())
        ->and($this->bench->board()['fingerprint'])
        ->toBe($key->fingerprint());
});

test('a new card means a new host key, a restart does not', function (): void {
    $boot = function (): string {
        $this->bench->until(
            fn () => $this->bench->board()['fingerprint'] !== null && $this->bench->isOpen('127.22.8.100', 22),
        );

        return $this->bench->board()['fingerprint'];
    };
    $this->bench->boot(benchCard());
    $first = $boot();
    $this->bench->type('sudo systemctl reboot');
    expect($boot())->toBe($first);
    $this->bench->boot(benchCard());
    expect($boot())->not->toBe($first);
});

test('a reservation holds from the next start on', function (): void {
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    $this->bench->ask(['do' => 'reserve', 'mac' => '02:4b:1e:90:00:07', 'address' => '172.22.8.16']);
    expect($this->bench->board()['address'])->toBe('172.22.8.100');
    $this->bench->type('sudo systemctl reboot');
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.16', 22));
    expect($this->bench->isOpen('127.22.8.100', 22))->toBeFalse();
});

test('the share opens only when disk, mount and share are right', function (): void {
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    $disks = Intake::standard()
        ->read('lsblk', $this->bench->type('lsblk --json --bytes'))
        ->all(BlockDevice::class);
    expect(DiskChoice::among($disks, null)->disk?->name)->toBe('sda');
    expect(
        $this->bench->type(
            'test "$(lsblk --noheadings --nodeps --output SERIAL /dev/sda)" = OTHER || echo STOPPED',
        ),
    )->toBe('STOPPED');
    $made = $this->bench->type(
        "sudo parted --script /dev/sda mklabel gpt mkpart store ext4 1MiB 100%\nsudo mkfs.ext4 -L store /dev/sda1\nsudo blkid -s UUID -o value /dev/sda1",
    );
    $uuid = Intake::standard()->read('uuid', $made)->all(FileSystemId::class)[0]->uuid;
    $share = new SmbShare('store', '/srv/store', 'warden');
    $this->bench->type(
        "sudo tee --append /etc/samba/smb.conf <<'SHARE'\n{$share}\nSHARE\nsudo systemctl enable smbd\nsudo systemctl restart smbd",
    );
    expect($this->bench->isOpen('127.22.8.100', 445))->toBeFalse();
    $this->bench->type(
        "sudo tee --append /etc/fstab <<'LINE'\n".
            new FstabLine($uuid, '/srv/store').
            "\nLINE\nsudo mount /srv/store",
    );
    // A service that was started anew takes its moment.
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 445));
    $this->bench->type('sudo systemctl reboot');
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 445));
});

test('the bench forgets nothing when it is stopped', function (): void {
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    $before = $this->bench->board()['fingerprint'];
    $this->bench->stop();
    $this->bench->start();
    expect($this->bench->isOpen('127.22.8.100', 22))
        ->toBeTrue()
        ->and($this->bench->board()['fingerprint'])
        ->toBe($before);
});

test('password hashes of a card do not reach the state file', function (): void {
    $files = benchCard();
    $files['user-data'] = str_replace(
        'lock_passwd: true',
        "lock_passwd: false\n    hashed_passwd: \"\$6\$saltsalt\$SECRETHASH\"",
        $files['user-data'],
    );
    $this->bench->boot($files);
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    expect($this->bench->state())
        ->not->toContain('SECRETHASH')
        ->toContain('hashed_passwd');
});

test('junk at the door and at the handle does no harm', function (): void {
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    foreach (
        [
            "\0\0\0",
            str_repeat('x', 70000),
            "SSH-2.0-x\r\n\xff\xff\xff\xff\x01",
            "SSH-2.0-x\r\n\0\0\0\x0c\x06\x1e\0\0\0\0\0\0\0\0\0\0",
        ] as $junk
    ) {
        $door = stream_socket_client('tcp://127.22.8.100:'.(22 + BenchProcess::OFFSET), timeout: 1);
        @fwrite($door, $junk);
        fclose($door);
    }
    foreach ([[], ['do' => 'tea'], ['do' => 'power', 'board' => 'none'], ['do' => 'insert']] as $request) {
        expect($this->bench->ask($request))->toHaveKey('error');
    }
    expect($this->bench->isOpen('127.22.8.100', 22))->toBeTrue();
});

test('the package index is a file that Debian\'s tools could read', function (): void {
    $text = file_get_contents('http://127.22.8.1:'.(80 + BenchProcess::OFFSET).'/Packages');
    expect(
        run(
            'python3 -c "import sys; b=[dict(l.split(\": \",1) for l in p.strip().split(\"\n\")) for p in sys.stdin.read().strip().split(\"\n\n\")]; print(len(b), b[0][\"Package\"])"',
            (string) $text,
        )['out'],
    )->toBe("9 openssh-server\n");
    foreach (explode("\n\n", trim((string) $text)) as $paragraph) {
        preg_match('/^Version: (.+)$/m', $paragraph, $version);
        expect(run('dpkg --validate-version '.escapeshellarg($version[1]))['exit'])->toBe(0);
    }
});

test('a board takes the address that its card gives, by either school', function (string $school): void {
    $files =
        $school === 'network-config'
            ? array_replace(benchCard(), [
                'network-config' => "version: 2\nethernets:\n  wired:\n    match:\n      name: \"e*\"\n    dhcp4: false\n    addresses: [172.22.8.44/24]\n    routes:\n      - to: default\n        via: 172.22.8.1\n",
            ])
            : benchCard() + [
                'cmdline.txt' => "console=tty1 root=PARTUUID=1-02 rootwait ip=172.22.8.44::172.22.8.1:255.255.255.0:wren:eth0:off\n",
            ];
    expect((new Linter())->lint(new CardFolder($files))->codes())->toBe([]);
    $this->bench->boot($files);
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.44', 22));
    expect($this->bench->board()['address'])->toBe('172.22.8.44');
})->with(['network-config', 'cmdline.txt']);

test('what is secret on a card does not reach the state of the bench', function (): void {
    $psk = hash_pbkdf2('sha1', 'seed drawer open', 'Thistledown', 4096, 64);
    $hash = crypt('seeds in paper bags', '$6$thistle0$');
    $files = [
        'ssh' => '',
        'userconf.txt' => "warden:{$hash}\n",
        'wpa_supplicant.conf' => "country=GB\nnetwork={\n    ssid=\"Thistledown\"\n    psk={$psk}\n}\nnetwork={\n    ssid=\"fair\"\n    key_mgmt=SAE\n    sae_password=\"feather and husk\"\n}\n",
        'network-settings.txt' => "wifi_key={$psk}\n",
    ];
    $this->bench->boot($files);
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    $found = array_values(
        array_filter(
            [$psk, $hash, 'feather and husk', 'seed drawer open', 'seeds in paper bags'],
            fn (string $secret): bool => str_contains(stripslashes($this->bench->state()), $secret),
        ),
    );
    expect($found)
        ->toBe([])
        ->and($this->bench->state())
        ->toContain('userconf.txt');
});

test('a card that the bench has no place for leaves its board dark and the others alone', function (
    string $address,
): void {
    $this->bench->boot([
        'meta-data' => "instance-id: a\n",
        'user-data' => "#cloud-config\nhostname: wren\n",
        'network-config' => "version: 2\nethernets:\n  eth0:\n    addresses: ['{$address}']\n",
    ]);
    $this->bench->until(
        fn (): bool => str_contains(implode(' ', $this->bench->board()['screen']), 'the bench has no place'),
    );
    // It begins again with that state on its disk.
    $this->bench->stop();
    $this->bench->start();
    expect($this->bench->ask(['do' => 'status'])['boards'])->toHaveCount(1);
})->with(['fd00:16::5/64', 'fe80::1/10']);

test('addresses that would fall on this machine\'s own stand beside them', function (string $address): void {
    $this->bench->boot([
        'meta-data' => "instance-id: a\n",
        'user-data' => "#cloud-config\nhostname: wren\nssh_pwauth: true\n",
        'network-config' => "version: 2\nethernets:\n  eth0:\n    addresses: ['{$address}/24']\n",
    ]);
    $at = (string) Burrow\Net\Ipv4::parse($address)->onLoopback();
    $this->bench->until(fn (): bool => $this->bench->isOpen($at, 7));
    expect($at)->toStartWith('127.254.0.');
})->with(['10.0.0.9', '172.0.0.53']);

test('a state that cannot be read is set aside, and the bench begins', function (string $state): void {
    $this->bench->boot(['user-data' => '']);
    $this->bench->stop();
    file_put_contents($this->bench->stateFile(), $state);
    $this->bench->start();
    expect($this->bench->ask(['do' => 'status'])['boards'])
        ->toBe([])
        ->and(file_get_contents($this->bench->stateFile().'.set-aside'))
        ->toBe($state);
})->with([
    'empty' => '',
    'cut' => '{"speed": 20, "boards": [{"id"',
    'a list of nothing' => '3',
    'the wrong kinds' => '{"pool": ["172.22.8.100"]}',
]);

test('a board that cannot be put back is left out, and the others stand', function (): void {
    $this->bench->boot(['user-data' => '']);
    $this->bench->stop();
    $state = json_decode($this->bench->state(), true);
    $state['boards'][] = ['id' => 'bad', 'mac' => []];
    $state['boards'][] = [
        'id' => 'odd',
        'mac' => '02:00:00:00:00:01',
        'class' => 'x',
        'networkAfter' => 1,
        'powered' => true,
        'files' => ['cmdline.txt' => 'ip=300.1.1.1:::::eth0:off'],
    ];
    file_put_contents($this->bench->stateFile(), json_encode($state));
    $this->bench->start();
    expect(array_column($this->bench->ask(['do' => 'status'])['boards'], 'id'))->toBe(['b', 'odd']);
});

test('a fault shows from the next start on, and is gone when it is taken out', function (): void {
    $again = function (string $fault): void {
        $this->bench->ask(['do' => 'fault', 'board' => 'b', 'fault' => $fault]);
        $this->bench->ask(['do' => 'power', 'board' => 'b', 'on' => true]);
    };
    $this->bench->boot(benchCard());
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));

    $again('no-remote-login');
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 7));
    usleep(400000);
    expect((new TcpProbe(1))->ask(target('127.22.8.100', 22)))->toBe(DoorState::Refused);

    $again('no-cable');
    $this->bench->until(fn () => in_array('no address', $this->bench->board()['screen'], true));
    expect($this->bench->board()['address'])->toBeNull();

    $again('dead-supply');
    usleep(300000);
    expect($this->bench->board()['screen'])
        ->toBe([])
        ->and($this->bench->isOpen('127.22.8.100', 7))
        ->toBeFalse();

    $again('nobody knows this');
    $this->bench->until(fn () => $this->bench->isOpen('127.22.8.100', 22));
    expect($this->bench->board()['fault'])->toBeNull();
});

test('every fault has a name of its own and takes something from the board', function (): void {
    $faults = Faults::all();
    $names = array_map(fn (Fault $fault): string => $fault->name(), $faults);
    expect($names)->toBe(array_values(array_unique($names)));
    foreach ($faults as $fault) {
        expect($fault->label())
            ->not->toBe('')
            ->and($fault->looks('complaint'))
            ->not->toBe('')
            ->and($fault->looks('nowhere'))
            ->toBe('');
    }
});
