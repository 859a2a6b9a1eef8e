<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\Dependency;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Service;
use Tests\Bench\BenchProcess;

// The plan of upkeep as one run, with real questions to boxes on the bench.

/** @return array{BenchProcess, Box, Box} two boxes that are due, the second of which needs the first */
function twoDue(): array
{
    $bench = new BenchProcess(3000);
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
    Box::query()->update(['stage' => Burrow\Household\Stage::Named->value]);
    $first = upOnBench($bench, 'kettle', '172.22.8.31', '02:4b:1e:90:00:31');
    $second = upOnBench($bench, 'wren', '172.22.8.32', '02:4b:1e:90:00:32');
    Dependency::query()->create(['box_id' => $second->id, 'on_box_id' => $first->id, 'what' => 'files']);
    foreach ([$first, $second] as $box) {
        $box->update(['updated_system_at' => now()->subDays(90), 'in_service_at' => now()->subDays(200)]);
        Service::query()->create([
            'box_id' => $box->id,
            'protocol' => 'tcp',
            'port' => 22,
            'purpose' => 'remote login',
            'state' => 'open',
            'looked_at' => now(),
        ]);
    }

    return [$bench, $first, $second];
}

test(
    'one after the other: the second is not touched before the first was seen to work again',
    function (): void {
        [$bench, $first, $second] = twoDue();
        $this->asKeeper()->get('/upkeep')->assertSee('Go through them');
        $this->get('/upkeep/round')->assertRedirect('/upkeep');
        $this->post('/upkeep/round', ['through' => ''])->assertRedirect('/upkeep/round');
        $this->get('/upkeep/round')->assertSeeInOrder(['kettle is next', 'In this order', 'kettle', 'wren']);
        $this->get('/upkeep')->assertSee('The round is under way');
        $this->followingRedirects()->post('/upkeep/round', [])->assertSee('A round is under way already');
        // Not its turn.
        $this->followingRedirects()
            ->post('/upkeep/round/begin', ['stop' => 'wren'])
            ->assertSee('Nothing was changed');
        $this->post('/upkeep/round/begin', ['stop' => 'kettle']);
        $this->get('/upkeep/round')
            ->assertSee('these answered: 22')
            ->assertSee('full-upgrade')
            ->assertSee('Way back');
        // It goes away and is not back: the round holds, and what was pasted stays.
        $bench->ask(['do' => 'power', 'board' => "box-{$first->id}", 'on' => false]);
        $bench->until(fn () => ! $bench->isOpen('127.22.8.31', 22));
        $this->followingRedirects()
            ->post('/upkeep/round/look', ['stop' => 'kettle', 'pasted' => ''])
            ->assertSee('Port 22 of kettle answered before and does not now');
        $this->followingRedirects()
            ->post('/upkeep/round/look', ['stop' => 'kettle', 'pasted' => 'hello there'])
            ->assertSee('That is not what an update prints')
            ->assertSee('hello there');
        expect($first->refresh()->updated_system_at->isToday())->toBeFalse();
        $bench->ask(['do' => 'power', 'board' => "box-{$first->id}", 'on' => true]);
        $bench->until(fn () => $bench->isOpen('127.22.8.31', 22));
        $this->post('/upkeep/round/look', [
            'stop' => 'kettle',
            'pasted' => "Reading package lists...\n9 upgraded, 0 newly installed, 0 to remove and 0 not upgraded.\n",
        ]);
        expect($first->refresh()->updated_system_at->isToday())
            ->toBeTrue()
            ->and(JournalEntry::query()->where('box_id', $first->id)->where('kind', 'update')->sole()->text)
            ->toContain('9 packages');
        $this->get('/upkeep/round')->assertSee('wren is next')->assertSee('works again: 9 packages');
        // The second is off: it cannot begin, and leaving it out wants a reason.
        $bench->ask(['do' => 'power', 'board' => "box-{$second->id}", 'on' => false]);
        $bench->until(fn () => ! $bench->isOpen('127.22.8.32', 22));
        $this->followingRedirects()
            ->post('/upkeep/round/begin', ['stop' => 'wren'])
            ->assertSee('wren does not answer');
        $this->followingRedirects()
            ->post('/upkeep/round/leave', ['stop' => 'wren', 'because' => ''])
            ->assertSee('wants a reason');
        $this->followingRedirects()
            ->post('/upkeep/round/leave', ['stop' => 'wren', 'because' => 'it is <b>off'])
            ->assertSee('All 2 are finished')
            ->assertSee('it is &lt;b&gt;off', false);
        $this->post('/upkeep/round/end')->assertRedirect('/upkeep');
        expect(Network::home()->getAttributes()['round'])
            ->toBeNull()
            ->and($second->refresh()->updated_system_at->isToday())
            ->toBeFalse();
    },
);

test('a damaged round, or one whose box is gone, stops nothing', function (): void {
    foreach (['', '{', '[]', '{"began":1,"stops":[{"box":"nobody","planned":1}]}'] as $kept) {
        Network::home()->update(['round' => $kept]);
        $this->asKeeper()->get('/upkeep')->assertOk();
        $page = $this->get('/upkeep/round');
        expect($page->getStatusCode())->toBeIn([200, 302]);
    }
    $this->get('/upkeep/round')->assertSee('nobody is in the record no more');
    $this->post('/upkeep/round/leave', ['stop' => 'nobody', 'because' => 'x']);
    $this->get('/upkeep/round')->assertSee('All 1 are finished');
});

test('guests see no round and begin none', function (): void {
    $this->asGuest()->get('/upkeep')->assertDontSee('Go through them');
    $this->post('/upkeep/round')->assertForbidden();
});
