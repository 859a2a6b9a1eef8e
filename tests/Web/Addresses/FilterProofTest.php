<?php

declare(strict_types=1);

use App\Demo\DemoBench;
use App\Jobs\AskFilters;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\NameCheck;
use App\Models\Network;
use App\Models\Rollout;
use Tests\Bench\BenchProcess;

// Proof, roll-out, whom it asks and the sheet for the dark, as pages; the proof against the bench's own resolver.

beforeEach(function (): void {
    $this->sieve = Box::query()->where('name', 'sieve')->firstOrFail();
});

test(
    'names are asked of the real resolver over UDP and TCP, and what fails reaches the front page',
    function (): void {
        $this->asKeeper();
        $bench = new BenchProcess();
        config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
        $bench->ask(['do' => 'load', 'state' => DemoBench::state()]);
        $bench->until(fn () => $bench->isOpen('127.22.8.10', 53));
        foreach (['Listed.Example.' => 'refused', 'thing.example' => 'refused'] as $name => $expected) {
            $this->post('/filter/proof', [
                'proof_box' => $this->sieve->id,
                'proof_name' => $name,
                'proof_expected' => $expected,
            ])->assertRedirect('/filter/proof');
        }
        $this->followingRedirects()
            ->post('/filter/proof/ask')
            ->assertSee('Asked just now')
            ->assertSee('One thing is not as it should be.');
        expect(NameCheck::query()->orderBy('id')->pluck('held', 'name')->all())->toBe([
            'listed.example' => true,
            'thing.example' => false,
        ]);
        $this->get('/')->assertSee('sieve does not answer as it should: thing.example');
        $this->get('/ports?box=sieve')->assertSee('names not as they should be');
        // The next hour it is as it should be, and the journal knows.
        NameCheck::query()
            ->where('name', 'thing.example')
            ->update(['expected' => 'answered']);
        dispatch_sync(new AskFilters());
        expect(NameCheck::query()->where('held', false)->count())
            ->toBe(0)
            ->and(JournalEntry::query()->where('text', 'like', '%as it should be again%')->count())
            ->toBe(1);
    },
);

test('what a client saw is read, and a resolver that is no filter is named', function (): void {
    $this->asKeeper();
    NameCheck::query()->create([
        'box_id' => $this->sieve->id,
        'name' => 'listed.example',
        'expected' => 'refused',
    ]);
    $server = fn (
        string $address,
    ): string => "Server:\t\t{$address}\nAddress:\t{$address}#53\n\n** server can't find listed.example: NXDOMAIN\n";
    $this->followingRedirects()
        ->post("/filter/proof/told/{$this->sieve->id}", [
            'client' => 'the desk',
            'pasted' => $server('172.22.8.10'),
        ])
        ->assertSee('1 of 1 are as they should be.')
        ->assertSee('the desk');
    $this->followingRedirects()
        ->post("/filter/proof/told/{$this->sieve->id}", [
            'client' => 'a phone',
            'pasted' => $server('203.0.113.53'),
        ])
        ->assertSee('0 of 1 are as they should be.')
        ->assertSee('by 203.0.113.53, which is no filter of the house');
    $this->followingRedirects()
        ->post("/filter/proof/told/{$this->sieve->id}", ['client' => 'x', 'pasted' => 'a <b>kettle'])
        ->assertSee('None of the names above stands in this text.')
        ->assertSee('a &lt;b&gt;kettle', false);
    $this->followingRedirects()
        ->post("/filter/proof/told/{$this->sieve->id}", ['client' => '', 'pasted' => 'y'])
        ->assertSee('Which client is it?');
    expect(NameCheck::query()->count())->toBe(3);
    $this->post('/filter/proof/'.NameCheck::query()->firstOrFail()->id.'/away');
    expect(NameCheck::query()->count())->toBe(0);
});

test('a name that is none, and more than twelve, are told at the field', function (): void {
    $this->asKeeper();
    $add = fn (string $name) => $this->followingRedirects()->post('/filter/proof', [
        'proof_box' => $this->sieve->id,
        'proof_name' => $name,
        'proof_expected' => 'answered',
    ]);
    $add('no name')->assertSee('is no name that a resolver is asked')->assertSee('value="no name"', false);
    for ($i = 0; $i < 12; $i++) {
        $add("n{$i}.example")->assertSee('It is asked from now on');
    }
    $add('n99.example')->assertSee('Twelve names are enough of a sample.');
    expect(NameCheck::query()->count())->toBe(12);
});

test('one client first, then the house, and back, with the counter before and after', function (): void {
    $this->asKeeper();
    Network::home()->update(['dns' => '172.22.8.1']);
    $begin = [
        'rollout_box' => $this->sieve->id,
        'hand_out' => 'handed',
        'first' => 'the desk',
        'lease_hours' => '24',
    ];
    $this->followingRedirects()
        ->post('/filter/rollout', ['lease_hours' => '0.01'] + $begin)
        ->assertSee('is no lease')
        ->assertSee('value="the desk"', false);
    $this->followingRedirects()
        ->post('/filter/rollout', $begin)
        ->assertSee('The desk asks sieve first.')
        ->assertSee('172.22.8.10');
    $rollout = Rollout::query()->sole();
    $count = fn (string $total, string $refused) => $this->followingRedirects()->post(
        "/filter/rollout/{$rollout->id}/count",
        ['count_total' => $total, 'count_refused' => $refused],
    );
    $count('10', '11')->assertSee('More cannot be refused than was asked.')->assertSee('value="11"', false);
    $count('100', '10');
    $count('100', '10')->assertSee('Nobody asks it.');
    $count('415', '103')->assertSee('315 questions since, 93 refused: 29.5 %.');
    $this->followingRedirects()
        ->post("/filter/rollout/{$rollout->id}/turn")
        ->assertSee('The house asks sieve since');
    expect(Network::home()->dns)->toBe('172.22.8.10');
    $this->get('/')->assertSee('sieve is the only resolver of the house.');
    $this->followingRedirects()
        ->post("/filter/rollout/{$rollout->id}/turn", ['back' => '1'])
        ->assertSee('The house went back');
    expect(Network::home()->dns)->toBe('172.22.8.1');
});

test('whom it asks is written into files', function (): void {
    $this->asKeeper()
        ->get('/filter/upstream?way=tls&asks=203.0.113.53&tls_name=names.example.net&local=172.22.8.1')
        ->assertSee('forward-addr: 203.0.113.53@853#names.example.net')
        ->assertSee('8.22.172.in-addr.arpa.');
    $this->get('/filter/upstream?way=tls&asks=here')
        ->assertSee('is no address')
        ->assertDontSee('forward-zone');
});

test(
    'a list that is only tried stays out of the file, and the household is told what the log holds',
    function (): void {
        $this->asKeeper();
        $this->post('/filter/lists', [
            'list_name' => 'trial',
            'list_try' => '1',
            'list_file' => Illuminate\Http\UploadedFile::fake()->createWithContent('a', "ads.example\n"),
        ]);
        expect(App\Models\FilterList::query()->sole()->chosen)->toBeFalse();
        $this->post('/filter/log', [
            'log_file' => Illuminate\Http\UploadedFile::fake()->createWithContent(
                'log',
                "Nov 20 21:00:00 dnsmasq[311]: query[A] ads.example from 172.22.8.20\n",
            ),
        ]);
        $this->post('/filter/told', ['log_told' => 'counts'])->assertRedirect();
        $this->get('/filter')->assertSee(
            'The log holds who asked what; the household was told: that it is counted',
        );
        $this->post('/filter/told', ['log_told' => 'week']);
        $this->get('/filter')->assertDontSee('The log holds who asked what;');
    },
);

test('the sheet for the dark is for whoever is at home', function (): void {
    $this->asGuest()
        ->get('/filter/lights-out')
        ->assertSee('http://172.22.8.1')
        ->assertSee('sieve (172.22.8.10)');
});

test('a list that shrank by more than half is told', function (): void {
    $this->asKeeper();
    $bring = fn (int $names) => $this->post('/filter/lists', [
        'list_name' => 'house',
        'list_file' => Illuminate\Http\UploadedFile::fake()->createWithContent(
            'a',
            implode("\n", array_map(fn (int $i): string => "n{$i}.example", range(1, $names)))."\n",
        ),
    ]);
    $bring(100);
    $bring(60);
    $this->get('/filter')->assertDontSee('and held 100 before');
    $bring(20);
    $this->get('/filter')->assertSee('house holds 20 names, and held 60 before.');
});
