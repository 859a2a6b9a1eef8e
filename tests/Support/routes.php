<?php

declare(strict_types=1);

use App\Models\Backup;
use App\Models\Box;
use App\Models\CatalogueEntry;
use App\Models\Desk;
use App\Models\FilterException;
use App\Models\FilterList;
use App\Models\FolderPair;
use App\Models\ImageRecord;
use App\Models\Medium;
use App\Models\NameCheck;
use App\Models\Network;
use App\Models\Opening;
use App\Models\Plan;
use App\Models\Rehearsal;
use App\Models\Rhythm;
use App\Models\Rollout;
use App\Models\Service;
use App\Models\Sighting;
use App\Models\StepDoubt;
use App\Models\Token;
use App\Models\User;
use App\Models\WayIn;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\Route;

/** A value for every kind of thing that a route names; one that is there, so that a refusal is no mere 404. */
function pathOf(OneRoute $route): string
{
    $run = Box::query()->where('name', 'wren')->firstOrFail()->run;
    $values = [
        'box' => Box::query()->where('name', 'wren')->firstOrFail()->id,
        'run' => $run->id,
        'login' => User::query()->where('name', 'desk')->firstOrFail()->id,
        'step' => $run->steps()->firstOrFail()->id,
        'action' => 'done',
        'form' => 'sh',
        'kind' => 'board',
        'id' => 'flint-own',
        'plan' => Plan::query()->firstOrFail()->id,
        'record' => ImageRecord::query()->firstOrFail()->id,
        'medium' => Medium::query()->firstOrFail()->id,
        'desk' => Desk::query()->firstOrFail()->id,
        'doubt' => StepDoubt::query()->firstOrFail()->id,
        'file' => 'hosts',
        'opening' => Opening::query()->firstOrFail()->id,
        'way' => WayIn::query()->firstOrFail()->id,
        'service' => Service::query()->firstOrFail()->id,
        'rehearsal' => Rehearsal::query()->firstOrFail()->id,
        'backup' => Backup::query()->firstOrFail()->id,
        'pair' => FolderPair::query()->firstOrFail()->id,
        'check' => NameCheck::query()->firstOrFail()->id,
        'token' => Token::query()->firstOrFail()->id,
        'rollout' => Rollout::query()->firstOrFail()->id,
        'rhythm' => Rhythm::query()->firstOrFail()->id,
        'list' => FilterList::query()->firstOrFail()->id,
        'exception' => FilterException::query()->firstOrFail()->id,
        'network' => Network::query()->firstOrFail()->id,
        'sighting' => Sighting::query()->firstOrFail()->id,
    ];

    return '/'.
        preg_replace_callback(
            '/\{(\w+)\??\}/',
            fn (array $match): string => (string) ($values[$match[1]] ??
                throw new RuntimeException("The matrix has no value for {{$match[1]}}.")),
            $route->uri(),
        );
}

/** One thing of every kind that a route may name, beside the demo. */
function everythingOnce(): void
{
    newRun();
    Plan::query()->create(['choices' => ['job' => 'file-store']]);
    Rehearsal::query()->create([
        'box_id' => Box::query()->where('name', 'wren')->firstOrFail()->id,
        'fault' => 'no-cable',
        'looks' => [],
        'told' => [],
        'begun_at' => now(),
    ]);
    StepDoubt::query()->create(['step' => 'x', 'title' => 'X', 'saw' => 'y']);
    FilterList::query()->create(['name' => 'a list']);
    FilterException::query()->create(['name' => 'a.test']);
    Token::give(Token::FEED, 'desk');
    NameCheck::query()->create([
        'box_id' => Box::query()->firstOrFail()->id,
        'name' => 'a.test',
        'expected' => 'refused',
    ]);
    Rollout::query()->create([
        'box_id' => Box::query()->firstOrFail()->id,
        'school' => 'handed',
        'first' => 'desk',
        'lease_seconds' => 86_400,
        'counts' => [],
    ]);
    FolderPair::query()->create([
        'box_id' => Box::query()->firstOrFail()->id,
        'folder' => '/srv/papers',
        'peer' => 'desk',
    ]);
    Sighting::query()->create([
        'network_id' => Network::home()->id,
        'known_by' => '02:4b:1e:90:00:99',
        'address' => '172.22.8.140',
        'first_seen' => now(),
        'last_seen' => now(),
    ]);
    CatalogueEntry::query()->create([
        'kind' => 'board',
        'slug' => 'flint-own',
        'yaml' => str_replace(
            'id: flint',
            'id: flint-own',
            (string) file_get_contents('core/Catalogue/data/board/flint.yaml'),
        ),
    ]);
}
