<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\System\GroupFact;
use Burrow\Stores\Rights\Caller;
use Burrow\Stores\Rights\Export;
use Burrow\Stores\Rights\Folder;
use Burrow\Stores\Rights\Person;
use Burrow\Stores\Rights\Rights;
use Burrow\Stores\Rights\Share;

// Who may do what with a share, as we work it out, against the file service that lets them.

/** One share with rules of the kinds that people write. */
function someShare(int $number, string $path): string
{
    $any = fn (array $of): string => $of[array_rand($of)];
    $who = fn (): string => $any([
        'warden',
        'desk',
        'kiosk',
        '@seeds',
        '+seeds',
        'warden desk',
        'desk, @seeds',
        'nobody',
        '"kiosk"',
    ]);
    $lines = ["[s{$number}]", "path = {$path}"];
    foreach (
        [
            [2, fn (): string => 'read only = '.$any(['yes', 'no'])],
            [3, fn (): string => $any(['writable', 'writeable', 'write ok']).' = '.$any(['yes', 'no'])],
            [3, fn (): string => $any(['guest ok', 'public']).' = yes'],
            [6, fn (): string => 'guest only = yes'],
            [3, fn (): string => 'valid users = '.$who()],
            [5, fn (): string => 'invalid users = '.$who()],
            [4, fn (): string => 'read list = '.$who()],
            [3, fn (): string => 'write list = '.$who()],
            [7, fn (): string => 'force user = '.$any(['warden', 'desk'])],
            [6, fn (): string => 'force group = '.$any(['seeds', '+seeds'])],
            [9, fn (): string => 'admin users = '.$any(['desk', '@seeds'])],
        ] as [$one, $line]
    ) {
        mt_rand(1, $one) === 1 && ($lines[] = $line());
    }

    return implode("\n   ", $lines)."\n";
}

test('what a real file service lets three people and a guest do is what the matrix says', function (): void {
    $folder = scratch();
    chmod($folder, 0755);
    mt_srand(21);
    foreach (['private', 'lock', 'state', 'cache', 'pid', 'log', 'shares'] as $one) {
        mkdir("{$folder}/{$one}", 0755);
    }
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    fclose($socket);
    $people = ['warden' => 4001, 'desk' => 4002, 'kiosk' => 4003];
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
    $ask = $stat = '';
    for ($number = 0; $number < 40; $number++) {
        $path = "{$folder}/shares/s{$number}";
        mkdir($path);
        [$owner, $of, $mode] = [
            ['warden' => 4001, 'desk' => 4002, 'root' => 0][
                ($whose = ['warden', 'desk', 'root'][mt_rand(0, 2)])
            ],
            ['seeds' => 4100, 'kiosk' => 4003][($which = ['seeds', 'kiosk'][mt_rand(0, 1)])],
            [0700, 0750, 0770, 0755, 0775, 0777, 02770, 01777][mt_rand(0, 7)],
        ];
        chown($path, $owner);
        chgrp($path, $of);
        chmod($path, $mode);
        $modes = trim(run("stat -c %A {$path}")['out']);
        $stat .= "{$modes} {$whose} {$which} {$seen}/shares/s{$number}\n";
        $conf .= someShare($number, "{$seen}/shares/s{$number}");
        foreach ([...array_keys($people), 'guest'] as $name) {
            $ask .= "{$name} s{$number}\n";
        }
    }
    file_put_contents("{$folder}/smb.conf", $conf);
    file_put_contents("{$folder}/ask", $ask);
    $said = run('unshare --mount bash '.__DIR__."/smbd.sh {$folder} {$port}");
    expect($said['exit'])->toBe(0, $said['all']);

    $groups = Intake::standard()->read('groups', $group)->all(GroupFact::class);
    $rights = new Rights(Rights::members($groups), Folder::all($stat));
    $shares = [];
    foreach (Share::all($conf) as $share) {
        $shares[$share->name] = $share;
    }
    expect($shares)->toHaveCount(40);
    $other = [];
    $counts = [];
    foreach (explode("\n", trim($said['out'])) as $line) {
        [$name, $share, $reads, $writes] = explode(' ', $line);
        $right = $rights->of($shares[$share], $name === 'guest' ? Person::guest() : $rights->person($name));
        $told = ($right->reads ? 'yes' : 'no').' '.($right->writes ? 'yes' : 'no');
        $counts["{$reads} {$writes}"] = ($counts["{$reads} {$writes}"] ?? 0) + 1;
        $told === "{$reads} {$writes}" ||
            ($other[] = "{$name} {$share}: {$reads} {$writes}, and not {$told}; {$right->because}");
    }
    expect($other)
        ->toBe([])
        ->and(array_sum($counts))
        ->toBe(160)
        // Each of the three is met often.
        ->and(min($counts['yes yes'] ?? 0, $counts['yes no'] ?? 0, $counts['no no'] ?? 0))
        ->toBeGreaterThan(15);
});

test('what the numbers of an export let people do is what the kernel lets such numbers do', function (): void {
    // Where its numbers can go: the way to the usual place may be closed to them.
    $folder = '/dev/shm/burrow-test-'.bin2hex(random_bytes(6));
    mkdir($folder, 0755);
    register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($folder)));
    mt_srand(22);
    $exports = $stat = '';
    for ($number = 0; $number < 60; $number++) {
        mkdir($path = "{$folder}/e{$number}");
        file_put_contents("{$path}/in", 'x');
        chown($path, [0, 4001, 4002, 65534][mt_rand(0, 3)]);
        chgrp($path, [4100, 4003, 65534][mt_rand(0, 2)]);
        chmod($path, [0700, 0750, 0770, 0755, 0775, 0777, 0711, 0733, 02770, 01777][mt_rand(0, 9)]);
        $stat .= trim(run("stat -c '%A %u %g %n' {$path}")['out'])."\n";
        $options = [
            ['rw', 'ro'][mt_rand(0, 1)],
            ['root_squash', 'no_root_squash', 'all_squash', 'all_squash,anonuid=4001,anongid=4100', 'sync'][
                mt_rand(0, 4)
            ],
        ];
        $exports .= "{$path} 172.22.8.0/24(".implode(',', $options).")\n";
    }
    $callers = Caller::all(<<<'ID'
    uid=0(root) gid=0(root) groups=0(root)
    uid=4001(warden) gid=4001(warden) groups=4001(warden),4100(seeds)
    uid=4002(desk) gid=4002(desk) groups=4002(desk),0(root)
    uid=4003(kiosk) gid=4003(kiosk)
    ID);
    expect($callers)->toHaveCount(4);
    $folders = Folder::all($stat);
    $lines = [];
    foreach (Export::all($exports) as $export) {
        foreach ($callers as $caller) {
            [$user, $groups] = $export->taken($caller);
            $lines[] = "setpriv --reuid {$user} --regid {$groups[0]} --groups ".implode(',', $groups).
                ' sh -c \'r=no; w=no; ls "$0/in" >/dev/null 2>&1 && ls "$0" >/dev/null 2>&1 && r=yes; (: >"$0/new") 2>/dev/null && { w=yes; rm -f "$0/new"; }; echo $r $w\' '.
                $export->path;
        }
    }
    file_put_contents("{$folder}/ask.sh", implode("\n", $lines)."\n");
    $said = explode("\n", trim(run("sh {$folder}/ask.sh")['out']));
    $other = $counts = [];
    foreach (Export::all($exports) as $export) {
        foreach ($callers as $caller) {
            [$reads, $writes] = explode(' ', (string) array_shift($said));
            $right = $export->lets($caller, $folders, []);
            // The file service itself keeps a read-only export from being written.
            $writes = $export->readOnly ? 'no' : $writes;
            $told = ($right->reads ? 'yes' : 'no').' '.($right->writes ? 'yes' : 'no');
            $counts[$told] = ($counts[$told] ?? 0) + 1;
            $told === "{$reads} {$writes}" ||
                ($other[] = "{$caller->name} {$export->path}: {$reads} {$writes}, not {$told}; {$right->because}");
        }
    }
    expect($other)->toBe([])->and(count($counts))->toBe(4);
});
