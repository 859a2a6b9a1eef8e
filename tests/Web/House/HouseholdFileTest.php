<?php

declare(strict_types=1);

use App\Backup\HouseholdFile;
use App\Console\Commands\DemoCommand;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

// The household as a file: out, and in again.

/** The file as it would be written. */
function exported(): string
{
    return implode('', iterator_to_array(HouseholdFile::pieces(1_764_150_000), false));
}

/** @return array<string, int> */
function imported(string $text, bool $only = false): array
{
    $file = scratch().'/household.json';
    file_put_contents($file, $text);

    return HouseholdFile::take($file, $only);
}

/** Every table of the household as the database has it, and the logins. */
function everyRow(): array
{
    $rows = [];
    foreach ([...HouseholdFile::TABLES, 'users'] as $table) {
        $rows[$table] = DB::table($table)
            ->orderBy('id')
            ->get()
            ->map(fn (stdClass $row): array => (array) $row)
            ->all();
    }

    return $rows;
}

test('the schema that ships is that of the tables, and no table is left out', function (): void {
    expect(json_decode((string) file_get_contents(base_path(HouseholdFile::SCHEMA)), true))->toEqual(
        json_decode((string) json_encode(householdSchema()), true),
    );
    $all = array_column(
        array_filter(Schema::getTables(), fn (array $one): bool => $one['schema'] === DB::getDatabaseName()),
        'name',
    );
    sort($all);
    // What waits to be read goes with its box, and is read long before anybody exports.
    $held = [
        ...HouseholdFile::TABLES,
        'report_inbox',
        'users',
        'tokens',
        'jobs',
        'failed_jobs',
        'migrations',
    ];
    sort($held);
    expect($all)->toBe($held);
});

test('the demo leaves nothing behind that points at boxes of before', function (): void {
    $emptied = (new ReflectionClass(DemoCommand::class))->getConstant('TABLES');
    $all = array_map(fn (object $row): string => array_values((array) $row)[0], DB::select('SHOW TABLES'));
    expect(array_values(array_diff($all, $emptied)))->toEqualCanonicalizing([
        'failed_jobs',
        'jobs',
        'migrations',
    ]);
});

test('out and in again, every row is the same', function (): void {
    Network::home()->update(['name' => "Seeds \"& <co>\"\n\u{1F331}", 'router_page' => ['a' => '']]);
    Box::query()
        ->where('name', 'larder')
        ->update(['asked_at' => null, 'fed_by' => '']);
    JournalEntry::write(Network::home(), 'note', str_repeat('ä', 2000));
    DB::table('boxes')
        ->where('name', 'sieve')
        ->update(['created_at' => null]);
    $before = everyRow();
    $text = exported();
    DB::table('services')->delete();
    Network::home()->update(['name' => 'another']);
    imported($text);
    expect(everyRow())->toEqual($before)->and(exported())->toBe($text);
});

test('it is a line a row, and holds no login and no password', function (): void {
    $text = exported();
    $hash = DB::table('users')->value('password');
    expect($text)
        ->not->toContain((string) $hash)
        ->not->toContain('"users"')
        ->and(json_decode($text, true)['tables']['boxes'])
        ->toHaveCount(6)
        ->and(substr_count($text, "\n"))
        ->toBeGreaterThan(array_sum(array_map(count(...), json_decode($text, true)['tables'])));
});

test('what is wrong is told with its line, and nothing is changed', function (
    Closure $spoil,
    string $says,
): void {
    $before = everyRow();
    $text = $spoil(exported());
    try {
        imported($text);
        $said = '';
    } catch (RuntimeException $problem) {
        $said = $problem->getMessage();
    }
    expect($said)->toMatch($says)->and(everyRow())->toEqual($before);
    // Whoever looks on finds all as it was.
    $this->asKeeper()->get('/')->assertOk()->assertSee('larder');
})->with([
    'cut in the middle' => [fn (string $t): string => substr($t, 0, 5000), '/^line \d+: This is no JSON/'],
    'another program\'s' => [fn (string $t): string => '{"format": "x"}', '/^line 1: This is no household/'],
    'a list' => [fn (string $t): string => '[]', '/^line 1: This is no JSON/'],
    'of a later release' => [
        fn (string $t): string => str_replace('"version": 1', '"version": 2', $t),
        '/^line 3: It is of a form/',
    ],
    'a key that is none' => [
        fn (string $t): string => (string) preg_replace('/("networks": \[\n\{)/', '$1"kettle": 1, ', $t),
        '/^line 7: networks\.0: .*kettle/',
    ],
    'a number that is a word' => [
        fn (string $t): string => (string) preg_replace('/"outside_port":51944/', '"outside_port":"many"', $t),
        '/^line \d+: openings\.0\.outside_port/',
    ],
    'a port too high' => [
        fn (string $t): string => (string) preg_replace('/"outside_port":51944/', '"outside_port":519444', $t),
        '/^line \d+: openings\.0\.outside_port/',
    ],
    'a text too long' => [
        fn (string $t): string => str_replace('"name":"larder"', '"name":"'.str_repeat('l', 300).'"', $t),
        '/^line \d+: boxes\.1\.name/',
    ],
    'a box that is not there' => [
        fn (string $t): string => (string) preg_replace(
            '/("services": \[\n\{"id":\d+,"box_id":)\d+/',
            '${1}999',
            $t,
        ),
        '/^line \d+: services: it points to something that is not in the file\.$/',
    ],
    'two of one number' => [
        fn (string $t): string => (string) preg_replace(
            '/("boxes": \[\n)(\{.*?\}),\n/s',
            '$1$2,'."\n".'$2,'."\n",
            $t,
            1,
        ),
        '/^line \d+: boxes: there is another one like it/',
    ],
    'no network' => [
        fn (string $t): string => (string) preg_replace('/"networks": \[\n.*?\n\],\n/s', '', $t),
        '/networks/',
    ],
]);

test('a file of before, without what came later, is taken', function (): void {
    $data = json_decode(exported(), true);
    unset($data['tables']['backups'], $data['tables']['restore_drills'], $data['tables']['certificates']);
    foreach ($data['tables']['services'] as $i => $row) {
        unset($data['tables']['services'][$i]['sources']);
    }
    foreach ($data['tables']['runs'] ?? [] as $i => $row) {
        $data['tables']['runs'][$i]['learned'] = (object) $row['learned'];
    }
    imported((string) json_encode($data));
    expect(DB::table('services')->count())
        ->toBe(count($data['tables']['services']))
        ->and(DB::table('backups')->count())
        ->toBe(0);
    $this->asKeeper()->get('/ports')->assertOk();
});

test('hundreds of damaged files: taken whole or refused, never half', function (): void {
    mt_srand(8);
    $text = exported();
    $rows = array_sum(array_map(count(...), json_decode($text, true)['tables']));
    $refused = 0;
    for ($case = 0; $case < 120; $case++) {
        $spoilt = $text;
        $at = mt_rand(0, strlen($text) - 2);
        $spoilt = match (mt_rand(0, 3)) {
            0 => substr($text, 0, $at).substr($text, $at + mt_rand(1, 3)),
            1 => substr($text, 0, $at).
                ['9', '"', ',', "\0", "\xff", '{', 'null'][mt_rand(0, 6)].
                substr($text, $at + 1),
            2 => substr($text, 0, $at),
            default => (string) preg_replace('/:(\d+),/', ':-$1,', $text, 1 + ($case % 40)),
        };
        try {
            imported($spoilt, true);
        } catch (RuntimeException $problem) {
            $refused++;
            expect($problem->getMessage())->toMatch('/^line \d+: /');
        }
    }
    expect($refused)
        ->toBeGreaterThan(60)
        ->and(array_sum(array_map(count(...), json_decode(exported(), true)['tables'])))
        ->toBe($rows);
});

test('at the terminal: written whole, looked over, and what is no file is told', function (): void {
    $file = scratch().'/household.json';
    $this->artisan('burrow:export', ['file' => $file])->assertExitCode(0);
    expect(json_decode((string) file_get_contents($file), true)['format'])
        ->toBe(HouseholdFile::FORMAT)
        ->and(glob(dirname($file).'/*.part'))
        ->toBe([]);
    $this->artisan('burrow:import', ['file' => $file, '--check' => true])
        ->expectsOutputToContain('Nothing was changed.')
        ->assertExitCode(0);
    $this->artisan('burrow:import', ['file' => '/nowhere/at.all'])->assertExitCode(1);
    $this->artisan('burrow:export', ['file' => '/nowhere/at.all'])->assertExitCode(2);
});

test('a keeper fetches it from the settings, a guest does not', function (): void {
    $answer = $this->asKeeper()->get('/settings/household.json')->assertOk();
    expect(json_decode((string) $answer->getContent(), true)['tables']['boxes'])->toHaveCount(6);
});

test('a guest does not fetch it', function (): void {
    $this->asGuest()->get('/settings/household.json')->assertForbidden();
});

test(
    'a file of an earlier release comes in: what it did not know yet is empty, all else is as it was',
    function (): void {
        $text = (string) file_get_contents('tests/Web/House/kept/household-2026-11-27.json');
        $kept = json_decode($text, true)['tables'];
        imported($text);
        $now = everyRow();
        foreach ($kept as $table => $rows) {
            expect([$table, count($now[$table])])->toBe([$table, count($rows)]);
            foreach ($rows as $at => $row) {
                foreach ($row as $column => $value) {
                    // Times and JSON are written in one form and kept in another; texts and numbers are the same.
                    is_string($value) &&
                        preg_match('/^[^\d{\[]/', $value) === 1 &&
                        expect([$table, $column, $now[$table][$at][$column]])->toBe([
                            $table,
                            $column,
                            $value,
                        ]);
                }
            }
        }
        expect($now['past_openings'])
            ->toBe([])
            ->and($now['networks'][0]['round'])
            ->toBeNull();
        // It goes on from there as any other.
        foreach (['/', '/upkeep', '/boxes', '/then', '/is-it-on'] as $page) {
            $this->asKeeper()->get($page)->assertOk();
        }
    },
);

test('a hand-made file brings no line of its own into any short text', function (): void {
    $text = implode('', iterator_to_array(App\Backup\HouseholdFile::pieces(now()->getTimestamp()), false));
    $file = scratch().'/house.json';
    file_put_contents($file, $text);
    expect(App\Backup\HouseholdFile::take($file)['boxes'])->toBeGreaterThan(5);
    $broken = ['"name":"larder"' => '"name":"larder\\nevil 1 2"', '"user":"warden"' => '"user":"warden\\u0000x"'];
    foreach ($broken as $from => $to) {
        [$before, $after] = explode($from, $text, 2);
        file_put_contents($file, $before.$to.$after);
        foreach ([true, false] as $only) {
            expect(fn () => App\Backup\HouseholdFile::take($file, $only))->toThrow(
                RuntimeException::class,
                'control character',
            );
        }
        expect(App\Models\Box::query()->where('name', 'larder')->count())->toBe(1);
    }
});
