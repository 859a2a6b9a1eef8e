<?php

declare(strict_types=1);

use App\Files\FileKinds;
use Burrow\Stores\Backup\Keep;
use Burrow\Text\ShellWord;

// Copies made and brought back for real, over a login on loopback, with the scripts as they are written.

/** A login service of the test's own on loopback, with one key, and folders to copy from and to. */
final class CopyHouse
{
    public readonly string $folder;

    public readonly int $port;

    private readonly int $pid;

    public function __construct()
    {
        $this->folder = scratch();
        chmod($this->folder, 0755);
        $f = $this->folder;
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        mkdir("{$f}/seeds/paper", 0755, true);
        mkdir("{$f}/copies", 0755);
        run(
            "ssh-keygen -q -t ed25519 -N '' -f {$f}/id; ssh-keygen -q -t ed25519 -N '' -f {$f}/host; mkdir -p /run/sshd",
        );
        copy("{$f}/id.pub", "{$f}/authorized");
        file_put_contents(
            "{$f}/sshd_config",
            "Port {$this->port}\nListenAddress 127.0.0.1\nHostKey {$f}/host\nPidFile {$f}/sshd.pid\nAuthorizedKeysFile {$f}/authorized\nStrictModes no\nUsePAM no\nPermitRootLogin yes\nPasswordAuthentication no\n",
        );
        file_put_contents("{$f}/known", "[127.0.0.1]:{$this->port} ".file_get_contents("{$f}/host.pub"));
        run("/usr/sbin/sshd -f {$f}/sshd_config -E {$f}/sshd.log");
        // The file is there before its number is.
        for ($try = 0, $pid = 0; $try < 50 && $pid < 2; $try++) {
            usleep(100_000);
            $pid = (int) @file_get_contents("{$f}/sshd.pid");
        }
        $this->pid = $pid;
        $this->pid > 1 || throw new RuntimeException((string) @file_get_contents("{$f}/sshd.log"));
        register_shutdown_function(function (): void {
            posix_kill($this->pid, SIGTERM);
            array_map(unlink(...), glob("/var/lib/backup/{$this->name()}.mounts") ?: []);
        });
    }

    public function name(): string
    {
        return 'seeds-'.substr(hash('sha256', $this->folder), 0, 8);
    }

    /** Runs a script where fstab says what is given, and after something was done that nobody else sees. */
    public function among(string $fstab, string $before, string $script): array
    {
        file_put_contents("{$this->folder}/fstab", $fstab);

        return run(
            'unshare --mount bash -c '.
                escapeshellarg("mount --bind {$this->folder}/fstab /etc/fstab; {$before}; bash {$script}"),
        );
    }

    /** Writes the scripts of a backup of "seeds" and gives their paths. */
    public function scripts(array $with = []): array
    {
        $values = [
            'name' => $this->name(),
            'box' => 'larder',
            'paths' => ["{$this->folder}/seeds"],
            'to' => [
                'account' => (string) (posix_getpwuid(posix_geteuid())['name'] ?? 'root'),
                'host' => '127.0.0.1',
                'port' => $this->port,
                'folder' => "{$this->folder}/copies",
            ],
            'identity' => "{$this->folder}/id",
            ...$with,
        ];
        $paths = [];
        foreach (['backup', 'backup-restore'] as $kind) {
            $writer = FileKinds::all()[$kind];
            $written = $writer->write(
                (string) json_encode($values),
                (string) file_get_contents($writer->schema()),
                'backup.json',
            );
            expect($written->findings->codes())->toBe([]);
            $paths[] = $path = "{$this->folder}/{$kind}.sh";
            file_put_contents($path, (string) $written->text);
            $checked = run('shellcheck --exclude=SC2016 '.$path);
            expect([$checked['exit'], $checked['all']])->toBe([0, '']);
            // The host's key is known to this test alone.
            file_put_contents(
                $path,
                str_replace(
                    '-o BatchMode=yes',
                    "-o BatchMode=yes -o UserKnownHostsFile={$this->folder}/known",
                    (string) $written->text,
                ),
            );
        }

        return $paths;
    }

    public function put(string $file, string $text): void
    {
        file_put_contents("{$this->folder}/seeds/{$file}", $text);
    }

    /** @return list<string> names of the copies, the oldest first */
    public function copies(): array
    {
        return array_values(array_diff(scandir("{$this->folder}/copies") ?: [], ['.', '..']));
    }
}

test(
    'folders: first full, a change, a deletion; each copy is whole, and what did not change is held once',
    function (): void {
        $house = new CopyHouse();
        [$backup, $restore] = $house->scripts();
        $house->put('catalogue.txt', str_repeat('Beans, climbing. ', 5000));
        $house->put("it's \$odd name.txt", 'kept');
        $house->put('paper/scan-1', random_bytes(40_000));
        $first = run("bash {$backup}");
        expect($first['exit'])->toBe(0, $first['all']);
        expect($first['out'])->toMatch(
            '/^backup \S+: OK \d{4}-\d\d-\d\dT\d{6}Z files=\d+ sent=\d{6} total=\d{6} seconds=\d+ kept=1$/m',
        );

        // As if it had been made on another day; of one day the newest is kept.
        rename("{$house->folder}/copies/{$house->copies()[0]}", "{$house->folder}/copies/2026-11-20T023001Z");
        $house->put('catalogue.txt', 'Peas.');
        unlink("{$house->folder}/seeds/paper/scan-1");
        $second = run("bash {$backup}");
        expect($second['exit'])->toBe(0, $second['all']);
        expect($second['out'])->toContain('sent=5 ')->toContain('kept=2');

        [$one, $two] = $house->copies();
        $in = fn (string $copy): string => "{$house->folder}/copies/{$copy}{$house->folder}/seeds";
        expect(strlen((string) file_get_contents($in($one).'/catalogue.txt')))
            ->toBe(85_000)
            ->and(is_file($in($one).'/paper/scan-1'))
            ->toBeTrue()
            ->and(file_get_contents($in($two).'/catalogue.txt'))
            ->toBe('Peas.')
            ->and(is_file($in($two).'/paper/scan-1'))
            ->toBeFalse()
            ->and(fileinode($in($one)."/it's \$odd name.txt"))
            ->toBe(fileinode($in($two)."/it's \$odd name.txt"));

        // Brought back beside what is there; the newest is the same, the older one differs by the two.
        $newest = run("bash {$restore} {$house->folder}/back");
        expect($newest['exit'])->toBe(0, $newest['all']);
        expect($newest['out'])
            ->toContain("RESTORED {$two} into")
            ->toContain('differ=0');
        $older = run("bash {$restore} {$house->folder}/older {$one}");
        expect($older['out'])
            ->toContain("RESTORED {$one} into")
            ->toContain('differ=2')
            ->and(
                strlen(
                    (string) file_get_contents("{$house->folder}/older{$house->folder}/seeds/paper/scan-1"),
                ),
            )
            ->toBe(40_000);
        // Never over what is there, and never one that is not there.
        expect(run("bash {$restore} {$house->folder}/back")['exit'])
            ->toBe(1)
            ->and(run("bash {$restore} {$house->folder}/none 2020-01-01T000000Z")['out'])
            ->toContain('there is no copy 2020-01-01T000000Z');
    },
);

test('what would empty a good copy stops before it', function (Closure $spoil, string $says): void {
    $house = new CopyHouse();
    [$backup] = $house->scripts();
    $house->put('catalogue.txt', 'Beans.');
    expect(run("bash {$backup}")['exit'])->toBe(0);
    $before = $house->copies();
    $spoil($house);
    $said = run("bash {$backup}");
    expect($said['exit'])
        ->toBe(1)
        ->and($said['out'])
        ->toContain('STOPPED')
        ->toContain($says)
        ->and($house->copies())
        ->toBe($before);
})->with([
    'the disk is not mounted' => [
        fn (CopyHouse $h) => run("rm -r {$h->folder}/seeds && mkdir {$h->folder}/seeds"),
        'is empty; is its disk mounted?',
    ],
    'the folder is gone' => [fn (CopyHouse $h) => run("rm -r {$h->folder}/seeds"), 'is not there'],
    'the folder is a link to where it lies' => [
        fn (CopyHouse $h) => run("mv {$h->folder}/seeds {$h->folder}/disk; ln -s disk {$h->folder}/seeds"),
        '/disk by a symbolic link',
    ],
    'a folder above it is a link' => [
        fn (CopyHouse $h) => run(
            "mkdir {$h->folder}/disk; mv {$h->folder}/seeds/* {$h->folder}/disk; rm -r {$h->folder}/seeds; ln -s {$h->folder}/disk {$h->folder}/seeds",
        ),
        'by a symbolic link',
    ],
    'a link that leads nowhere' => [
        fn (CopyHouse $h) => run("rm -r {$h->folder}/seeds; ln -s nowhere {$h->folder}/seeds"),
        'by a symbolic link',
    ],
    'nobody is let in' => [
        fn (CopyHouse $h) => run("echo >{$h->folder}/authorized"),
        'does not let this box in',
    ],
]);

test('a disk that belongs there and is not mounted stops it, wherever it is mounted', function (): void {
    $house = new CopyHouse();
    [$backup] = $house->scripts();
    $seeds = "{$house->folder}/seeds";
    $house->put('catalogue.txt', 'Beans, kept beside the disk.');
    mkdir("{$seeds}/store");
    $stopped = fn (array $said, string $where) => expect([$said['exit'], $said['out']])
        ->toBe([1, $said['out']])
        ->and($said['out'])
        ->toContain("STOPPED: {$where} is not mounted")
        ->and($house->copies())
        ->toBe([]);
    // Below what is copied, at it, and above it; the folder itself is never empty.
    foreach ([$seeds.'/store', $seeds, $house->folder] as $where) {
        $stopped($house->among("UUID=0123-4567 {$where} ext4 defaults,nofail 0 2\n", 'true', $backup), $where);
    }
    // What is not to be there at every start is nobody's business, and so is a disk that is not copied.
    $fine = $house->among(
        "UUID=0123 {$seeds}/store ext4 defaults,noauto 0 2\nUUID=4567 {$house->folder}/other ext4 defaults 0 2\nUUID=89 none swap sw 0 0\n",
        'true',
        $backup,
    );
    expect($fine['exit'])->toBe(0, $fine['all']);
    $mounted = $house->among(
        "tmpfs {$seeds}/store tmpfs defaults 0 0\n",
        "mount {$seeds}/store; touch {$seeds}/store/leaf",
        $backup,
    );
    expect($mounted['exit'])->toBe(0, $mounted['all']);
});

test('a disk that somebody mounts by hand is missed at the next copy', function (): void {
    $house = new CopyHouse();
    [$backup] = $house->scripts();
    $house->put('catalogue.txt', 'Beans.');
    $store = "{$house->folder}/seeds/two words";
    mkdir($store);
    // What findmnt says of a disk; a machine under test has none to mount.
    file_put_contents(
        "{$house->folder}/findmnt",
        "#!/bin/sh\ncase $* in *--fstab*) exit 1 ;; esac\necho '/ /dev/sda2 rw'\necho '/sys sysfs rw'\n".
            "[ -e {$house->folder}/away ] || echo '".str_replace(' ', '\\x20', $store)." /dev/sdb1 rw'\n",
    );
    chmod("{$house->folder}/findmnt", 0755);
    $run = fn (): array => run("PATH={$house->folder}:\$PATH bash {$backup}");
    expect($run()['exit'])->toBe(0);
    touch("{$house->folder}/away");
    $stopped = $run();
    expect($stopped['exit'])
        ->toBe(1)
        ->and($stopped['out'])
        ->toContain("STOPPED: {$store} is not mounted")
        ->and($house->copies())
        ->toHaveCount(1);
});

test('a database whose file is not there is no empty copy', function (): void {
    $house = new CopyHouse();
    $house->put('catalogue.txt', 'Beans.');
    [$backup] = $house->scripts(['database' => 'sqlite', 'database_file' => "{$house->folder}/none.db"]);
    $said = run("bash {$backup}");
    expect($said['exit'])->toBe(1)->and($said['out'])->toContain('is not there or empty');
});

test('folders with names that a shell would read otherwise', function (string $shell, string $school): void {
    $house = new CopyHouse();
    file_put_contents("{$house->folder}/key", 'a passphrase of seven words, kept in the safe');
    // The other machine's login shell is this one.
    file_put_contents(
        "{$house->folder}/authorized",
        "command=\"exec {$shell} -c \\\"\$SSH_ORIGINAL_COMMAND\\\"\" ".file_get_contents("{$house->folder}/id.pub"),
    );
    mt_srand(31);
    $odd = ['&', "'", '"', '$(id)', '`id`', '\\', ' ', '*', '?', '[a]', '~', '!', ';', '-x', '--help', '%s', '#', 'ä', '{}', '|'];
    for ($case = 0; $case < 3; $case++) {
        $name = fn (): string => implode('', array_map(fn () => $odd[mt_rand(0, count($odd) - 1)], range(0, 3)));
        $from = "{$house->folder}/seeds/{$name()}";
        $to = "{$house->folder}/copies/{$name()}";
        is_dir($from) || mkdir($from);
        file_put_contents("{$from}/leaf", 'Beans.');
        [$backup, $restore] = $house->scripts([
            'paths' => [$from],
            'school' => $school,
            'keep' => ['daily' => 1],
            ...$school === 'archive' ? ['key_file' => "{$house->folder}/key"] : [],
            'to' => [
                'account' => (string) (posix_getpwuid(posix_geteuid())['name'] ?? 'root'),
                'host' => '127.0.0.1',
                'port' => $house->port,
                'folder' => $to,
            ],
        ]);
        // Two of other days go, and what is named like nothing stays.
        $suffix = $school === 'archive' ? '.tar.gpg' : '';
        foreach (["2026-01-01T000000Z{$suffix}", "2026-01-02T000000Z{$suffix}", 'notes'] as $old) {
            is_dir("{$to}/{$old}") || mkdir("{$to}/{$old}", 0755, true);
        }
        $made = run("bash {$backup}");
        expect($made['exit'])->toBe(0, "{$from} {$to} {$made['all']}");
        $there = array_values(array_diff(scandir($to) ?: [], ['.', '..']));
        expect($there)->toHaveCount(2)->and($there[1])->toBe('notes');
        $back = "{$house->folder}/back-{$case}";
        expect(run("bash {$restore} {$back}")['out'])
            ->toContain('differ=0')
            ->and(file_get_contents("{$back}{$from}/leaf"))
            ->toBe('Beans.');
    }
})->with([
    ['dash', 'folders'],
    ['bash', 'archive'],
]);

test(
    'one archive: nobody reads it there, what arrived is what was sent, and it comes back',
    function (): void {
        $house = new CopyHouse();
        file_put_contents("{$house->folder}/key", 'a passphrase of seven words, kept in the safe');
        [$backup, $restore] = $house->scripts(['school' => 'archive', 'key_file' => "{$house->folder}/key"]);
        $house->put('catalogue.txt', str_repeat('Beans, climbing. ', 5000));
        $house->put("it's \$odd name.txt", 'kept');
        $made = run("bash {$backup}");
        expect($made['exit'])->toBe(0, $made['all']);
        $copies = $house->copies();
        expect($copies)
            ->toHaveCount(1)
            ->and($copies[0])
            ->toEndWith('.tar.gpg')
            ->and((string) file_get_contents("{$house->folder}/copies/{$copies[0]}"))
            ->not->toContain('Beans');
        $back = run("bash {$restore} {$house->folder}/back");
        expect($back['exit'])->toBe(0, $back['all']);
        expect($back['out'])->toContain('differ=0');
        // Another passphrase opens nothing.
        file_put_contents("{$house->folder}/key", 'another');
        $shut = run("bash {$restore} {$house->folder}/shut");
        expect($shut['exit'])->toBe(1)->and($shut['out'])->toContain('the passphrase is another');
    },
);

test('a database that lives in a file is dumped while it is written to', function (): void {
    $house = new CopyHouse();
    $file = "{$house->folder}/seeds/loans.db";
    run(
        "sqlite3 {$file} 'PRAGMA journal_mode=WAL; CREATE TABLE loans (who TEXT); INSERT INTO loans VALUES (\"desk\"), (\"kiosk\")'",
    );
    [$backup, $restore] = $house->scripts(['database' => 'sqlite', 'database_file' => $file]);
    $made = run("bash {$backup}");
    expect($made['exit'])->toBe(0, $made['all']);
    $back = run("bash {$restore} {$house->folder}/back");
    expect($back['out'])
        ->toContain("the database's dump lies in {$house->folder}/back/database")
        ->and(
            trim(run("sqlite3 {$house->folder}/back/database/sqlite.db 'SELECT count(*) FROM loans'")['out']),
        )
        ->toBe('2');
});

test('the script keeps the same copies as the core says', function (): void {
    $house = new CopyHouse();
    $house->put('catalogue.txt', 'Beans.');
    mt_srand(17);
    for ($case = 0; $case < 4; $case++) {
        $keep = [
            'daily' => mt_rand(0, 5),
            'weekly' => mt_rand(0, 4),
            'monthly' => mt_rand(0, 4),
            'yearly' => mt_rand(1, 3),
        ];
        [$backup] = $house->scripts(['keep' => $keep]);
        run("rm -rf {$house->folder}/copies; mkdir {$house->folder}/copies");
        $stamps = [];
        for ($i = 0; $i < 60; $i++) {
            $stamps[] = gmdate(
                'Y-m-d\THis\Z',
                mt_rand(strtotime('2019-12-20 UTC'), strtotime('2026-11-20 UTC')),
            );
        }
        foreach ([...$stamps, 'notes', '2026-11-01T000000Z.old'] as $one) {
            mkdir("{$house->folder}/copies/{$one}");
        }
        $made = run("bash {$backup}");
        expect($made['exit'])->toBe(0, $made['all']);
        preg_match('/OK (\S+) /', $made['out'], $m);
        $kept = (new Keep(...$keep))->kept([...$stamps, $m[1]]);
        // What is not named like a copy is nobody's, and stays.
        $all = [...$kept, 'notes', '2026-11-01T000000Z.old'];
        sort($all);
        expect($house->copies())->toBe($all);
    }
});

test('service and timer are units that systemd takes', function (): void {
    $folder = scratch();
    foreach (['service', 'timer'] as $kind) {
        $writer = FileKinds::all()["backup-{$kind}"];
        $values =
            '{"name":"seeds","box":"larder","paths":["/srv/store"],"to":{"account":"warden","host":"172.22.8.20","folder":"/srv/copies"},"at":"23:05"}';
        file_put_contents(
            "{$folder}/backup-seeds.{$kind}",
            (string) $writer->write($values, (string) file_get_contents($writer->schema()), 'x')->text,
        );
    }
    $said = run(
        "systemd-analyze verify --man=no {$folder}/backup-seeds.timer {$folder}/backup-seeds.service",
    )['all'];
    expect(str_replace('Command /usr/local/sbin/backup-seeds is not executable', '', $said))
        ->not->toMatch('/backup-seeds\.(?:service|timer):\d/')
        ->and(run("systemd-analyze calendar '*-*-* 23:05:00'")['exit'])
        ->toBe(0);
});

test('what a shell would read otherwise arrives as one word', function (string $value): void {
    expect(run('printf %s '.ShellWord::of($value))['out'])->toBe($value);
})->with(['plain', "it's", '$(id)', '`id`', 'a b', '"', '\\', '*', '~']);
