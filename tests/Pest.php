<?php

declare(strict_types=1);

use Burrow\BringUp\Change;
use Burrow\BringUp\Playbook\PlaybookReader;
use Burrow\BringUp\Playbook\RunSteps;
use Burrow\BringUp\Step\Step;
use Burrow\Catalogue\CatalogueReader;
use Burrow\Catalogue\Job\JobReader;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Part\SmallParts;
use Burrow\Catalogue\Shelf;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanInput;
use Database\Seeders\DemoSeeder;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Symfony\Component\Yaml\Yaml;
use Tests\TestCase;

require __DIR__.'/Support/boxes.php';
require __DIR__.'/Support/house.php';
require __DIR__.'/Support/routes.php';
require __DIR__.'/Support/household-schema.php';
require __DIR__.'/Support/browser.php';
require __DIR__.'/Support/userland.php';
require __DIR__.'/Support/playing.php';
require __DIR__.'/Support/practice.php';
require __DIR__.'/Support/knowledge.php';
require __DIR__.'/Support/told.php';
require __DIR__.'/Support/cards.php';
require __DIR__.'/Support/corpus.php';

pest()
    ->extend(TestCase::class)
    ->use(RefreshDatabase::class)
    ->beforeEach(fn () => app(DemoSeeder::class)->run())
    ->in('Web', 'Attack/Web');

/** What a command printed, with its exit code; a command that cannot be started fails the test. */
function run(string $command, ?string $input = null, ?string $folder = null): array
{
    $process = proc_open(
        ['bash', '-c', $command],
        [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']],
        $pipes,
        $folder,
    );
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
    $file =
        $kind === 'playbook'
            ? 'core/BringUp/playbooks/'.str_replace('.', '/', $id)
            : "core/Catalogue/data/{$kind}/{$id}";

    return Yaml::parse((string) file_get_contents(dirname(__DIR__)."/{$file}.yaml"));
}

/** @return array<string, string> id => file of every built-in entry of a kind */
function entryFiles(string $kind): array
{
    $files = [];
    $pattern =
        $kind === 'playbook' ? 'core/BringUp/playbooks/*/*.yaml' : "core/Catalogue/data/{$kind}/*.yaml";
    foreach (glob($pattern) ?: [] as $file) {
        if (! str_contains($file, '/shared/')) {
            $files[
                ($kind === 'playbook' ? basename(dirname($file)).'.' : '').basename($file, '.yaml')
            ] = $file;
        }
    }

    return $files;
}

/** The JSON Schema of a kind of entry, or of a plan. */
function schemaText(string $kind): string
{
    return (string) file_get_contents(
        match ($kind) {
            'plan' => 'core/Plan/schema/plan.schema.json',
            'playbook' => 'core/BringUp/playbooks/playbook.schema.json',
            default => "core/Catalogue/schema/{$kind}.schema.json",
        },
    );
}

function playbooks(): PlaybookReader
{
    $parts = array_map(
        fn (string $file): array => Yaml::parse((string) file_get_contents($file)),
        glob('core/BringUp/playbooks/shared/*.yaml') ?: [],
    );

    return new PlaybookReader(
        array_column($parts, null, 'id'),
        Yaml::parse((string) file_get_contents('core/BringUp/playbooks/usual.yaml')),
    );
}

/** The steps of a run for one job. */
function playbook(string $id = 'file-store.package'): RunSteps
{
    [$job, $school] = explode('.', $id);

    return RunSteps::of([
        isset(entryFiles('playbook')[$id])
            ? playbooks()->playbook(entry('playbook', $id))
            : playbooks()->bare($job, $school),
    ]);
}

/** @return array<string, Step> every step of every built-in playbook and shared part */
function everyStep(): array
{
    $steps = [];
    foreach ([...array_keys(entryFiles('playbook')), 'none.package'] as $id) {
        foreach (playbook($id)->list as $step) {
            $steps["{$id} {$step->id}"] = $step;
        }
    }

    return $steps;
}

/** @return array<string, Step> every step of every change of a box that is up */
function everyChange(): array
{
    $steps = [];
    foreach (Change::cases() as $change) {
        foreach (playbooks()->change($change)->again as $step) {
            $steps["{$change->value} {$step->id}"] = $step;
        }
    }

    return $steps;
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
    $ids = array_map(
        fn (string $file): string => basename($file, '.yaml'),
        glob(dirname(__DIR__)."/{$folder}/*.yaml") ?: [],
    );

    return array_slice(
        array_combine($ids, array_map(fn (string $id) => $read(entry(strtolower($kind), $id)), $ids)),
        0,
        $few,
    );
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

/** What is said of a plan that another part could change. */
function ofParts(PlanInput $plan): Findings
{
    return Findings::of(...iterator_to_array(PlanAnswer::eachOfParts($plan), false));
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
