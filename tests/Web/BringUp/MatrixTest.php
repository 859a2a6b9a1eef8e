<?php

declare(strict_types=1);

use App\BringUp\RunBook;
use App\BringUp\RunStart;
use App\Catalogue\Catalogue;
use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Step\Step;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Household\Stage;
use Tests\Bench\BenchProcess;

// Every job in every school is played on a bench, through the same pages that a person uses.

test('every job plays on the bench to its end, in every school', function (string $id): void {
    [$job, $school] = explode('.', $id);
    $bench = new BenchProcess(3000);
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
    $entry = app(Catalogue::class)->job($job);
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'user' => 'warden',
        'login' => 'key',
        'on_bench' => true,
        'image' => $school === 'appliance' ? 'appliance-64' : 'server-64',
        'link' => $job === 'pocket-computer' ? LinkKind::UsbCable->value : LinkKind::Wired->value,
    ]);
    $box->jobs()->update([
        'job' => $job,
        'school' => $school,
        'page_port' => $entry->askedPort() === null ? null : 8085,
    ]);
    $board = "box-{$box->id}";
    $bench->ask([
        'do' => 'insert',
        'board' => $board,
        'mac' => '02:4b:1e:90:00:09',
        'class' => 'Flint',
        'network_after' => 20,
        'files' => (object) benchCard('wren', [...$entry->packages, 'parted']),
        'disk' => ['bytes' => 500000000000, 'serial' => 'SEED000009'],
        'services' => $school === 'appliance'
                ? array_map(
                    fn ($use): array => ['port' => $use->port->number, 'protocol' => $use->protocol->value],
                    $entry->listeningAt(8085)->ports,
                )
                : [],
    ]);

    $run = app(RunStart::class)->begin($box->refresh());
    $this->asKeeper();
    foreach ($run->steps()->orderBy('position')->get() as $step) {
        $book = new RunBook($run->refresh()->load(['box.jobs', 'box.network', 'steps']), app(Playbooks::class));
        $played = $book->step($step);
        $said = playStep($run, $step, $played);
        expect([$step->step, $step->state, $step->state === RunStep::DONE ? '' : $said])->toBe([
            $step->step,
            RunStep::DONE,
            '',
        ]);
    }

    $box = Box::query()
        ->with(['jobs', 'services'])
        ->findOrFail($box->id);
    expect($box->stage)->toBe(Stage::InService)->and($box->jobs[0]->finished_at)->not->toBeNull();
    // What a clean end is worth: the service answers after one more restart, without anybody's hands.
    $asked = array_filter(
        $book->steps->list,
        fn (Step $one): bool => str_starts_with($one->kind->name(), 'ask-') && $one->more->look !== null,
    );
    $last = array_values($asked)[count($asked) - 1] ?? null;
    if ($last !== null && $school !== 'appliance') {
        $bench->ask(['do' => 'power', 'board' => $board, 'on' => true]);
        $bench->until(fn (): bool => $bench->isOpen('127.22.8.16', 22));
        $judge = fn (): bool => $last->kind->judge(
            new Burrow\BringUp\Step\Judging(
                $last,
                $book->facts(),
                [],
                app()->makeWith(App\BringUp\Asker::class, ['box' => $box]),
                app(Burrow\Intake\Intake::class),
            ),
        )->over;
        $book = new RunBook($run->refresh()->load(['box.jobs', 'box.network', 'steps']), app(Playbooks::class));
        $bench->until($judge);
        expect($judge())->toBeTrue();
    }
})->with(array_keys(entryFiles('playbook')));

test('a job that is added later plays only what is new, and both are looked at', function (): void {
    $bench = new BenchProcess(3000);
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'user' => 'warden',
        'login' => 'key',
        'on_bench' => true,
        'image' => 'server-64',
    ]);
    $box->jobs()->update(['job' => 'dns-filter', 'school' => 'package']);
    $bench->ask([
        'do' => 'insert',
        'board' => "box-{$box->id}",
        'mac' => '02:4b:1e:90:00:09',
        'class' => 'Flint',
        'network_after' => 20,
        'files' => (object) benchCard('wren', []),
        'disk' => null,
    ]);
    $this->asKeeper();
    $play = function (Run $run): array {
        $ids = [];
        foreach ($run->steps()->orderBy('position')->get() as $step) {
            $book = new RunBook($run->refresh()->load(['box.jobs', 'box.network', 'steps']), app(Playbooks::class));
            $said = playStep($run, $step, $book->step($step));
            expect([$step->step, $step->state, $step->state === RunStep::DONE ? '' : $said])->toBe([
                $step->step,
                RunStep::DONE,
                '',
            ]);
            $ids[] = $step->step;
        }

        return $ids;
    };
    $first = $play(app(RunStart::class)->begin($box->refresh()));
    $later = $play(
        app(RunStart::class)->add($box->refresh(), [
            ['job' => 'audio-player', 'school' => 'package', 'page_port' => null],
        ]),
    );
    expect(array_values(array_intersect($later, $first)))
        ->toBe(['login', 'index', 'upgrade', 'logins'])
        ->and($later)
        ->toContain('player-answers')
        ->and($box->refresh()->stage)
        ->toBe(Stage::InService)
        ->and($box->services()->where('state', 'open')->pluck('port')->sort()->values()->all())
        ->toBe([22, 53, 53, 6600]);
});
