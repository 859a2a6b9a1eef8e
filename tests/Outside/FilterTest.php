<?php

declare(strict_types=1);

use App\Files\FileKinds;
use Burrow\Filter\Lists;
use Burrow\Intake\Intake;
use Burrow\Intake\Names\Query;

// Real resolvers on loopback with files of ours: they answer as we said they would, and their logs are read.

/** @return array{names: list<string>, allow: list<string>, asked: list<string>} the same for a seed */
function filterCase(int $seed): array
{
    mt_srand($seed);
    $label = fn (): string => substr(str_shuffle('abcdefghijklmnopqrstuvwxyz'), 0, mt_rand(3, 8));
    $names = $asked = [];
    for ($i = 0; $i < 120; $i++) {
        $name = "{$label()}.{$label()}.test";
        $under = mt_rand(0, 1) === 0;
        $names[] = ($under ? '*.' : '').$name;
        array_push($asked, $name, "below.{$name}", substr($name, 1), "{$label()}.test");
    }
    $allow = [];
    foreach (array_slice($names, 0, 20) as $i => $name) {
        $plain = ltrim($name, '*.');
        $allow[] = $i % 2 === 0 ? $plain : "kept.{$plain}";
        array_push($asked, "kept.{$plain}", "deep.kept.{$plain}");
    }

    return ['names' => $names, 'allow' => $allow, 'asked' => array_values(array_unique($asked))];
}

/** A port of loopback that nobody holds. */
function freeUdpPort(): int
{
    $socket = stream_socket_server('udp://127.0.0.1:0', $code, $message, STREAM_SERVER_BIND);
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    fclose($socket);

    return $port;
}

/**
 * Asks a resolver on loopback; refused is what does not exist or leads nowhere.
 *
 * @param  list<string>  $names
 * @return array<string, bool>
 */
function askedAt(int $port, array $names): array
{
    $refused = [];
    foreach (array_chunk($names, 200) as $some) {
        $file = tempnam(sys_get_temp_dir(), 'dig');
        file_put_contents($file, implode("\n", array_map(fn (string $name): string => "{$name} A", $some)));
        $said = run("dig @127.0.0.1 -p {$port} +noall +answer +comments +tries=1 +time=3 -f {$file}")['out'];
        $answers = preg_split('/(?=^;; Got answer:)/m', $said, -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $answers = array_values(
            array_filter($answers, fn (string $one): bool => str_contains($one, 'status: ')),
        );
        foreach ($answers as $i => $answer) {
            $refused[$some[$i]] =
                str_contains($answer, 'status: NXDOMAIN') ||
                preg_match('/\sA\s+0\.0\.0\.0$/m', $answer) === 1;
        }
    }

    return $refused;
}

/** What answers every name of "test" with an address, as the world behind a resolver. */
function world(string $folder): int
{
    $port = freeUdpPort();
    run(
        "dnsmasq --keep-in-foreground --no-hosts --no-resolv --port={$port} --listen-address=127.0.0.1 --bind-interfaces --address=/test/198.51.100.7 --pid-file={$folder}/world.pid >{$folder}/world.log 2>&1 & echo $! >{$folder}/world",
    );

    return $port;
}

/** Ends what a test started, and waits for its end: a resolver writes the last of its log on its way out. */
function endAll(string $folder): void
{
    $files = array_filter(
        [...glob("{$folder}/*.pid") ?: [], "{$folder}/world", "{$folder}/resolver"],
        is_file(...),
    );
    $pids = array_filter(array_map(fn (string $file): int => (int) file_get_contents($file), $files));
    array_map(fn (int $pid): bool => posix_kill($pid, SIGTERM), $pids);
    $lives = fn (int $pid): bool => preg_match(
        '/\) [^ZX]/',
        (string) @file_get_contents("/proc/{$pid}/stat"),
    ) === 1;
    for ($try = 0; $try < 100 && array_filter($pids, $lives) !== []; $try++) {
        usleep(50_000);
    }
}

function writtenList(string $kind, array $case): string
{
    $writer = FileKinds::all()[$kind];
    $written = $writer->write(
        (string) json_encode(['names' => $case['names'], 'allow' => $case['allow']]),
        (string) file_get_contents($writer->schema()),
        'list',
    );
    expect($written->findings->codes())->toBe([]);

    return (string) $written->text;
}

/** What we say of each name. */
function foretold(array $case): array
{
    $lists = new Lists();
    $lists->add('list', array_combine(range(1, count($case['names'])), $case['names']));
    foreach ($case['allow'] as $name) {
        $lists->allow("*{$name}");
    }
    $told = [];
    foreach ($case['asked'] as $name) {
        $told[$name] = $lists->refusing($name) !== 0;
    }

    return $told;
}

test('a resolver with our file refuses what we say it refuses, and its log says the same', function (
    string $resolver,
): void {
    $case = filterCase(15);
    $folder = scratch();
    chmod($folder, 0755);
    $world = world($folder);
    $port = freeUdpPort();
    $list = writtenList(
        [
            'dnsmasq' => 'dnsmasq-list',
            'unbound' => 'unbound-list',
            'unbound with policies' => 'rpz',
            'named' => 'rpz',
        ][$resolver],
        $case,
    );
    file_put_contents("{$folder}/list", $list);
    $log = "{$folder}/log";
    $start = match ($resolver) {
        'dnsmasq' => "dnsmasq --keep-in-foreground --no-hosts --no-resolv --port={$port} --listen-address=127.0.0.1 --bind-interfaces --server=127.0.0.1#{$world} --conf-file={$folder}/list --log-queries --log-facility={$log}",
        default => '',
    };
    if ($resolver === 'dnsmasq') {
        expect(run("dnsmasq --test --conf-file={$folder}/list")['exit'])->toBe(0);
    } elseif ($resolver === 'named') {
        file_put_contents(
            "{$folder}/named.conf",
            <<<CONF
            options { directory "{$folder}"; listen-on port {$port} { 127.0.0.1; }; listen-on-v6 { none; }; pid-file "{$folder}/named.pid"; session-keyfile "{$folder}/session.key"; forwarders { 127.0.0.1 port {$world}; }; forward only; dnssec-validation no; response-policy { zone "rpz.house"; } qname-wait-recurse no; empty-zones-enable no; };
            controls { };
            zone "rpz.house" { type primary; file "{$folder}/list"; };
            logging { channel all { file "{$log}"; severity info; print-time yes; print-category yes; print-severity yes; }; category queries { all; }; category rpz { all; }; };
            CONF
            ,
        );
        expect(run("named-checkzone rpz.house {$folder}/list")['exit'])
            ->toBe(0)
            ->and(run("named-checkconf {$folder}/named.conf")['all'])
            ->toBe('');
        $start = "named -f -c {$folder}/named.conf";
    } else {
        $policies =
            $resolver === 'unbound'
                ? "include: \"{$folder}/list\""
                : "rpz:\n  name: rpz.house\n  zonefile: \"{$folder}/list\"\n  rpz-log: yes";
        $modules = $resolver === 'unbound' ? 'iterator' : 'respip iterator';
        file_put_contents(
            "{$folder}/unbound.conf",
            <<<CONF
            server:
              interface: 127.0.0.1
              port: {$port}
              username: ""
              chroot: ""
              directory: "{$folder}"
              pidfile: "{$folder}/unbound.pid"
              logfile: "{$log}"
              use-syslog: no
              log-queries: yes
              log-replies: yes
              log-local-actions: yes
              do-not-query-localhost: no
              module-config: "{$modules}"
              local-zone: "test." nodefault
            {$policies}
            forward-zone:
              name: "."
              forward-addr: 127.0.0.1@{$world}
            CONF
            ,
        );
        $checked = run("unbound-checkconf {$folder}/unbound.conf");
        expect([$checked['exit'], $checked['err']])->toBe([0, '']);
        $start = "unbound -d -p -c {$folder}/unbound.conf";
    }
    run("{$start} >{$folder}/said 2>&1 & echo $! >{$folder}/resolver");
    try {
        for (
            $try = 0;
            $try < 60 && run("dig @127.0.0.1 -p {$port} +short +tries=1 +time=1 ready.test")['out'] === '';
            $try++
        ) {
            usleep(100_000);
        }
        $answered = askedAt($port, $case['asked']);
    } finally {
        endAll($folder);
    }
    $foretold = foretold($case);
    $wrong = array_filter(
        $answered,
        fn (bool $refused, string $name): bool => $foretold[$name] !== $refused,
        ARRAY_FILTER_USE_BOTH,
    );
    expect(array_slice($wrong, 0, 5, true))
        ->toBe([])
        ->and(count($answered))
        ->toBe(count($case['asked']));

    // The log, read by us, tells of the same questions.
    $read = Intake::standard()->read('auto', (string) file_get_contents($log));
    expect($read->kind)->toBe('querylog');
    $logged = [];
    foreach ($read->all(Query::class) as $query) {
        $logged[$query->name] = $query->outcome === 'refused';
        expect($query->client)->toBe('127.0.0.1');
    }
    unset($logged['ready.test']);
    $missing = array_diff_key($answered, $logged);
    expect(array_slice($missing, 0, 3, true))->toBe([]);
    $other = array_filter(
        $logged,
        fn (bool $refused, string $name): bool => ($answered[$name] ?? null) !== $refused,
        ARRAY_FILTER_USE_BOTH,
    );
    expect(array_slice($other, 0, 5, true))->toBe([]);
})->with(['dnsmasq', 'unbound', 'unbound with policies', 'named']);
