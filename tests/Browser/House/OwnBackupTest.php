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
