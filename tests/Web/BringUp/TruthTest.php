<?php

declare(strict_types=1);

use App\BringUp\RunStart;
use App\Catalogue\Catalogue;
use App\Demo\DemoBench;
use App\Jobs\LookAround;
use App\Models\Box;
use App\Models\Desk;
use App\Models\Network;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\StepDoubt;
use App\Probe\TcpProbe;
use Burrow\Household\HearingState;
use Burrow\Household\Stage;
use Burrow\Intake\Refusals;
use Tests\Bench\BenchProcess;

// Only what was looked at is said, with the time it was looked at.

/** Plays a run to its end: every step done by hand in the records, or passed over through the page. */
function playOut(Run $run, string $how): Box
{
    foreach ($run->steps()->orderBy('position')->get() as $step) {
        $step = $step->refresh();
        if ($how === 'skip' || $step->id === $run->steps()->reorder('position', 'desc')->value('id')) {
            test()->post("/runs/{$run->id}/steps/{$step->id}/".($how === 'skip' ? 'skip' : 'done'), [
                'version' => $step->version,
                'reason' => 'in a hurry',
            ]);
        } else {
            $step->update(['state' => RunStep::DONE, 'finished_at' => now()]);
        }
    }

    return $run->box->refresh();
}

test(
    'a run whose steps were all passed over ends unfinished, and nothing is recorded as looked at',
    function (): void {
        $run = newRun();
        $this->asKeeper();
        $box = playOut($run, 'skip');
        $steps = $run->steps()->count();
        expect($box->stage)
            ->toBe(Stage::Unfinished)
            ->and($box->only(['in_service_at', 'answered_at', 'asked_at', 'updated_system_at', 'pinned_at']))
            ->each->toBeNull()
            ->and($box->services()->whereNotNull('state')->count())
            ->toBe(0)
            ->and($box->jobs()->whereNotNull('finished_at')->count())
            ->toBe(0);
        $this->get("/runs/{$run->id}")
            ->assertSee("Unfinished: {$steps} of {$steps} steps were passed over.")
            ->assertDontSee('is in service');
        $this->get("/boxes/{$box->id}")
            ->assertSee('Left open')
            ->assertSee('passed over: in a hurry')
            ->assertSee('Take up what was passed over');
        $this->get('/')->assertSee('Wren is not finished');
        $this->get('/boxes')->assertSee('never asked, not finished');
    },
);

test('what was passed over is taken up again, and done it puts the box into service', function (): void {
    $run = newRun();
    $this->asKeeper();
    $last = $run->steps()->reorder('position', 'desc')->firstOrFail();
    $run->steps()
        ->whereKeyNot($last->id)
        ->update(['state' => RunStep::DONE, 'finished_at' => now()]);
    $this->post("/runs/{$run->id}/steps/{$last->id}/skip", ['version' => 1, 'reason' => 'later']);
    expect($run->box->refresh()->stage)->toBe(Stage::Unfinished);

    $this->post("/runs/{$run->id}/resume")->assertRedirect("/runs/{$run->id}");
    expect($run->refresh()->finished_at)
        ->toBeNull()
        ->and($run->box->refresh()->stage)
        ->toBe(Stage::BringingUp)
        ->and($run->steps()->where('state', RunStep::OPEN)->pluck('id')->all())
        ->toBe([$last->id]);
    $this->post("/runs/{$run->id}/resume")->assertSessionHas('told');

    $this->post("/runs/{$run->id}/steps/{$last->id}/done", ['version' => $last->refresh()->version]);
    expect($run->box->refresh()->stage)
        ->toBe(Stage::InService)
        ->and($run->box->jobs()->whereNull('finished_at')->count())
        ->toBe(0);
});

test(
    'a job without a playbook is said at the start and at the end, and its box is not finished',
    function (): void {
        $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden', 'login' => 'key']);
        // A job of the household's own, of which nobody has written a playbook.
        $own = preg_replace(
            ['/^id: .*/m', '/^label: cluster node$/m'],
            ['id: seed-counter', 'label: seed counter'],
            (string) app(Catalogue::class)->builtIn('job', 'cluster-node'),
        );
        expect(app(Catalogue::class)->import('job', (string) $own)->data)->not->toBeNull();
        $box->jobs()->update(['job' => 'seed-counter']);
        $run = app(RunStart::class)->begin($box->refresh());
        $this->asKeeper()
            ->get("/runs/{$run->id}")
            ->assertSee('does not install: seed counter');
        $box = playOut($run, 'done');
        expect($box->stage)->toBe(Stage::Unfinished);
        $this->get("/runs/{$run->id}")
            ->assertSee('wren is not finished')
            ->assertSee('does not install: seed counter');
        $this->get("/boxes/{$box->id}")->assertSee('is not set up here yet');
    },
);

test('a filter that was never installed is no stand-in for the one there is', function (): void {
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'user' => 'warden',
        'stage' => Stage::Unfinished,
    ]);
    $box->jobs()->update(['job' => 'dns-filter']);
    $this->asKeeper()->get('/')->assertSee('One box for names, no stand-in');
    $box->update(['stage' => Stage::InService]);
    $box->jobs()->update(['finished_at' => now()]);
    $this->get('/')->assertDontSee('One box for names, no stand-in');
});

test(
    'ports are recorded as they were met in the run, and UDP is never open without an answer',
    function (): void {
        $run = newRun();
        $this->asKeeper();
        $run->update([
            'learned' => [
                'looked' => [
                    'tcp/22' => ['state' => 'open', 'at' => now()->subMinutes(3)->toIso8601String()],
                ],
            ],
        ]);
        $box = playOut($run, 'done');
        $ports = $box
            ->services()
            ->get()
            ->mapWithKeys(
                fn ($service): array => [$service->protocol.'/'.$service->port => $service->state],
            )
            ->all();
        expect($ports)
            ->toEqual(['tcp/445' => null, 'tcp/22' => 'open'])
            ->and($box->services()->where('port', 22)->value('looked_at')?->diffInMinutes(now()))
            ->toBeGreaterThan(2.9)
            ->and($box->updated_system_at)
            ->toBeNull();
    },
);

test('a box that answers at its old address is told so, and not that nobody is there', function (): void {
    $bench = new BenchProcess();
    config(['burrow.bench_offset' => BenchProcess::OFFSET]);
    $bench->ask(['do' => 'load', 'state' => DemoBench::state()]);
    $bench->until(fn () => $bench->isOpen('127.22.8.11', 22));
    $run = newRun();
    $run->box->update(['on_bench' => true, 'address' => '172.22.8.30']);
    $run->update(['learned' => ['found' => '172.22.8.11']]);
    $step = $run->steps()->where('step', 'pinned')->firstOrFail();
    $run->steps()
        ->where('position', '<', $step->position)
        ->update(['state' => RunStep::DONE]);
    $this->asKeeper()->post("/runs/{$run->id}/steps/{$step->id}/check", ['version' => 1]);
    $this->get("/runs/{$run->id}")
        ->assertSee('It answers at 172.22.8.11, where it was found, and not at 172.22.8.30.')
        ->assertDontSee('Nobody has this address');

    // Taken back, the verdict does not stay.
    $before = $run->refresh()->load('steps')->last();
    $this->post("/runs/{$run->id}/steps/{$before->id}/reopen", ['reopened' => $before->version]);
    expect($step->refresh()->findings)->toBeNull();
});

test('what the box refused is not done', function (string $pasted, string $says): void {
    $step = runAt('index');
    $step->update(['state' => RunStep::RUNNING, 'began_at' => now()]);
    $this->asKeeper()->post("/runs/{$step->run_id}/steps/{$step->id}/done", [
        'version' => 1,
        'pasted' => $pasted,
    ]);
    expect($step->refresh()->state)->toBe(RunStep::RUNNING);
    $this->get("/runs/{$step->run_id}")->assertSee($says);
})->with([
    ['bash: sudo: command not found', 'The command is not there'],
    ['warden is not in the sudoers file.  This incident will be reported.', 'may not use sudo'],
    [
        'E: Could not get lock /var/lib/apt/lists/lock. It is held by process 812',
        'Another upgrade is running',
    ],
    [
        "Err:1 http://bench stable\n  Temporary failure resolving 'bench'\nE: Failed to fetch",
        'A name was not found',
    ],
]);

test('a pasted text that is no answer to the upgrade is asked for again', function (): void {
    $step = runAt('upgrade');
    $step->update(['state' => RunStep::RUNNING, 'began_at' => now()]);
    $this->asKeeper()->post("/runs/{$step->run_id}/steps/{$step->id}/done", [
        'version' => 1,
        'pasted' => 'hello there',
    ]);
    expect($step->refresh()->state)->toBe(RunStep::RUNNING);
});

test('real refusals are known, and real answers are not taken for one', function (): void {
    $folder = scratch();
    touch("{$folder}/file");
    chmod("{$folder}/file", 0444);
    foreach (
        [
            'bash -c "no-such-command-here"',
            'sh -c no-such-command-here',
            "cat {$folder}/nothing",
            'mount /nowhere/at/all',
            'ssh -o BatchMode=yes -o ConnectTimeout=1 -p 1 127.0.0.1 true',
        ] as $command
    ) {
        expect([$command, Refusals::in(run("LC_ALL=C {$command}")['all'])->codes()])->toBe([
            $command,
            ['intake.refused'],
        ]);
    }
    foreach (
        [
            'ls -la /',
            'df',
            'uname -a',
            'lsblk --json || true',
            'ip address',
            'cat /etc/os-release',
            'testparm --suppress-prompt /dev/null',
            'apt-cache policy bash',
            'dpkg --list | head -400',
        ] as $command
    ) {
        expect([$command, Refusals::in(run("LC_ALL=C {$command}")['all'])->codes()])->toBe([$command, []]);
    }
});

test('a box of another network does not end the look at the others', function (): void {
    $bench = new BenchProcess();
    config(['burrow.bench_offset' => BenchProcess::OFFSET]);
    $bench->ask(['do' => 'load', 'state' => DemoBench::state()]);
    $bench->until(fn () => $bench->isOpen('127.22.8.11', 445));
    Box::query()
        ->where('name', 'sieve')
        ->update(['address' => '10.1.1.1', 'asked_at' => now()->subHour()]);
    Box::query()
        ->where('name', 'larder')
        ->update(['asked_at' => now()->subHour()]);
    (new LookAround())->handle(new TcpProbe(1));
    expect(Box::query()->where('name', 'larder')->firstOrFail()->hearing()->state)
        ->toBe(HearingState::Answers)
        ->and(Box::query()->where('name', 'sieve')->firstOrFail()->hearing()->state)
        ->toBe(HearingState::NotAsked);
    $this->asKeeper()->get('/')->assertSee('lies outside of the network');
});

test('moving the network says what becomes of the boxes outside', function (): void {
    $typed = Network::home()->only([
        'name',
        'router',
        'pool_first',
        'pool_last',
        'domain',
        'wan',
        'time_zone',
        'country',
        'ssids',
    ]);
    $this->asKeeper()->post(
        '/settings',
        [
            'prefix' => '192.168.40.0/24',
            'router' => '192.168.40.1',
            'pool_first' => '192.168.40.100',
            'pool_last' => '192.168.40.199',
        ] + $typed,
    );
    $this->get('/settings')->assertSee('6 boxes have addresses outside of it')->assertSee('sieve');
});

test('a box that nobody asked for a while does not answer on any page', function (): void {
    Box::query()->update([
        'asked_at' => now()->subHours(2),
        'answered_at' => now()->subHours(2),
        'silent_since' => null,
    ]);
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    foreach (['/', '/boxes', "/boxes/{$larder->id}"] as $page) {
        $html = (string) $this->asKeeper()->get($page)->getContent();
        preg_match_all('~.{60}(?:<b>\s*Answers|/> answers|lantern answers|\(answers\)).{20}~s', $html, $says);
        expect([$page, $says[0]])
            ->toBe([$page, []])
            ->and(strtolower($html))
            ->toContain('not asked since');
    }
});

test(
    'a step that was passed over until a day stands in Upkeep, and one that looked different too',
    function (): void {
        $at = runAt('reserve');
        $this->asKeeper();
        $act = fn (string $action, array $with) => $this->post(
            "/runs/{$at->run_id}/steps/{$at->id}/{$action}",
            [
                'version' => $at->refresh()->version,
                ...$with,
            ],
        );
        $act('doubt', ['saw' => 'the page has another menu'])->assertSessionHas('told');
        $this->get("/runs/{$at->run_id}")->assertSee('it looked different: the page has another menu');
        $this->get('/upkeep')
            ->assertSee('Steps that looked different')
            ->assertSee('the page has another menu');
        $this->post('/upkeep/doubts/'.StepDoubt::query()->firstOrFail()->id);
        $this->get('/upkeep')->assertDontSee('the page has another menu');

        foreach (['2026-02-30', 'soon', '2099-01-01'] as $wrong) {
            $act('skip', ['reason' => 'the router is locked', 'again' => $wrong])->assertSessionHas('told');
            expect($at->refresh()->state)->toBe(RunStep::OPEN);
        }
        $act('skip', ['reason' => 'the router is locked', 'again' => now()->addWeek()->format('Y-m-d')]);
        expect($at->refresh()->due_on?->format('Y-m-d'))->toBe(now()->addWeek()->format('Y-m-d'));
        $this->get('/upkeep')
            ->assertSee('Steps with a day')
            ->assertSee('Pin its address in the router')
            ->assertSee('the router is locked');
        $this->post("/upkeep/steps/{$at->id}");
        expect($at->refresh()->due_on)->toBeNull();
        $this->get('/upkeep')->assertDontSee('the router is locked');
    },
);

test('what rests on a step that was passed over is not done before it', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden', 'login' => 'key']);
    $box->jobs()->update(['job' => 'tunnel-endpoint']);
    $run = app(RunStart::class)->begin($box->refresh());
    $outside = $run->steps()->where('step', 'from-outside')->firstOrFail();
    $run->steps()
        ->where('position', '<', $outside->position)
        ->update(['state' => RunStep::DONE]);
    $run->steps()
        ->where('step', 'forward')
        ->update(['state' => RunStep::SKIPPED]);
    $this->asKeeper()->post("/runs/{$run->id}/steps/{$outside->id}/done", ['version' => $outside->version]);
    expect([$outside->refresh()->state, array_column($outside->findings, 'code')])->toBe([
        RunStep::OPEN,
        ['bringup.needs_first'],
    ]);
});

test('what was built from source is due again, and once more after it was looked after', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden', 'login' => 'key']);
    $box->jobs()->update(['job' => 'tv-recorder', 'school' => 'source']);
    $run = app(RunStart::class)->begin($box->refresh());
    $due = $run->steps()->where('step', 'rebuild-due')->firstOrFail();
    $run->steps()
        ->where('position', '<', $due->position)
        ->update(['state' => RunStep::DONE]);
    $this->asKeeper()->post("/runs/{$run->id}/steps/{$due->id}/done", ['version' => $due->version]);
    expect($due->refresh()->due_on?->format('Y-m-d'))->toBe(now()->addDays(90)->format('Y-m-d'));
    $this->get('/upkeep')->assertSee('Its updates are builds');
    $this->travel(100)->days();
    $this->get('/upkeep')->assertSee('Its day has come.');
    $this->post("/upkeep/steps/{$due->id}");
    expect($due->refresh()->due_on?->format('Y-m-d'))->toBe(now()->addDays(90)->format('Y-m-d'));
});

test('what was answered is kept with the job, and stands there when it is asked again', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden', 'login' => 'key']);
    $box->jobs()->update(['job' => 'dns-filter']);
    $run = app(RunStart::class)->begin($box->refresh());
    $asks = $run->steps()->where('step', 'filter-values')->firstOrFail();
    $run->steps()
        ->where('position', '<', $asks->position)
        ->update(['state' => RunStep::DONE]);
    $this->asKeeper();
    $post = fn (array $given) => $this->post("/runs/{$run->id}/steps/{$asks->id}/done", [
        'version' => $asks->refresh()->version,
        ...$given,
    ]);
    $post(['asked_upstream' => 'nobody', 'asked_listed' => 'a b', 'asked_answered' => 'www.example.org']);
    // What was typed is kept, and each field says what is wrong with it.
    $this->get("/runs/{$run->id}")
        ->assertSee('“nobody” will not do.')
        ->assertSee('value="nobody"', false)
        ->assertSee('value="www.example.org"', false);
    $post([
        'asked_upstream' => '172.22.8.1',
        'asked_listed' => "a.example\r\nb.example",
        'asked_answered' => 'x.example',
    ]);
    expect($box->jobs()->firstOrFail()->answers)->toBe([
        'upstream' => '172.22.8.1',
        'listed' => "a.example\nb.example",
        'answered' => 'x.example',
    ]);
    $this->get("/boxes/{$box->id}")
        ->assertSee('Answered when it was set up')
        ->assertSee('x.example');
    $this->asGuest()
        ->get("/boxes/{$box->id}")
        ->assertDontSee('x.example');
    $this->asKeeper();
    $run->delete();
    $again = app(RunStart::class)->begin($box->refresh());
    $position = $again->steps()->where('step', 'filter-values')->value('position');
    $again
        ->steps()
        ->where('position', '<', $position)
        ->update(['state' => RunStep::DONE]);
    $this->get("/runs/{$again->id}")
        ->assertSee('value="x.example"', false)
        ->assertSee("a.example\nb.example", false);
});

test(
    'a school that the catalogue no longer has is said, with the one that stands in for it',
    function (): void {
        $run = newRun();
        $run->box->jobs()->update(['job' => 'audio-player', 'school' => 'wax-cylinder']);
        $this->asKeeper()
            ->get("/runs/{$run->id}")
            ->assertSee('there is no school “wax-cylinder” any more')
            ->assertSee('Its steps are those of the school “appliance”.');
        $run->box->jobs()->update(['school' => 'package']);
        $this->get("/runs/{$run->id}")->assertDontSee('no school');
    },
);

test(
    'a desk with PowerShell gets its own command where it is another one, and alone where no other desk is',
    function (): void {
        $box = newBox(['name' => 'wren', 'stage' => Stage::InService, 'user' => 'warden']);
        $run = Run::query()->create([
            'box_id' => $box->id,
            'adds' => [],
            'change' => 'move',
            'learned' => [
                'backup_file' => "full 'n new.tar",
                'from_name' => 'rook',
                'new_address' => '172.22.8.30',
            ],
        ]);
        $step = $run->steps()->create(['step' => 'move-sum', 'position' => 0, 'state' => RunStep::OPEN]);
        $desks = fn (string $one, string $other) => Desk::query()
            ->orderBy('id')
            ->get()
            ->each(fn (Desk $desk, int $at) => $desk->update(['system' => $at === 0 ? $one : $other]));
        $posix = 'sha256sum &#039;full &#039;\\&#039;&#039;n new.tar&#039;';
        $power = 'Get-FileHash -Algorithm SHA256 -LiteralPath &#039;full &#039;&#039;n new.tar&#039;';
        $page = fn () => $this->asKeeper()->get("/runs/{$run->id}");
        $desks('lsblk', 'diskutil');
        $page()->assertSee($posix, false)->assertDontSee('PowerShell');
        $desks('lsblk', 'get-disk');
        $page()->assertSee($posix, false)->assertSee($power, false);
        $desks('get-disk', 'get-disk');
        $page()->assertSee($power, false)->assertDontSee($posix, false);
        // The same for both is shown once.
        $step->update(['step' => 'move-old-entry']);
        $desks('lsblk', 'get-disk');
        $page()->assertSee('ssh-keygen -R 172.22.8.30')->assertDontSee('PowerShell');
    },
);
