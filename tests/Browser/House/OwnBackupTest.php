<?php

declare(strict_types=1);

// A backup of the tool itself while others write: what belongs together is in it together, or not at all.

const WRITER = <<<'PHP'
require 'vendor/autoload.php';
$app = require 'bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
use Illuminate\Support\Facades\DB;
$box = DB::table('boxes')->min('id');
for ($n = 1; ! file_exists($argv[1]); $n++) {
    DB::transaction(function () use ($box, $n): void {
        DB::table('measurements')->insert(['box_id' => $box, 'megabytes' => $n, 'idle' => 0.123, 'created_at' => now()]);
        DB::table('fill_samples')->insert(
            ['box_id' => $box, 'mount' => '/load', 'bytes' => 1000000, 'used_bytes' => $n, 'taken_at' => now()],
        );
        DB::table('networks')->orderBy('id')->limit(1)->update(['contact' => "load {$n}"]);
    });
}
PHP;

test('a backup taken under load reads back consistent, and is the record of one moment', function (): void {
    resetDemo();
    $folder = scratch();
    file_put_contents("{$folder}/writer.php", "<?php\n".WRITER);
    $writer = proc_open(
        [
            'sh',
            '-c',
            'exec '.
            outside('php '.escapeshellarg("{$folder}/writer.php").' '.escapeshellarg("{$folder}/stop")),
        ],
        [['file', '/dev/null', 'r'], ['file', "{$folder}/log", 'w'], ['file', "{$folder}/log", 'a']],
        $pipes,
        getcwd(),
    );
    try {
        $last = 0;
        foreach ([1, 2] as $number) {
            usleep(1_500_000);
            // The command reads it back into a database of its own and compares them before it says that it went.
            $made = run(outside("php artisan burrow:backup {$folder}/{$number}.tar.gz"));
            expect([$made['all'], $made['exit']])->toBe([$made['all'], 0]);
            $checked = run(outside("php artisan burrow:restore --check {$folder}/{$number}.tar.gz"));
            expect([$checked['all'], $checked['exit']])->toBe([$checked['all'], 0]);
            run("mkdir -p {$folder}/{$number} && tar -xzf {$folder}/{$number}.tar.gz -C {$folder}/{$number}");
            $sql = (string) file_get_contents(glob("{$folder}/{$number}/*.sql")[0]);
            preg_match_all("~'/load',(?:NULL,)?1000000,(\d+),~", $sql, $fills);
            preg_match_all('~,(\d+(?:\.0+)?),0\.123,~', $sql, $rates);
            preg_match("~'load (\d+)'~", $sql, $contact);
            $filled = array_map(intval(...), $fills[1]);
            $rated = array_map(fn (string $one): int => (int) $one, $rates[1]);
            sort($filled);
            sort($rated);
            // Three tables, one transaction each time: none is ahead of the others, and none has a hole.
            expect($filled)
                ->toBe(range(1, count($filled)))
                ->and($rated)
                ->toBe($filled)
                ->and((int) $contact[1])
                ->toBe(count($filled))
                ->and(count($filled))
                ->toBeGreaterThan($last);
            $last = count($filled);
        }
    } finally {
        touch("{$folder}/stop");
        proc_close($writer);
    }
    // Others went on writing meanwhile, or it was no load.
    expect((string) file_get_contents("{$folder}/log"))->toBe('');
    resetDemo();
});

/** A backup of the copy that runs, with something in it changed by hand and its sums made right again. */
function handMade(string $folder, callable $change): string
{
    run("rm -rf {$folder}/in; mkdir -p {$folder}/in");
    if (! is_file("{$folder}/good.tar.gz")) {
        $made = run(outside("php artisan burrow:backup {$folder}/good.tar.gz"));
        expect([$made['all'], $made['exit']])->toBe([$made['all'], 0]);
    }
    run("tar -xzf {$folder}/good.tar.gz -C {$folder}/in");
    $change("{$folder}/in");
    $manifest = json_decode((string) file_get_contents("{$folder}/in/manifest.json"), true);
    $manifest['sql_sha256'] = hash_file('sha256', "{$folder}/in/database.sql");
    file_put_contents("{$folder}/in/manifest.json", json_encode($manifest));
    run("tar -czf {$folder}/bad.tar.gz -C {$folder}/in .");

    return "{$folder}/bad.tar.gz";
}

test('what a hand-made backup says is not run', function (): void {
    $folder = scratch();
    $users = fn (): string => run(outside('php artisan burrow:user'))['out'];
    $before = $users();
    $sql = fn (string $text): Closure => function (string $in) use ($text): void {
        $dump = (string) file_get_contents("{$in}/database.sql");
        // Without the first line, by which the client of the database takes fewer commands.
        file_put_contents("{$in}/database.sql", $text.substr($dump, (int) strpos($dump, "\n") + 1).$text);
    };
    foreach (
        [
            $sql("\\! id > {$folder}/ran\n"),
            $sql("DELETE FROM `burrow_live`.`users`;\n"),
            $sql("/*!50000 DELETE FROM `burrow_live`.`users` */;\n"),
            $sql("system id > {$folder}/ran\n"),
            $sql("INSERT INTO `users` VALUES\n((SELECT 1));\n"),
            $sql("SELECT 'x' INTO OUTFILE '{$folder}/ran';\n"),
            fn (string $in) => symlink('/etc/passwd', "{$in}/settings/hosts2"),
            fn (string $in) => file_put_contents("{$in}/settings/demo", "true\nAPP_DEBUG=true"),
        ] as $number => $change
    ) {
        $checked = run(outside('php artisan burrow:restore --check '.handMade($folder, $change)));
        expect([$number, $checked['exit']])
            ->toBe([$number, 1])
            ->and($checked['out'])
            ->toContain('Not restored')
            ->and(is_file("{$folder}/ran"))
            ->toBeFalse()
            ->and($users())
            ->toBe($before);
    }
    // The account that reads a backup back sees no other database, whatever a dump may hold one day.
    $asked = run(
        'MYSQL_PWD="$(cat "$TEST_VAR/secret.check")" mariadb --no-defaults --socket="$DB_SOCKET" --user=burrow_check '.
            "--execute='SELECT COUNT(*) FROM burrow_live.users'",
    );
    expect($asked['exit'])->toBe(1)->and($asked['all'])->toContain('denied');
});

test('a backup holds no key, and files come back for their owner alone', function (): void {
    $folder = scratch();
    $var = (string) getenv('TEST_VAR');
    @mkdir("{$var}/storage/app/filter", 0700, true);
    file_put_contents("{$var}/storage/app/filter/kept", 'beans');
    chmod("{$var}/storage/app/filter/kept", 0600);
    file_put_contents("{$var}/storage/report-key", 'private');
    try {
        handMade($folder, fn () => null);
        expect(run("tar -tzf {$folder}/good.tar.gz")['out'])
            ->toContain('files/filter/kept')
            ->not->toContain('report-key');
        run("chmod 0644 {$var}/storage/app/filter/kept");
        $back = run(outside("php artisan burrow:restore {$folder}/good.tar.gz"));
        expect([$back['all'], $back['exit']])
            ->toBe([$back['all'], 0])
            ->and(fileperms("{$var}/storage/app/filter/kept") & 0777)
            ->toBe(0600)
            ->and(file_get_contents("{$var}/storage/report-key"))
            ->toBe('private');
    } finally {
        @unlink("{$var}/storage/app/filter/kept");
        @unlink("{$var}/storage/report-key");
    }
});

test('a restore that was cut off while there was no database goes on', function (): void {
    $folder = scratch();
    $var = (string) getenv('TEST_VAR');
    $before = run(outside('php artisan burrow:sums'))['out'];
    handMade($folder, fn () => null);
    run("rm -rf {$var}/restoring; mkdir {$var}/restoring; tar -xzf {$folder}/good.tar.gz -C {$var}/restoring");
    $drop = run(
        'MYSQL_PWD="$DB_PASSWORD" mariadb --no-defaults --socket="$DB_SOCKET" --user=burrow --execute="DROP DATABASE burrow_live"',
    );
    expect($drop['all'])->toBe('');
    $resumed = run(outside('php artisan burrow:restore --resume'));
    expect([$resumed['all'], $resumed['exit']])
        ->toBe([$resumed['all'], 0])
        ->and(run(outside('php artisan burrow:sums'))['out'])
        ->toBe($before)
        ->and(is_dir("{$var}/restoring"))
        ->toBeFalse();
    resetDemo();
});
