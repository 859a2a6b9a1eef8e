<?php

declare(strict_types=1);

// The start scripts when the disk is full, when a process is gone, and when logs have grown.

/** Runs lines of bash with the project's own functions at hand. */
function withScripts(string $lines, string $folder): array
{
    return run(
        <<<BASH
        set -u
        ROOT={$folder} VAR={$folder}/var RUN={$folder}/var/run COMMAND=test PATH=\$PATH:/usr/sbin
        mkdir -p \$RUN \$VAR/log
        say() { printf '· %s\\n' "\$*"; }
        die() { printf 'died: %s\\n' "\$1"; exit 1; }
        . scripts/packages.sh; . scripts/services.sh; . scripts/copy.sh
        {$lines}
        BASH
        ,
    );
}

test('a file is whole or is the one from before', function (): void {
    $folder = scratch();
    expect(withScripts('write_whole $VAR/port 8737; cat $VAR/port', $folder)['out'])->toBe('8737');
    // No file may grow any more, as on a full disk.
    $full = withScripts(
        '(trap "" XFSZ; ulimit -f 0; write_whole $VAR/port 9999); echo " kept $(cat $VAR/port)"; ls $VAR',
        $folder,
    );
    expect($full['out'])->toContain('died: ')->toContain('kept 8737')->not->toContain('port.new');
});

test('a pid that is used again, or whose process has only its name left, does not live', function (): void {
    $folder = scratch();
    $out = withScripts(
        <<<'BASH'
        launch a sleep 30; alive a && echo lives
        read -r pid start <"$RUN/a.started"
        printf '%s %s\n' "$pid" 12345 >"$RUN/a.started"; alive a || echo another
        printf '%s %s\n' "$pid" "$start" >"$RUN/a.started"; kill -KILL "$pid"; sleep 0.2; alive a || echo ended
        # A child of somebody who does not wait for it.
        zombie=$(python3 -c 'import os,time,sys
        pid=os.fork()
        if pid==0: os._exit(0)
        print(pid, flush=True)
        time.sleep(2)' | head -1 & wait $!)
        [ -n "$zombie" ] && [ -z "$(started_at "$zombie")" ] && echo zombie
        BASH
        ,
        $folder,
    )['out'];
    expect($out)->toContain('lives', 'another', 'ended', 'zombie');
});

test('logs that have grown begin anew, three are kept, and who writes goes on writing', function (): void {
    $folder = scratch();
    $out = withScripts(
        <<<'BASH'
        LOG_BYTES=100
        exec 7>>"$VAR/log/fpm.log"
        for n in 1 2 3 4 5; do head -c 150 /dev/zero | tr '\0' "$n" >&7; shorten_logs; done
        echo last >&7
        ls "$VAR/log"; cat "$VAR/log/fpm.log"; head -c 1 "$VAR/log/fpm.log.1"; head -c 1 "$VAR/log/fpm.log.3"
        BASH
        ,
        $folder,
    )['out'];
    expect($out)->toBe("fpm.log\nfpm.log.1\nfpm.log.2\nfpm.log.3\nlast\n53");
});

test('a folder in a shared place has a name that nobody can guess, and is only ours', function (): void {
    $folder = scratch();
    $out = withScripts(
        <<<BASH
        a=\$(own_folder memory-folder {$folder}); b=\$(own_folder memory-folder {$folder})
        [ "\$a" = "\$b" ] && echo same
        stat --format=%a "\$a"; echo "\$a" | grep -cE 'burrow\\.[A-Za-z0-9]{12}\$'
        # Somebody else's link in its place is not used.
        rmdir "\$a"; ln -s /etc "\$a"; c=\$(own_folder memory-folder {$folder}); [ "\$c" != "\$a" ] && echo other
        BASH
        ,
        $folder,
    )['out'];
    expect($out)->toBe("same\n700\n1\nother\n");
});

test('what a host name may not hold is refused before it reaches the web server', function (string $hosts): void {
    expect(run('BURROW_HOSTS='.escapeshellarg($hosts).' ./burrow down')['err'])->toContain('no host name');
})->with(['a;b', 'a{b', "x\ny; }"]);
