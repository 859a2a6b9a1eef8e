<?php

declare(strict_types=1);

use App\BringUp\RunStart;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\CatalogueEntry;
use App\Models\Medium;
use App\Models\Run;
use Burrow\Household\Stage;
use Illuminate\Support\Facades\DB;

// Whatever a household stores, of whatever age and by whatever hand, stops no page.

function allOpen(string $why): void
{
    foreach (everyPage() as $page) {
        $answer = test()->asKeeper()->get($page);
        if ($answer->getStatusCode() >= 500) {
            throw new RuntimeException("{$page} breaks: {$why}\n".substr((string) $answer->exception, 0, 600));
        }
    }
    expect(true)->toBeTrue();
}

/** @return array<string, list<array<mixed>>> by kind, its schema's places that hold a number or a whole number */
function numericPlaces(array $schema, array $path = []): array
{
    $found = [];
    foreach ($schema['properties'] ?? [] as $name => $inner) {
        if (in_array($inner['type'] ?? '', ['integer', 'number'], true)) {
            $found[] = [...$path, $name];
        }
        $found = [...$found, ...numericPlaces($inner, [...$path, $name])];
    }

    return $found;
}

test('an own entry whose whole numbers are written with a point takes no page down', function (): void {
    newRun();
    $tried = 0;
    foreach (array_keys(Catalogue::KINDS) as $kind) {
        $file = array_values(entryFiles($kind))[0];
        // 4 becomes 4.0 everywhere.
        $yaml = (string) preg_replace(
            '/(?<=[:\[,] )(\d+)(?=\s*(?:$|[,}\]]))/m',
            '$1.0',
            (string) file_get_contents($file),
        );
        $taken = app(Catalogue::class)->import($kind, $yaml);
        expect([$kind, $taken->findings->codes()])->toBe([$kind, []]);
        $tried++;
    }
    app()->forgetInstance(Catalogue::class);
    allOpen('numbers with a point');
    expect($tried)->toBe(count(Catalogue::KINDS));
});

test(
    'own entries with the largest and smallest numbers that their schema takes open every page',
    function (): void {
        newRun();
        foreach (array_keys(Catalogue::KINDS) as $kind) {
            $schema = json_decode(Catalogue::schema($kind), true);
            $id = array_keys(entryFiles($kind))[0];
            foreach ([1e12, 999999999999, 0, 1e-6, 1, 0.5, -1, -40, 366, 64] as $number) {
                $entry = entry($kind, $id);
                foreach (numericPlaces($schema) as $path) {
                    $at = &$entry;
                    foreach ($path as $key) {
                        if (! is_array($at)) {
                            continue 2;
                        }
                        $at = &$at[$key];
                    }
                    $was = $at;
                    $at = $number;
                    if (
                        App\Catalogue\OwnEntry::read($kind, Symfony\Component\Yaml\Yaml::dump($entry, 6))->data ===
                        null
                    ) {
                        $at = $was;
                    }
                    unset($at);
                }
                $yaml = Symfony\Component\Yaml\Yaml::dump($entry, 6);
                if (App\Catalogue\OwnEntry::read($kind, $yaml)->data !== null) {
                    CatalogueEntry::query()->updateOrCreate(['kind' => $kind, 'slug' => $id], ['yaml' => $yaml]);
                    app()->forgetInstance(Catalogue::class);
                    foreach (
                        [
                            '/plan',
                            '/plan?job='.
                            $id.
                            '&board='.
                            $id.
                            '&supply='.
                            $id.
                            '&cable='.
                            $id.
                            '&drive='.
                            $id.
                            '&image='.
                            $id.
                            '&card='.
                            $id.
                            '&case='.
                            $id.
                            '&cooling='.
                            $id.
                            '&addon='.
                            $id.
                            '&hub='.
                            $id,
                            '/catalogue?kind='.$kind,
                            '/',
                        ] as $page
                    ) {
                        $answer = $this->asKeeper()->get($page);
                        expect([
                            "{$kind} {$number} {$page}",
                            $answer->getStatusCode() < 500 ? '' : substr((string) $answer->exception, 0, 300),
                        ])->toBe(["{$kind} {$number} {$page}", '']);
                    }
                }
            }
            CatalogueEntry::query()->delete();
        }
    },
);

test('every field that may be left out of an entry has its default', function (): void {
    foreach (array_keys(Catalogue::KINDS) as $kind) {
        $schema = json_decode(Catalogue::schema($kind), true);
        foreach (entryFiles($kind) as $id => $file) {
            $entry = entry($kind, $id);
            $strip = function (array $value, array $of) use (&$strip, $schema): array {
                $of = isset($value['part']) ? ['required' => ['part']] : $of['else'] ?? $of;
                $of = isset($of['$ref']) ? $schema['$defs'][basename($of['$ref'])] : $of;
                $required = $of['required'] ?? [];
                foreach ($of['allOf'] ?? [] as $one) {
                    $asked = $one['if']['properties']['kind']['const'] ?? null;
                    $required =
                        $asked === ($value['kind'] ?? '') ? [...$required, ...$one['then']['required']] : $required;
                }
                $kept = [];
                foreach ($value as $key => $inner) {
                    if (is_int($key) || in_array($key, $required, true)) {
                        $kept[$key] = is_array($inner)
                            ? $strip($inner, is_int($key) ? $of['items'] ?? [] : $of['properties'][$key] ?? [])
                            : $inner;
                        // A map with nothing in it is a list to YAML.
                        $kept[$key] = $kept[$key] === [] ? $inner : $kept[$key];
                    }
                }

                return $kept;
            };
            $yaml = Symfony\Component\Yaml\Yaml::dump($strip($entry, $schema), 6);
            expect([$file, App\Catalogue\OwnEntry::read($kind, $yaml)->findings->codes()])->toBe([$file, []]);
        }
    }
});

test('an own entry that cannot be read later is left out and named, on the pages and in the terminal', function (
    string $yaml,
): void {
    newRun();
    CatalogueEntry::query()->create(['kind' => 'board', 'slug' => 'marble', 'yaml' => $yaml]);
    CatalogueEntry::query()->create(['kind' => 'board', 'slug' => 'flint', 'yaml' => 'id: flint']);
    CatalogueEntry::query()->create(['kind' => 'teapot', 'slug' => 'x', 'yaml' => 'id: x']);
    app()->forgetInstance(Catalogue::class);
    allOpen('entries that cannot be read');
    $this->get('/catalogue')->assertSee('board/marble cannot be used')->assertSee('teapot/x cannot be used');
    $this->get('/')->assertSee('board/flint cannot be used');
    // The built-in one stands in for it.
    $this->get('/plan?board=flint')->assertSee('Fits, with');
    $folder = scratch();
    file_put_contents(
        "{$folder}/plan.yaml",
        "jobs: [file-store]\nboard: flint\nsupply: supply-3a\ncable: usual-1m\nlink: wired\nimage: server-64\ncard: card-32-a1\ncase: vented\n",
    );
    $this->artisan("burrow:plan {$folder}/plan.yaml")->expectsOutputToContain('board/marble cannot be used');
})->with([
    'of an older form' => "id: marble\nlabel: Marble\ncores: 4\n",
    'no YAML' => "a: [\n",
    'nothing' => '',
    'a list' => "- a\n",
    'without end' => 'a: '.str_repeat('[', 900),
]);

test('an own entry in use is not taken away, and its users are named', function (): void {
    $yaml = fn (string $kind, string $id): string => (string) preg_replace(
        '/^id: .*$/m',
        "id: {$id}",
        (string) file_get_contents(
            "core/Catalogue/data/{$kind}/".
                ['board' => 'flint', 'supply' => 'supply-3a', 'job' => 'file-store'][$kind].
                '.yaml',
        ),
    );
    foreach (['board' => 'flint-own', 'supply' => 'supply-own', 'job' => 'store-own'] as $kind => $id) {
        expect(app(Catalogue::class)->import($kind, $yaml($kind, $id))->findings->codes())->toBe([]);
    }
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'user' => 'warden',
        'board' => 'flint-own',
        'supply' => 'supply-own',
    ]);
    $box->jobs()->update(['job' => 'store-own']);
    $run = app(RunStart::class)->begin($box->refresh());
    foreach (['board/flint-own', 'supply/supply-own', 'job/store-own'] as $entry) {
        $this->asKeeper()
            ->delete("/catalogue/{$entry}")
            ->assertSessionHas('told', fn (?string $told): bool => str_contains((string) $told, 'wren'));
    }
    expect(CatalogueEntry::query()->count())->toBe(3);
    $this->delete("/boxes/{$box->id}");
    foreach (['board/flint-own', 'supply/supply-own', 'job/store-own'] as $entry) {
        $this->delete("/catalogue/{$entry}");
    }
    expect(CatalogueEntry::query()->count())
        ->toBe(0)
        ->and(Run::query()->whereKey($run->id)->exists())
        ->toBeFalse();
});

test('the pages survive whatever a run, a box or a plan holds', function (Closure $spoil): void {
    $run = newRun();
    $run->steps()
        ->limit(3)
        ->update(['state' => 'done']);
    DB::table('plans')->insert(['choices' => '{"job":"file-store"}', 'created_at' => now(), 'updated_at' => now()]);
    $spoil($run);
    allOpen('what it holds');
})->with([
    'a job that is gone' => [fn (Run $run) => $run->box->jobs()->update(['job' => 'gone'])],
    'no job at all' => [fn (Run $run) => $run->box->jobs()->delete()],
    'parts that are gone' => [
        fn (Run $run) => DB::table('boxes')->update(
            array_fill_keys(
                ['board', 'supply', 'cable', 'drive', 'image', 'card', 'case', 'hub', 'cooling', 'addon'],
                'gone',
            ),
        ),
    ],
    'parts that were never said' => [
        fn (Run $run) => DB::table('boxes')->update(
            array_fill_keys(['supply', 'cable', 'drive', 'image', 'card', 'case', 'hub', 'cooling', 'addon'], null),
        ),
    ],
    'steps that are gone' => [
        fn (Run $run) => DB::table('run_steps')->update(['step' => DB::raw("CONCAT('gone-', id)")]),
    ],
    'a step in no known state' => [fn (Run $run) => DB::table('run_steps')->update(['state' => 'odd'])],
    'findings of another form' => [
        fn (Run $run) => DB::table('run_steps')->update(['findings' => '[{"severity":"odd"},3,null]']),
    ],
    'findings that are no list' => [fn (Run $run) => DB::table('run_steps')->update(['findings' => '"x"'])],
    'learned things of another form' => [
        fn (Run $run) => DB::table('runs')->update([
            'learned' => '{"found":"x","speed":"fast","looked":3,"uuid":[]}',
        ]),
    ],
    'learned nothing' => [fn (Run $run) => DB::table('runs')->update(['learned' => '[]'])],
    'answers that are no list' => [
        fn (Run $run) => DB::table('box_jobs')->update(['answers' => '[3, {"a": []}, "x"]']),
    ],
    'answers of many kinds' => [
        fn (Run $run) => DB::table('box_jobs')->update(['answers' => '{"upstream": [], "listed": 3, "device": "<b>"}']),
    ],
    'no steps' => [fn (Run $run) => DB::table('run_steps')->delete()],
    'an address that is none' => [
        fn (Run $run) => DB::table('boxes')
            ->where('name', 'wren')
            ->update(['address' => 'x']),
    ],
    'an address elsewhere' => [
        fn (Run $run) => DB::table('boxes')
            ->where('name', 'wren')
            ->update(['address' => '203.0.113.9']),
    ],
    'a link of no kind' => [fn (Run $run) => DB::table('boxes')->update(['link' => 'air'])],
    'an origin of no kind' => [
        fn (Run $run) => DB::table('boxes')->update(['image_from' => 'x', 'plugged' => 'a,b,,']),
    ],
    'a stage of no kind' => [fn (Run $run) => DB::table('boxes')->update(['stage' => 'odd'])],
    'a port of no protocol' => [
        fn (Run $run) => DB::table('services')->update(['protocol' => DB::raw('RIGHT(id, 3)'), 'state' => 'odd']),
    ],
    'port nought' => [
        fn (Run $run) => DB::table('services')
            ->where('port', 445)
            ->update(['port' => 0]),
    ],
    'a desk of no system' => [
        fn (Run $run) => DB::table('desk_computers')->update([
            'system' => 'x',
            'usb_plug' => 'x',
            'hours' => -5,
            'watts' => 1e300,
        ]),
    ],
    'an image of no kind' => [
        fn (Run $run) => DB::table('image_records')->update([
            'kind' => 'gone',
            'origin' => 'x',
            'unpacked_bytes' => 0,
        ]),
    ],
    'a card that wrote at no rate' => [
        fn (Run $run) => DB::table('media')->update(['write_mbyte' => 0, 'bytes' => 0, 'kind' => 'x']),
    ],
    'readings of no sense' => [
        fn (Run $run) => DB::table('measurements')->update([
            'megabytes' => 0,
            'idle' => 7,
            'board_celsius' => -300,
            'room_celsius' => 900,
        ]),
    ],
    'plans of another form' => [
        fn (Run $run) => DB::table('plans')->update(['choices' => '{"job":["x"],"board":{"a":1},"room":"x"}']),
    ],
    'plans that are no list' => [fn (Run $run) => DB::table('plans')->update(['choices' => '"x"'])],
    'decisions of another form' => [
        fn (Run $run) => DB::table('decisions')->insert([
            'box_id' => $run->box_id,
            'seat' => '',
            'sentence' => '',
            'overruled' => '',
            'choices' => '3',
            'tried' => '[{"x":1},2]',
            'by' => '',
            'created_at' => now(),
        ]),
    ],
    'a time zone that is none' => [fn (Run $run) => DB::table('networks')->update(['time_zone' => 'Nowhere/Atall'])],
    'a network that is none' => [
        fn (Run $run) => DB::table('networks')->update([
            'prefix' => 'x',
            'router' => 'y',
            'pool_first' => '',
            'pool_last' => 'z',
            'domain' => '',
        ]),
    ],
    'a pool that ends before it begins' => [
        fn (Run $run) => DB::table('networks')->update([
            'pool_first' => '172.22.8.199',
            'pool_last' => '172.22.8.100',
        ]),
    ],
    'times that are yet to come' => [
        function (Run $run): void {
            foreach (
                [
                    'boxes' => [
                        'asked_at',
                        'answered_at',
                        'silent_since',
                        'pinned_at',
                        'updated_system_at',
                        'in_service_at',
                        'card_written_at',
                        'host_key_at',
                    ],
                    'run_steps' => ['began_at', 'finished_at'],
                    'services' => ['looked_at'],
                    'image_records' => ['checked_at'],
                ] as $table => $columns
            ) {
                DB::table($table)->update(array_fill_keys($columns, now()->addDays(40)));
            }
            DB::table('run_steps')
                ->where('run_id', $run->id)
                ->where('step', 'first-boot')
                ->update(['state' => 'running']);
        },
    ],
    'everything as long as its column' => [
        fn (Run $run) => DB::table('boxes')->update([
            'fed_by' => str_repeat('w', 60),
            'user' => str_repeat('u', 32),
            'host_key' => str_repeat('k', 60),
        ]),
    ],
]);

test('a clock that was set back gives no negative length', function (): void {
    $run = newRun();
    $step = $run->steps()->where('step', 'first-boot')->firstOrFail();
    $run->steps()
        ->where('position', '<', $step->position)
        ->update(['state' => 'done']);
    $this->asKeeper()->post("/runs/{$run->id}/steps/{$step->id}/start", ['version' => 1]);
    Box::query()
        ->where('name', 'larder')
        ->update(['silent_since' => now(), 'stage' => Stage::InService]);
    $this->travel(-3)->days();
    foreach (['/', '/boxes', "/runs/{$run->id}", '/upkeep', '/ports'] as $page) {
        $html = strip_tags((string) $this->get($page)->assertOk()->getContent());
        expect([
            $page,
            preg_match('/-\d+ (?:s|min|h|days)\b|-\d\d:\d\d(?!-)/', $html, $found) === 1 ? $found[0] : '',
        ])->toBe([$page, '']);
    }
});

test(
    'two that keep the same name at once: one is kept, the other is told, and what was typed is there',
    function (): void {
        // The check was passed before the other one was kept; the table itself refuses then.
        Medium::creating(
            fn (Medium $medium) => DB::table('media')->insert([
                'label' => 'SPARE-9',
                'kind' => 'card',
                'purpose' => 'the other one',
                'may_be_wiped' => false,
            ]),
        );
        $this->asKeeper()
            ->from('/stores/media')
            ->post('/stores/media', ['label' => 'SPARE-9', 'kind' => 'card', 'purpose' => 'mine'])
            ->assertRedirect('/stores/media')
            ->assertSessionHas(
                'told',
                fn (?string $told): bool => str_contains(
                    (string) $told,
                    'Somebody else has just kept one of that name',
                ),
            )
            ->assertSessionHasInput('purpose', 'mine');
        Medium::flushEventListeners();
        expect(Medium::query()->where('label', 'SPARE-9')->where('purpose', 'mine')->exists())->toBeFalse();
    },
);
