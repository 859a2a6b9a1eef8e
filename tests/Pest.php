<?php

declare(strict_types=1);

use Burrow\Catalogue\CatalogueReader;
use Burrow\Catalogue\Job\JobReader;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Part\SmallParts;
use Burrow\Catalogue\Shelf;
use Burrow\Plan\PlanInput;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Symfony\Component\Yaml\Yaml;
use Tests\TestCase;

require __DIR__.'/Support/boxes.php';
require __DIR__.'/Support/browser.php';

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->beforeEach(fn () => app(DemoSeeder::class)->run())->in('Web', 'Attack/Web');

/** What a command printed, with its exit code; a command that cannot be started fails the test. */
function run(string $command, ?string $input = null, ?string $folder = null): array
{
    $process = proc_open(['bash', '-c', $command], [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes, $folder);
    if (! is_resource($process)) {
        throw new RuntimeException("Cannot start {$command}");
    }
    fwrite($pipes[0], $input ?? '');
    fclose($pipes[0]);
    $output = (string) stream_get_contents($pipes[1]);
    $errors = (string) stream_get_contents($pipes[2]);

    return ['exit' => proc_close($process), 'out' => $output, 'err' => $errors, 'all' => $output.$errors];
}

/** A folder that is gone when the test process ends. */
function scratch(): string
{
    $path = sys_get_temp_dir().'/burrow-test-'.bin2hex(random_bytes(6));
    mkdir($path, 0700, true);
    register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($path)));

    return $path;
}

/** An entry of the built-in catalogue, straight from its file. */
function entry(string $kind, string $id): array
{
    $folder = "core/Catalogue/data/{$kind}";

    return Yaml::parse((string) file_get_contents(dirname(__DIR__)."/{$folder}/{$id}.yaml"));
}

function board(string $id, array $changes = []): BoardClass
{
    return (new CatalogueReader())->board(array_replace_recursive(entry('board', $id), $changes));
}

/** @return array<string, mixed> every built-in entry of a kind as a typed value, by id */
function catalogue(string $kind, ?int $few = null): array
{
    $read = $kind === 'job' ? (new JobReader())->job(...) : (new CatalogueReader())->{$kind}(...);
    $folder = 'core/Catalogue/data/'.strtolower($kind);
    $ids = array_map(fn (string $file): string => basename($file, '.yaml'), glob(dirname(__DIR__)."/{$folder}/*.yaml") ?: []);

    return array_slice(array_combine($ids, array_map(fn (string $id) => $read(entry(strtolower($kind), $id)), $ids)), 0, $few);
}

function smallParts(): SmallParts
{
    static $parts = null;

    return $parts ??= new SmallParts(array_values(catalogue('adapter')));
}

function plan(
    string $board = 'flint',
    string $supply = 'supply-3a',
    string $cable = 'usual-1m',
    ?string $drive = 'ssd-500',
    LinkKind $link = LinkKind::Wired,
    string $job = 'file-store',
    string $image = 'server-64',
    string $card = 'card-32-a1',
    string $case = 'vented',
): PlanInput {
    $reader = new CatalogueReader();

    return new PlanInput(
        array_map(fn (string $id) => (new JobReader())->job(entry('job', $id)), explode(' ', $job)),
        board($board),
        $reader->supply(entry('supply', $supply)),
        $reader->cable(entry('cable', $cable)),
        $drive === null ? null : $reader->drive(entry('drive', $drive)),
        $link,
        $reader->image(entry('image', $image)),
        $reader->card(entry('card', $card)),
        $reader->case(entry('case', $case)),
        smallParts(),
    );
}

/** The first few entries of each kind, or all of them. */
function shelf(?int $few = null): Shelf
{
    return new Shelf(
        catalogue('job'),
        catalogue('board', $few),
        catalogue('supply', $few),
        catalogue('cable', $few),
        catalogue('drive', $few),
        catalogue('image', $few),
        catalogue('card', $few),
        catalogue('case', $few),
        catalogue('cooling', $few),
        catalogue('addOn', $few),
        smallParts(),
    );
}
