<?php

declare(strict_types=1);

use App\BringUp\RunStart;
use App\Models\Box;
use App\Models\Network;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\WayIn;
use Burrow\Card\Write\DeclarativeWriter;
use Burrow\Card\Write\FirstBoot;
use Burrow\Household\Stage;
use Burrow\Net\Hostname;
use Burrow\Net\SshPublicKey;
use Illuminate\Support\Facades\Route;

// Boxes and runs for the tests that need one of their own beside those of the demo.

const WEB_KEY = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk';

function newBox(array $with = []): Box
{
    $box = Box::query()->create([
        'network_id' => Network::home()->id,
        'stage' => Stage::Planned,
        'board' => 'flint',
        'supply' => 'supply-3a',
        'cable' => 'usual-1m',
        'drive' => 'ssd-500',
        'link' => 'wired',
        ...$with,
    ]);
    $box->jobs()->create(['job' => 'file-store']);

    return $box->refresh();
}

function newRun(): Run
{
    return app(RunStart::class)->begin(
        newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden', 'login' => 'key']),
    );
}

/** Puts every step before this one behind the run. */
function runAt(string $step): RunStep
{
    $run = newRun();
    $at = $run->steps()->where('step', $step)->firstOrFail();
    $run->steps()
        ->where('position', '<', $at->position)
        ->update(['state' => RunStep::DONE]);

    return $at->refresh();
}

/** Every page that is looked at, for the box "wren" and its run. */
function everyPage(): array
{
    $run = Box::query()->where('name', 'wren')->firstOrFail()->run;
    $pages = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array('GET', $route->methods(), true) && ! in_array($route->uri(), ['up', 'login'], true)) {
            $pages[] =
                '/'.
                strtr($route->uri(), [
                    '{box}' => (string) $run?->box_id,
                    '{run}' => (string) $run?->id,
                    '{kind}' => 'board',
                    '{id}' => 'flint',
                    '{form}' => 'md',
                    '{file}' => 'hosts',
                    '{way}' => (string) WayIn::query()->value('id'),
                ]);
        }
    }

    return $pages;
}

/** What the tool writes for a box of this name. */
function benchCard(string $name = 'wren', array $packages = ['samba', 'parted']): array
{
    $key = SshPublicKey::tryParse(
        'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk',
    );
    $files = [];
    foreach (
        (new DeclarativeWriter())->write(
            new FirstBoot(
                Hostname::parse($name),
                'thistledown.home.arpa',
                "{$name}-1",
                'warden',
                $key,
                null,
                'Europe/London',
                'gb',
                $packages,
            ),
        ) as $file
    ) {
        $files[$file->name] = $file->text();
    }

    return $files;
}
