<?php

declare(strict_types=1);

use App\BringUp\RunBook;
use App\Catalogue\Playbooks;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;

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
            'typed_disk' => 'sda',
            default => '',
        };
    }
    foreach ($step->more->asks as $asked) {
        $given["asked_{$asked->name}"] = $asked->example;
    }

    return $given;
}

/** Plays one step as a person at the bench does; what the page says when it does not end. */
function playStep(Run $run, RunStep $step, Step $played): string
{
    $act = fn (string $action, array $given = []) => test()->post("/runs/{$run->id}/steps/{$step->id}/{$action}", [
        'version' => $step->refresh()->version,
        ...$given,
    ]);
    $help = $played->kind->bench();
    $pasted = [];
    if ($help === BenchHelp::Power) {
        $act('power');
    } elseif ($help === BenchHelp::Reserve) {
        $act('reserve');
    } elseif ($help === BenchHelp::Type) {
        $act('type');
        $pasted = ['pasted' => session()->getOldInput('pasted') ?? ''];
        if ($played->more->lookIn !== '') {
            $command = (new RunBook($run, app(Playbooks::class)))->values($played)->fill($played->more->lookIn);
            $pasted['pasted'] = app(App\Bench\BenchClient::class)->text('type', 'output', [
                'board' => "box-{$run->box_id}",
                'command' => $command,
            ]);
        }
    }
    if ($played->waitTo !== null && ! $step->refresh()->isFinished()) {
        $act('start');
    }
    $action = $played->place() === StepPlace::Check ? 'check' : 'done';
    $until = microtime(true) + ($action === 'check' ? 6 : 0);
    do {
        $act($action, givenAt($played, $pasted));
        $step->refresh()->isFinished() || usleep(60_000);
    } while (! $step->refresh()->isFinished() && microtime(true) < $until);

    return json_encode(
        [$pasted, session('told'), $step->refresh()->findings],
        JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT,
    );
}
