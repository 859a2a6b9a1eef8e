<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Plan;

test('several jobs on one box are judged and kept together', function (): void {
    $this->asKeeper()->get('/plan?role=file-store&also=dns-filter&too=dns-filter')->assertSee('fast enough for 2 jobs together')->assertSee('names 180 MiB');
    $this->post('/plan', ['role' => 'file-store', 'also' => 'dns-filter'])->assertRedirect();
    $box = Box::query()->where('stage', Box::PLANNED)->firstOrFail();
    expect($box->jobs->pluck('role')->all())->toBe(['file-store', 'dns-filter'])
        ->and($box->only(['image', 'card', 'case']))->toBe(['image' => 'server-64', 'card' => 'card-32-a1', 'case' => 'vented']);
});

test('the run of a box with two jobs goes through both', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden']);
    $box->jobs()->create(['role' => 'dns-filter']);
    $this->asKeeper()->post("/boxes/{$box->id}/run")->assertRedirect();
    $run = $box->refresh()->run;
    $last = $run?->steps()->where('step', 'logins')->firstOrFail();
    $run?->steps()->where('id', '!=', $last?->id)->update(['state' => 'done']);
    $this->post("/runs/{$run?->id}/steps/{$last?->id}/done", ['version' => 1]);
    expect($box->services()->pluck('port')->sort()->values()->all())->toBe([22, 53, 80, 445]);
    $this->get('/upkeep')->assertSee(now()->addDays(14)->format('Y-m-d'));
});

test('a way out is a link that cures the plan', function (): void {
    $page = (string) $this->asKeeper()->get('/plan?supply=charger-1a')->assertSee('Ways out')->getContent();
    preg_match('~<a href="([^"]+)">Supply, 5\.1 V 3 A</a>~', $page, $link);
    $this->get(html_entity_decode($link[1]))->assertSee('Fits, with')->assertDontSee('Ways out');
});

test('the first question is from what it will be used', function (): void {
    $this->asKeeper()->get('/plan?client=television')->assertSee('is not used from a television')->assertSeeInOrder(['From what will you use it?', 'Job', 'Board']);
});

test('numbers out of bounds and nonsense become the usual ones', function (): void {
    $this->asKeeper()->get('/plan?room=900&price=-1&copy=many&up=0&battery=1e9&down=NaN')->assertOk()->assertSee('name="room" value="24"', false)->assertSee('Time for 50.0 GB');
    $this->get('/plan?price=0,25')->assertSee('kWh × 0.25');
});

test('the plan leaves as YAML that the terminal reads, and its parts as CSV', function (): void {
    $query = '?role=dns-filter&board=pebble&supply=supply-2a5&cable=stout-05m&drive=none&link=wireless&image=server-32&case=open';
    $folder = scratch();
    file_put_contents("{$folder}/plan.yaml", $this->asKeeper()->get('/plan/plan.yaml'.$query)->assertHeader('Content-Type', 'application/yaml')->getContent());
    $told = run('env -u DB_SOCKET -u DB_PASSWORD -u APP_ENV -u APP_KEY '.escapeshellarg(getcwd().'/burrow').' plan plan.yaml', folder: $folder);
    preg_match('~<p class="say"><b>(.+?)</b>~', (string) $this->get('/plan'.$query)->getContent(), $page);
    expect($told['exit'])->toBe(0)
        ->and(strtok($told['out'], "\n"))->toBe(html_entity_decode($page[1], ENT_QUOTES));
    expect($this->get('/plan/parts.csv'.$query)->assertHeader('Content-Type', 'text/csv; charset=utf-8')->getContent())->toStartWith("part,price,because\r\n")->toContain('Adapter from mini to full video')->toContain('together,');
});

test('up to four variants stand side by side', function (): void {
    $this->asKeeper()->get('/plan/variants')->assertSee('No variant yet');
    foreach (['flint', 'cobble', 'basalt', 'granite'] as $board) {
        $this->post('/plan/keep', ['board' => $board])->assertRedirect('/plan/variants');
    }
    $this->followingRedirects()->post('/plan/keep', ['board' => 'pebble'])->assertSee('Four variants stand side by side already');
    expect(Plan::query()->count())->toBe(4);
    $this->get('/plan/variants')->assertSee('Granite')->assertSee('Supply, 5.1 V 3 A')->assertSee('Running cost a year');
    $this->get('/plan/variants?differences=1')->assertSee('Granite')->assertDontSee('Supply, 5.1 V 3 A');
});

test('a dropped variant leaves its reason', function (): void {
    $this->asKeeper()->post('/plan/keep', ['board' => 'cobble']);
    $plan = Plan::query()->firstOrFail();
    $this->delete("/plan/variants/{$plan->id}", ['reason' => 'too slow for the seed scans'])->assertRedirect('/plan/variants');
    expect(Plan::query()->count())->toBe(0)
        ->and(JournalEntry::query()->where('kind', 'plan')->value('text'))->toContain('Tried and dropped, because too slow for the seed scans');
});

test('an own entry stands before the built-in one of its name, which stays readable', function (): void {
    $own = str_replace('price: 8', 'price: 3', (string) file_get_contents('core/Board/data/supply/supply-3a.yaml'));
    $this->asKeeper()->post('/catalogue', ['kind' => 'supply', 'yaml' => $own])->assertRedirect('/catalogue');
    $this->get('/plan/parts.csv')->assertSee('"Supply, 5.1 V 3 A",3', false);
    $this->get('/catalogue')->assertSee('supply-3a.yaml?built-in=1', false);
    expect($this->get('/catalogue/supply/supply-3a.yaml?built-in=1')->getContent())->toContain('price: 8');
    $this->delete('/catalogue/supply/supply-3a')->assertRedirect('/catalogue');
    $this->get('/plan/parts.csv')->assertSee('"Supply, 5.1 V 3 A",8', false);
});

test('any entry can be opened for changing', function (): void {
    $this->asKeeper()->get('/catalogue?edit=board/flint')->assertOk()->assertSee('label: Flint')->assertSee('<option value="board" selected', false);
});

test('what lies in the drawer comes off the sum', function (): void {
    $this->asKeeper()->get('/plan')->assertSee('Parts, 144 together')->assertDontSee('to buy');
    $this->from('/plan')->post('/plan/drawer', ['part' => 'Network cable'])->assertRedirect('/plan');
    $this->get('/plan')->assertSee('Parts, 144 together, 140 to buy')->assertSee('in the drawer');
    $this->post('/plan/drawer', ['part' => 'Network cable']);
    $this->get('/plan')->assertDontSee('to buy');
});

test('a measured rate is logged and judged on the page of its box', function (): void {
    $box = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asKeeper()->from("/boxes/{$box->id}")->followingRedirects()->post("/boxes/{$box->id}/measured", ['megabytes' => '0', 'idle' => '120'])->assertSee('above zero')->assertSee('0 to 100');
    $this->followingRedirects()->post("/boxes/{$box->id}/measured", ['megabytes' => '110', 'idle' => '62'])->assertSee('The network was the limit at 110 MB/s');
    expect(JournalEntry::query()->where('kind', 'measured')->value('text'))->toContain('110 MB/s');
});

test('what a box hangs on is kept, and shows what goes dark with it', function (): void {
    $box = Box::query()->where('name', 'dewpoint')->firstOrFail();
    $this->asKeeper()->post("/boxes/{$box->id}/fed", ['fed_by' => 'the strip behind the desk'])->assertRedirect("/boxes/{$box->id}");
    $this->get('/boxes')
        ->assertSee('What goes dark with which switch')
        ->assertSee('dewpoint, then larder, then sieve')
        ->assertSee('culvert, lantern')
        ->assertSee('A switch is a power cut.');
    $this->post("/boxes/{$box->id}/fed", ['fed_by' => '']);
    expect($box->refresh()->fed_by)->toBeNull();
});

test('a temperature is logged and judged', function (): void {
    $box = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asKeeper()->from("/boxes/{$box->id}")->followingRedirects()->post("/boxes/{$box->id}/measured", ['board_celsius' => 'hot', 'room_celsius' => '21'])->assertSee('The board under load, in °C.');
    $this->followingRedirects()->post("/boxes/{$box->id}/measured", ['board_celsius' => '92', 'room_celsius' => '21'])->assertSee('hotter than its case should let it');
    $this->followingRedirects()->post("/boxes/{$box->id}/measured", ['board_celsius' => '70', 'room_celsius' => '21'])->assertSee('The case does what it should');
});
