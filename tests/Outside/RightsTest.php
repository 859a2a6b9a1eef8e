<?php

declare(strict_types=1);

// What tests/Core/Stores/rights says that people may do with shares and exports: those who let them are asked.

const RIGHTS = 'tests/Core/Stores/rights';

/** @return list<string> */
function rightsLines(string $file): array
{
    return file(RIGHTS."/{$file}", FILE_IGNORE_NEW_LINES) ?: [];
}

/** The number of a mode as `stat -c %A` writes it. */
function modeOf(string $written): int
{
    $mode = 0;
    foreach (str_split(substr($written, 1)) as $at => $letter) {
        $mode |= in_array($letter, ['-', 'S', 'T'], true) ? 0 : 0400 >> $at;
        $mode |= in_array($letter, ['s', 'S', 't', 'T'], true) ? [2 => 04000, 5 => 02000, 8 => 01000][$at] : 0;
    }

    return $mode;
}

test('a real file service lets three people and a guest do what is on record', function (): void {
    $folder = scratch();
    chmod($folder, 0755);
    foreach (['private', 'lock', 'state', 'cache', 'pid', 'log', 'shares'] as $one) {
        mkdir("{$folder}/{$one}", 0755);
    }
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    fclose($socket);
    $people = ['warden' => 4001, 'desk' => 4002, 'kiosk' => 4003];
    $groups = ['seeds' => 4100, 'kiosk' => 4003];
    $passwd = (string) file_get_contents('/etc/passwd');
    $group = (string) file_get_contents('/etc/group')."seeds:x:4100:warden,desk\n";
    foreach ($people as $name => $id) {
        $passwd .= "{$name}:x:{$id}:{$id}::/nonexistent:/bin/false\n";
        $group .= "{$name}:x:{$id}:\n";
    }
    file_put_contents("{$folder}/passwd", $passwd);
    file_put_contents("{$folder}/group", $group);
    // Where its accounts find the folder: the way to the real one need not be theirs to go.
    $seen = '/mnt';
    $conf = <<<CONF
    [global]
       workgroup = HOUSE
       server role = standalone server
       map to guest = bad user
       smb ports = {$port}
       interfaces = lo
       bind interfaces only = yes
       disable netbios = yes
       load printers = no
       printing = bsd
       printcap name = /dev/null
       disable spoolss = yes
       passdb backend = tdbsam:{$seen}/private/passdb.tdb
       private dir = {$seen}/private
       lock directory = {$seen}/lock
       state directory = {$seen}/state
       cache directory = {$seen}/cache
       pid directory = {$seen}/pid
       ncalrpc dir = {$seen}/ncalrpc
       log file = {$seen}/log/%m

    CONF;
    foreach (rightsLines('folders.txt') as $line) {
        [$mode, $owner, $of, $path] = explode(' ', $line);
        $path = str_replace($seen, $folder, $path);
        mkdir($path);
        chown($path, $people[$owner] ?? 0);
        chgrp($path, $groups[$of]);
        chmod($path, modeOf($mode));
        expect(trim(run("stat -c %A {$path}")['out']))->toBe($mode);
    }
    $asked = (string) file_get_contents(RIGHTS.'/shares-asked.txt');
    file_put_contents("{$folder}/smb.conf", $conf.file_get_contents(RIGHTS.'/shares.conf'));
    file_put_contents("{$folder}/ask", (string) preg_replace('/^(\S+ \S+).*/m', '$1', $asked));
    $said = run('unshare --mount bash '.__DIR__."/smbd.sh {$folder} {$port}");
    expect($said['exit'])->toBe(0, $said['all'])->and($said['out'])->toBe($asked);
});

test('the kernel lets the numbers of an export do what is on record', function (): void {
    // Where its numbers can go: the way to the usual place may be closed to them.
    $folder = '/dev/shm/burrow-test-'.bin2hex(random_bytes(6));
    mkdir($folder, 0755);
    register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($folder)));
    foreach (rightsLines('exported.txt') as $line) {
        [$mode, $owner, $of, $path] = explode(' ', $line);
        $path = str_replace('/srv', $folder, $path);
        mkdir($path);
        file_put_contents("{$path}/in", 'x');
        chown($path, (int) $owner);
        chgrp($path, (int) $of);
        chmod($path, modeOf($mode));
    }
    $ask = '';
    foreach (rightsLines('exports-asked.txt') as $line) {
        [$path, , $user, $groups] = explode(' ', $line);
        $ask .=
            "setpriv --reuid {$user} --regid ".explode(',', $groups)[0]." --groups {$groups}".
            ' sh -c \'r=no; w=no; ls "$0/in" >/dev/null 2>&1 && ls "$0" >/dev/null 2>&1 && r=yes; (: >"$0/new") 2>/dev/null && { w=yes; rm -f "$0/new"; }; echo $r $w\' '.
            str_replace('/srv', $folder, $path)."\n";
    }
    file_put_contents("{$folder}/ask.sh", $ask);
    $said = explode("\n", trim(run("sh {$folder}/ask.sh")['out']));
    foreach (rightsLines('exports-asked.txt') as $i => $line) {
        expect(implode(' ', array_slice(explode(' ', $line), 0, 4))." {$said[$i]}")->toBe($line);
    }
});
