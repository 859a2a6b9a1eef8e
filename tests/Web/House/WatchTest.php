<?php

declare(strict_types=1);

use App\Demo\DemoBench;
use App\Jobs\LookAround;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Opening;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\Household\HearingState;
use Burrow\Household\Stage;
use Burrow\Net\Ipv4;
use Illuminate\Support\Facades\DB;
use Tests\Bench\BenchProcess;

test('the number of queries does not grow with the boxes', function (string $page): void {
    $ask = function () use ($page): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->asKeeper()->get($page)->assertOk();

        return count(DB::getQueryLog());
    };
    $network = Network::home();
    // The catalogue is read once a process, and the test is one process for many requests.
    $ask();
    $queries = [];
    $made = 0;
    foreach ([10, 100, 1000] as $count) {
        for (; $made < $count; $made++) {
            $box = Box::query()->create([
                'network_id' => $network->id,
                'name' => "row{$made}",
                'stage' => Stage::InService,
                'board' => 'flint',
                'link' => 'wired',
                'address' => '172.22.'.(9 + intdiv($made, 250)).'.'.(($made % 250) + 1),
                'updated_system_at' => now(),
            ]);
            $box->jobs()->create(['job' => 'file-store']);
            $box->services()->create(['port' => 445, 'protocol' => 'tcp', 'purpose' => 'file share']);
            if ($made % 50 === 0) {
                Opening::query()->create([
                    'box_id' => $box->id,
                    'outside_port' => 20000 + $made,
                    'inside_port' => 22,
                    'protocol' => 'tcp',
                    'purpose' => 'x',
                    'reason' => 'x',
                    'review_on' => now(),
                ]);
            }
        }
        $queries[] = $ask();
    }
    expect(array_unique($queries))->toHaveCount(1)->and($queries[0])->toBeLessThan(20);
})->with(['/', '/ports', '/upkeep', '/boxes', '/addresses']);

test('a look around notes who has fallen silent and who is back', function (): void {
    $bench = new BenchProcess();
    config(['burrow.bench_offset' => BenchProcess::OFFSET]);
    $bench->ask(['do' => 'load', 'state' => DemoBench::state()]);
    $bench->until(fn () => $bench->isOpen('127.22.8.11', 445));
    (new LookAround())->handle(new TcpProbe(1));
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    expect($larder->silent_since)
        ->toBeNull()
        ->and($larder->services->where('port', 445)->value('state'))
        ->toBe('open')
        ->and(Box::query()->where('name', 'seedpress')->firstOrFail()->hearing()->state)
        ->toBe(HearingState::Silent);

    $bench->ask(['do' => 'power', 'board' => "box-{$larder->id}", 'on' => false]);
    (new LookAround())->handle(new TcpProbe(1));
    $since = $larder->refresh()->silent_since;
    expect($since)
        ->not->toBeNull()
        ->and(JournalEntry::query()->where('box_id', $larder->id)->where('kind', 'silent')->count())
        ->toBe(1);

    $this->travel(5)->minutes();
    (new LookAround())->handle(new TcpProbe(1));
    expect($larder->refresh()->silent_since?->equalTo($since))
        ->toBeTrue()
        ->and(JournalEntry::query()->where('box_id', $larder->id)->where('kind', 'silent')->count())
        ->toBe(1);

    $bench->ask(['do' => 'power', 'board' => "box-{$larder->id}", 'on' => true]);
    $bench->until(fn () => $bench->isOpen('127.22.8.11', 445));
    (new LookAround())->handle(new TcpProbe(1));
    expect($larder->refresh()->silent_since)
        ->toBeNull()
        ->and(JournalEntry::query()->where('box_id', $larder->id)->where('kind', 'answers')->count())
        ->toBe(1);
});

test('only the household\'s own private addresses are asked', function (
    string $prefix,
    string $address,
    bool $may,
): void {
    Network::home()->update(['prefix' => $prefix]);
    $box = Box::query()->with('network')->where('name', 'larder')->firstOrFail();
    $ask = fn (): Target => Target::of($box, Ipv4::parse($address), 22);
    $may ? expect($ask()->host)->toBe('127.22.8.11') : expect($ask)->toThrow(InvalidArgumentException::class);
})->with([
    ['172.22.8.0/24', '172.22.8.11', true],
    ['172.22.8.0/24', '172.22.9.11', false],
    ['203.0.113.0/24', '203.0.113.9', false],
    ['0.0.0.0/0', '203.0.113.9', false],
]);

test('a real box is asked at its own address and port', function (): void {
    $box = Box::query()->with('network')->where('name', 'larder')->firstOrFail();
    $box->on_bench = false;
    $target = Target::of($box, Ipv4::parse('172.22.8.11'), 445);
    expect([$target->host, $target->port, $target->presence()])->toBe(['172.22.8.11', 445, null]);
});
