<?php

declare(strict_types=1);

use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Step\Values;
use Burrow\BringUp\Write\HttpsSite;
use Burrow\Card\Write\CardFile;
use Burrow\Card\Write\DeclarativeWriter;
use Burrow\Card\Write\FirstBoot;
use Burrow\Card\Write\Sha512Crypt;
use Burrow\Card\Write\YamlScalar;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\SshPublicKey;
use Burrow\Stores\FstabLine;
use Burrow\Stores\SmbShare;
use Symfony\Component\Yaml\Yaml;

// Every file that the core writes is read here by the program that reads it on the box.

/** @return array<string, string> */
function firstBootFiles(
    string $name = 'wren',
    ?string $hash = null,
    array $packages = ['samba', 'parted'],
): array {
    $key =
        $hash === null
            ? SshPublicKey::tryParse(
                'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk: "a" #b',
            )
            : null;
    $files = (new DeclarativeWriter())->write(
        new FirstBoot(
            Hostname::parse($name),
            'thistledown.home.arpa',
            "{$name}-1",
            'warden',
            $key,
            $hash,
            'Europe/London',
            'gb',
            $packages,
        ),
    );

    return array_combine(
        array_map(fn (CardFile $f) => $f->name, $files),
        array_map(fn (CardFile $f) => $f->text(), $files),
    );
}

function cloudInitSchema(string $userData): array
{
    $folder = scratch();
    file_put_contents("{$folder}/user-data", $userData);
    $home = getenv('CLOUD_INIT') ?: getcwd().'/var/tools/cloud-init';

    return run(
        "PYTHONPATH={$home}/usr/lib/python3/dist-packages /usr/bin/python3 -m cloudinit.cmd.main schema --config-file {$folder}/user-data",
    );
}

test('cloud-init accepts our user-data', function (string $name, ?string $hash, array $packages): void {
    $result = cloudInitSchema(firstBootFiles($name, $hash, $packages)['user-data']);
    expect($result['all'])->toContain('Valid cloud-config')->and($result['exit'])->toBe(0);
})->with([
    'by key' => ['wren', null, ['samba', 'parted']],
    'by password' => ['wren', '$6$abcdefgh$'.str_repeat('x', 86), ['samba']],
    'an awkward name, no packages' => ['on', null, []],
]);

test('cloud-init\'s schema check can say no', function (): void {
    expect(
        cloudInitSchema(str_replace('ssh_pwauth: false', 'ssh_pwauth: [1]', firstBootFiles()['user-data']))[
            'exit'
        ],
    )->not->toBe(0);
});

test(
    'cloud-init\'s schema accepts every right card of the corpus, but for those that say they are beyond it',
    function (): void {
        $folder = scratch();
        $expected = [];
        foreach (glob('tests/Core/Card/cards/right/*.yaml') ?: [] as $file) {
            $card = Yaml::parseFile($file);
            if (isset($card['files']['user-data'])) {
                file_put_contents("{$folder}/".basename($file), $card['files']['user-data']);
                $expected[basename($file)] = ! ($card['beyond_schema'] ?? false);
            }
        }
        $script = <<<'PY'
        import glob, json, os, sys
        from cloudinit.config.schema import get_schema, validate_cloudconfig_file
        said = {}
        stdout, sys.stdout = sys.stdout, sys.stderr
        for path in sorted(glob.glob(sys.argv[1] + "/*")):
            try:
                validate_cloudconfig_file(path, get_schema())
                said[os.path.basename(path)] = True
            except ValueError:
                said[os.path.basename(path)] = False
        json.dump(said, stdout)
        PY;
        $home = getenv('CLOUD_INIT') ?: getcwd().'/var/tools/cloud-init';
        $checked = run(
            "PYTHONPATH={$home}/usr/lib/python3/dist-packages /usr/bin/python3 -c ".
                escapeshellarg($script).
                " {$folder}",
        );
        expect(json_decode($checked['out'], true))
            ->toBe($expected)
            ->and(count($expected))
            ->toBeGreaterThanOrEqual(40);
    },
);

test('PyYAML, which cloud-init uses, reads what we meant', function (): void {
    $texts = [
        'on',
        'no',
        '0123',
        '12:30',
        '1e3',
        'a: b',
        'ümläut',
        "it's",
        '"q"',
        '~',
        '=',
        'y',
        '0o7',
        '0x1f',
        '1_000',
        '2026-11-25',
        '<<',
        '- a',
        '#',
        "a\tb",
        'wren',
        '/srv/x y',
        '$6$a$b/c.d',
    ];
    $yaml = implode('', array_map(fn (string $text): string => '- '.YamlScalar::of($text)."\n", $texts));
    $read = run(
        '/usr/bin/python3 -c "import sys, yaml, json; print(json.dumps(yaml.safe_load(sys.stdin.buffer.read().decode())))"',
        $yaml,
    );
    expect(json_decode($read['out'], true))->toBe($texts);
});

test('netplan takes our network-config', function (): void {
    $root = scratch();
    mkdir("{$root}/etc/netplan", 0755, true);
    file_put_contents(
        "{$root}/etc/netplan/50-cloud-init.yaml",
        Yaml::dump(['network' => Yaml::parse(firstBootFiles()['network-config'])], 6),
    );
    chmod("{$root}/etc/netplan/50-cloud-init.yaml", 0600);
    $result = run("netplan generate --root-dir {$root}");
    $made = glob("{$root}/run/systemd/network/*.network") ?: [];
    expect($result['exit'])
        ->toBe(0)
        ->and(count($made))
        ->toBe(1)
        ->and(file_get_contents($made[0]))
        ->toContain('Name=e*')
        ->toContain('DHCP=ipv4')
        ->toContain('RequiredForOnline=no');
});

test('findmnt verifies our line of fstab', function (string $mountPoint): void {
    $folder = scratch();
    $point = "{$folder}{$mountPoint}";
    mkdir($point, 0755, true);
    file_put_contents(
        "{$folder}/fstab",
        new FstabLine('7c9e6679-7425-40de-944b-e07fc1f90ae7', $point)."\n",
    );
    $verified = run("findmnt --verify --verbose --tab-file {$folder}/fstab");
    // The disk is not in this machine, so its UUID is the one thing that may be unreachable.
    $wrong = array_filter(
        explode("\n", $verified['all']),
        fn (string $line): bool => str_contains($line, '[E]') && ! str_contains($line, 'unreachable'),
    );
    expect($wrong)->toBe([])->and($verified['all'])->toContain('target exists');
    $parsed = json_decode(
        run("findmnt --fstab --tab-file {$folder}/fstab --json --output TARGET,FSTYPE,OPTIONS,PASSNO,SOURCE")[
            'out'
        ],
        true,
    )['filesystems'][0];
    expect($parsed['target'])
        ->toBe($point)
        ->and($parsed['fstype'])
        ->toBe('ext4')
        ->and($parsed['options'])
        ->toContain('nofail')
        ->and((int) $parsed['passno'])
        ->toBe(2)
        ->and($parsed['source'])
        ->toBe('UUID=7c9e6679-7425-40de-944b-e07fc1f90ae7');
})->with(['/srv/store', '/srv/seed scans', '/srv/a#b']);

test('testparm reads our share as it is meant', function (): void {
    $folder = scratch();
    file_put_contents(
        "{$folder}/smb.conf",
        "[global]\n   workgroup = WORKGROUP\n\n".new SmbShare('seed scans', '/srv/store', 'warden')."\n",
    );
    $result = run("testparm --suppress-prompt {$folder}/smb.conf");
    expect($result['exit'])
        ->toBe(0)
        ->and($result['all'])
        ->toContain('Loaded services file OK')
        ->not->toContain('Unknown parameter');
    foreach (
        [
            'path' => '/srv/store',
            'valid users' => 'warden',
            'read only' => 'No',
            'guest ok' => 'No',
            'browseable' => 'Yes',
        ] as $name => $value
    ) {
        expect(
            trim(
                run(
                    "testparm --suppress-prompt --section-name='seed scans' --parameter-name='{$name}' {$folder}/smb.conf 2>/dev/null",
                )['out'],
            ),
        )->toBe($value);
    }
});

test('passwords hash as openssl does', function (string $password, string $salt): void {
    expect(Sha512Crypt::hash($password, $salt))->toBe(
        trim(run('openssl passwd -6 -salt '.escapeshellarg($salt).' -stdin', $password."\n")['out']),
    );
})->with([
    ['thistle down feather', 'abcdefghijklmnop'],
    ['ümläut 🌱', './09AZaz'],
    [str_repeat('long ', 30), 'x'],
]);

// Published vector of the SHA-crypt specification for the default number of rounds.
test('the SHA-crypt vector', function (): void {
    expect(Sha512Crypt::hash('Hello world!', 'saltstring'))
        ->toBe(
            '$6$saltstring$svn8UoSVapNtMuq1ukKS4tPQd8iKwSMHWjl/O817G3uBnIFNjnQJuesI68u4OTLiBFdcbYEdFCoEOfaS35inz1',
        )
        ->and(fn () => Sha512Crypt::hash('x', 'a$b'))
        ->toThrow(InvalidArgumentException::class);
});

test('fingerprints are those of ssh-keygen', function (string $type, string $bits): void {
    $folder = scratch();
    run("ssh-keygen -q -t {$type} {$bits} -N '' -C 'warden@desk' -f {$folder}/key");
    $key = SshPublicKey::tryParse((string) file_get_contents("{$folder}/key.pub"));
    expect(explode(' ', run("ssh-keygen -l -f {$folder}/key.pub")['out'])[1])->toBe($key?->fingerprint());
})->with([['ed25519', ''], ['rsa', '-b 2048'], ['ecdsa', '-b 256']]);

test('a value in a command arrives as one word', function (string $value): void {
    $command = (new Values(['value' => $value]))->fill('printf "%s|" {{value}}');
    expect(run((string) $command)['out'])->toBe($value.'|');
})->with([
    'plain',
    'two words',
    "it's",
    '$(touch /tmp/x)',
    '`id`',
    '; rm -rf x',
    'a"b',
    '*',
    "line\nbreak",
    '\\',
    '--option=1',
    '~',
    'ümläut',
]);

test('the commands of the playbook are shell that parses', function (): void {
    $odd = array_fill_keys(
        [
            'host',
            'user',
            'address',
            'mac',
            'fingerprint',
            'disk',
            'disk_serial',
            'disk_partition',
            'store_label',
            'share',
        ],
        "o'dd value",
    );
    // What a writer of core takes is what such a thing looks like.
    $values = new Values([
        ...$odd,
        'uuid' => '3f1c0a52-0d11-4b7e-9a55-1d2e3f405162',
        'mount_point' => "/srv/o'dd value",
    ]);
    foreach (everyStep() as $id => $step) {
        if ($step->kind->place() === StepPlace::Box) {
            expect([$id, run('bash -n', (string) $values->fill($step->command))['exit']])->toBe([$id, 0]);
        }
    }
});

test('systemd and nginx take what is shipped for an own machine', function (): void {
    $folder = scratch();
    $unit = str_replace(
        ['/opt/keen-burrow', 'User=burrow', 'Group=burrow'],
        [getcwd(), 'User=root', 'Group=root'],
        (string) file_get_contents('deploy/systemd/keen-burrow.service'),
    );
    file_put_contents("{$folder}/keen-burrow.service", $unit);
    expect(run("systemd-analyze verify --man=no {$folder}/keen-burrow.service")['all'])->not->toContain(
        'keen-burrow.service:',
    );
    run(
        "openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=burrow -keyout {$folder}/key -out {$folder}/pem",
    );
    $site = str_replace(
        ['/etc/ssl/certs/keen-burrow.pem', '/etc/ssl/private/keen-burrow.key'],
        ["{$folder}/pem", "{$folder}/key"],
        (string) file_get_contents('deploy/nginx/keen-burrow.conf'),
    );
    file_put_contents(
        "{$folder}/nginx.conf",
        "pid {$folder}/pid; error_log stderr; events {} http { access_log off; client_body_temp_path {$folder}/b; proxy_temp_path {$folder}/p; fastcgi_temp_path {$folder}/f; uwsgi_temp_path {$folder}/u; scgi_temp_path {$folder}/s;\n{$site}\n}",
    );
    $checked = run("/usr/sbin/nginx -t -e stderr -p {$folder} -c {$folder}/nginx.conf");
    expect($checked['all'])->toContain('syntax is ok');
});

test('nginx speaks TLS before a page with the certificate that the site tells to make', function (): void {
    $folder = scratch();
    $page = stream_socket_server('tcp://127.0.0.1:0');
    $number = (int) substr((string) strrchr((string) stream_socket_get_name($page, false), ':'), 1);
    $free = stream_socket_server('tcp://127.0.0.1:0');
    $outer = (int) substr((string) strrchr((string) stream_socket_get_name($free, false), ':'), 1);
    fclose($free);
    $site = (new HttpsSite('larder', 'thistledown.home.arpa', $number))->byHand(Ipv4::parse('172.22.8.14'));
    $here = strtr($site, [
        '/etc/ssl/private' => $folder,
        '/etc/ssl/certs' => $folder,
        'listen 443' => "listen 127.0.0.1:{$outer}",
    ]);
    preg_match('/^#\s+(openssl .+)$/m', $here, $command);
    expect(run($command[1])['exit'])->toBe(0);
    file_put_contents(
        "{$folder}/nginx.conf",
        "daemon off; master_process off; pid {$folder}/pid; error_log stderr; events {} http { access_log off; client_body_temp_path {$folder}/b; proxy_temp_path {$folder}/p; fastcgi_temp_path {$folder}/f; uwsgi_temp_path {$folder}/u; scgi_temp_path {$folder}/s;\n{$here}\n}",
    );
    $server = proc_open(
        ['/usr/sbin/nginx', '-e', 'stderr', '-p', $folder, '-c', "{$folder}/nginx.conf"],
        [2 => ['file', "{$folder}/said", 'w']],
        $pipes,
    );
    // Asks until the server is up, and believes the certificate of the site alone.
    $client = proc_open(
        [
            PHP_BINARY,
            '-r',
            <<<'ASK'
            [, $outer, $certificate] = $argv;
            $believes = ['cafile' => $certificate, 'peer_name' => 'larder.thistledown.home.arpa'];
            $asks = ['header' => 'Host: larder.thistledown.home.arpa', 'timeout' => 20];
            for ($try = 0; $try < 200 && ($said ?? false) === false; $try++) {
                usleep(100_000);
                $said = @file_get_contents("https://127.0.0.1:{$outer}/library", false,
                    stream_context_create(['ssl' => $believes, 'http' => $asks]));
            }
            echo $said;
            ASK
            ,
            '--',
            (string) $outer,
            "{$folder}/larder.pem",
        ],
        [1 => ['pipe', 'w']],
        $ends,
    );
    try {
        $asked = stream_socket_accept($page, 25);
        $head = '';
        while (is_resource($asked) && ! str_contains($head, "\r\n\r\n") && ! feof($asked)) {
            $head .= fread($asked, 4096);
        }
        fwrite($asked, "HTTP/1.0 200 OK\r\nContent-Length: 7\r\n\r\nseeds.\n");
        fclose($asked);
        expect($head)
            ->toStartWith('GET /library ')
            ->toContain('X-Forwarded-Proto: https', 'Host: larder.thistledown.home.arpa')
            ->and(stream_get_contents($ends[1]))
            ->toBe("seeds.\n");
    } finally {
        proc_terminate($client);
        proc_terminate($server);
        proc_close($client);
        proc_close($server);
    }
});
