<?php

declare(strict_types=1);

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Household\Stage;
use Tests\Bench\BenchProcess;

// A person at the bench who plays a run's steps through the pages.

/** What a person would give back at a step. */
function givenAt(Step $step, array $pasted): array
{
    $given = $pasted;
    foreach ($step->kind->takes($step, true) as $field) {
        $given[$field->name] ??= match ($field->name) {
            'answer' => 'yes',
            'buttons' => 'applied',
            'second' => 'changed',
            'kept_at' => 'password manager, entry wren',
            'owner' => 'warden',
            'typed_disk' => emptyDisk($pasted['pasted'] ?? ''),
            'card_made' => 'copied',
            default => '',
        };
    }
    foreach ($step->more->asks as $asked) {
        $given["asked_{$asked->name}"] = $asked->example;
    }

    return $given;
}

/** The name of the last disk of a list that nothing of is mounted. */
function emptyDisk(string $listed): string
{
    $names = [];
    foreach (json_decode($listed, true)['blockdevices'] ?? [] as $disk) {
        $mounted = array_filter(
            array_merge(...array_column($disk['children'] ?? [], 'mountpoints')),
            fn (?string $at): bool => $at !== null,
        );
        $mounted === [] && ($names[] = $disk['name']);
    }

    return end($names) ?: '';
}

/** Plays one step as a person at the bench does; what the page says when it does not end. */
function playStep(Run $run, RunStep $step, Step $played): string
{
    $act = fn (string $action, array $given = []) => test()->post(
        "/runs/{$run->id}/steps/{$step->id}/{$action}",
        [
            'version' => $step->refresh()->version,
            ...$given,
        ],
    );
    $help = $played->kind->bench();
    $pasted = [];
    if ($help === BenchHelp::Power) {
        $act('power');
    } elseif ($help === BenchHelp::Reserve) {
        $act('reserve');
    } elseif ($help === BenchHelp::OtherCard) {
        $act($help->value, ['card_made' => 'copied']);
    } elseif (
        in_array(
            $help,
            [
                BenchHelp::Claim,
                BenchHelp::Across,
                BenchHelp::PlugIn,
                BenchHelp::PlugOut,
                BenchHelp::OtherPart,
            ],
            true,
        )
    ) {
        $act($help->value);
    } elseif ($help === BenchHelp::Type) {
        // Refused while it still starts: tried again in a while, as the step's finding says.
        $givenUp = microtime(true) + 6;
        do {
            $act('type');
            $pasted = ['pasted' => session()->getOldInput('pasted') ?? ''];
            $refused = str_ends_with($pasted['pasted'], 'Connection refused');
            $refused && usleep(60_000);
        } while ($refused && microtime(true) < $givenUp);
    }
    // A long job is looked at again and again, as somebody would who comes back from the kitchen.
    $lookIn = function () use ($act, $played): array {
        if ($played->more->lookIn === '' || $played->kind->bench() !== BenchHelp::Type) {
            return [];
        }
        $act('look-in');

        return ['pasted' => session()->getOldInput('pasted') ?? ''];
    };
    if ($played->waitTo !== null && ! $step->refresh()->isFinished()) {
        $act('start');
    }
    $action = $played->place() === StepPlace::Check ? 'check' : 'done';
    $until = microtime(true) + ($action === 'check' || $played->more->lookIn !== '' ? 6 : 0);
    do {
        $pasted = [...$pasted, ...$lookIn()];
        $act($action, givenAt($played, $pasted));
        $step->refresh()->isFinished() || usleep(60_000);
    } while (! $step->refresh()->isFinished() && microtime(true) < $until);

    return json_encode(
        [$pasted, session('told'), $step->refresh()->findings],
        JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT,
    );
}

/** A box on the bench that is up at an address. */
function upOnBench(BenchProcess $bench, string $name, string $address, string $mac): Box
{
    $box = newBox([
        'name' => $name,
        'address' => $address,
        'mac' => $mac,
        'user' => 'warden',
        'on_bench' => true,
        'stage' => Stage::InService,
        'pinned_at' => now(),
        'answered_at' => now(),
        'asked_at' => now(),
    ]);
    $bench->ask([
        'do' => 'insert',
        'board' => "box-{$box->id}",
        'mac' => $mac,
        'class' => 'Flint',
        'network_after' => 1,
        'files' => (object) benchCard($name, ['parted']),
    ]);
    $bench->ask(['do' => 'reserve', 'mac' => $mac, 'address' => $address]);
    $bench->ask(['do' => 'power', 'board' => "box-{$box->id}", 'on' => true]);
    $loopback = '127.'.substr($address, strpos($address, '.') + 1);
    $bench->until(fn () => $bench->isOpen($loopback, 22));

    return $box->refresh();
}

/** @return list<string> addresses that two machines had at one moment, by the bench's list of comings and goings */
function twoAtOne(BenchProcess $bench): array
{
    $at = $twice = [];
    foreach ($bench->ask(['do' => 'wire'])['wire'] as $one) {
        unset($at[$one['board']]);
        if ($one['address'] !== null) {
            in_array($one['address'], $at, true) && ($twice[] = $one['address']);
            $at[$one['board']] = $one['address'];
        }
    }

    return $twice;
}

/** A box for one job with its card in a board of the bench, not yet brought up. */
function carded(BenchProcess $bench, string $job, string $mac, ?array $disk = null): Box
{
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'user' => 'warden',
        'login' => 'key',
        'on_bench' => true,
        'image' => 'server-64',
        'card_written_at' => now(),
    ]);
    $box->jobs()->update(['job' => $job, 'school' => 'package']);
    intoBoard($bench, $box, $mac, $disk);

    return $box->refresh();
}

function intoBoard(BenchProcess $bench, Box $box, string $mac, ?array $disk = null): void
{
    $bench->ask([
        'do' => 'insert',
        'board' => "box-{$box->id}",
        'mac' => $mac,
        'class' => 'Flint',
        'network_after' => 20,
        'files' => (object) benchCard('wren', ['parted', 'samba']),
        'disk' => $disk,
    ]);
}

/** Plays what is open of a run; what was said at the step that did not end, or null. */
function playOn(Run $run): ?string
{
    foreach ($run->steps()->orderBy('position')->get() as $step) {
        if ($step->isFinished()) {
            continue;
        }
        $book = new RunBook(
            $run->refresh()->load(['box.jobs', 'box.network', 'steps']),
            app(Playbooks::class),
        );
        $said = playStep($run, $step, $book->step($step));
        if ($step->refresh()->state !== RunStep::DONE) {
            return "{$step->step}: {$said}";
        }
    }

    return null;
}

/** The fingerprint that a board of the bench shows. */
function keyOf(BenchProcess $bench, Box $box): string
{
    return array_column($bench->ask(['do' => 'status'])['boards'], 'fingerprint', 'id')["box-{$box->id}"];
}
