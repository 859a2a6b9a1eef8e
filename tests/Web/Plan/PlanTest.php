<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\Decision;
use App\Models\Desk;
use App\Models\JournalEntry;
use App\Models\Plan;
use Burrow\Household\Stage;

test('several jobs on one box are judged and kept together', function (): void {
    $this->asKeeper()
        ->get('/plan?job=file-store&also=dns-filter&too=dns-filter')
        ->assertSee('fast enough for 2 jobs together')
        ->assertSee('names 180 MiB');
    $this->post('/plan', ['job' => 'file-store', 'also' => 'dns-filter'])->assertRedirect();
    $box = Box::query()->where('stage', Stage::Planned)->firstOrFail();
    expect($box->jobs->pluck('job')->all())
        ->toBe(['file-store', 'dns-filter'])
        ->and($box->only(['image', 'card', 'case']))
        ->toBe(['image' => 'server-64', 'card' => 'card-32-a1', 'case' => 'vented']);
});

test('the run of a box with two jobs goes through both', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'user' => 'warden']);
    $box->jobs()->create(['job' => 'dns-filter']);
    $this->asKeeper()
        ->post("/boxes/{$box->id}/run")
        ->assertRedirect();
    $run = $box->refresh()->run;
    $last = $run?->steps()->where('step', 'logins')->firstOrFail();
    $run?->steps()
        ->where('id', '!=', $last?->id)
        ->update(['state' => 'done']);
    $this->post("/runs/{$run?->id}/steps/{$last?->id}/done", ['version' => 1]);
    expect($box->services()->pluck('port')->sort()->values()->all())->toBe([22, 53, 53, 80, 445]);
    $box->update(['updated_system_at' => now()]);
    $this->get('/upkeep')->assertSee(now()->addDays(14)->format('Y-m-d'));
});

test('a way out is a link that cures the plan', function (): void {
    $page = (string) $this->asKeeper()->get('/plan?supply=charger-1a')->assertSee('Ways out')->getContent();
    preg_match('~<a href="([^"]+)">Supply, 5\.1 V 3 A</a>~', $page, $link);
    $this->get(html_entity_decode($link[1]))
        ->assertSee('Fits, with')
        ->assertDontSee('Ways out');
});

test('the first question is from what it will be used', function (): void {
    $this->asKeeper()
        ->get('/plan?client=television')
        ->assertSee('is not used from a television')
        ->assertSeeInOrder(['From what will you use it?', 'Job', 'Board']);
});

test('numbers out of bounds and nonsense become the usual ones', function (): void {
    $this->asKeeper()
        ->get('/plan?room=900&price=-1&copy=many&up=0&battery=1e9&down=NaN')
        ->assertOk()
        ->assertSee('name="room" value="24"', false)
        ->assertSee('Time for 50.0 GB');
    $this->get('/plan?price=0,25')->assertSee('kWh × 0.25');
});

test('the plan leaves as YAML that the terminal reads, and its parts as CSV', function (): void {
    $query =
        '?job=dns-filter&board=pebble&supply=supply-2a5&cable=stout-05m&drive=none&link=wireless&image=server-32&case=open';
    $folder = scratch();
    file_put_contents(
        "{$folder}/plan.yaml",
        $this->asKeeper()
            ->get('/plan/plan.yaml'.$query)
            ->assertHeader('Content-Type', 'application/yaml')
            ->getContent(),
    );
    $told = run(
        'env -u DB_SOCKET -u DB_PASSWORD -u APP_ENV -u APP_KEY '.
            escapeshellarg(getcwd().'/burrow').
            ' plan plan.yaml',
        folder: $folder,
    );
    preg_match(
        '~<p class="say" id="verdict"[^>]*><b>(.+?)</b>~',
        (string) $this->get('/plan'.$query)->getContent(),
        $page,
    );
    expect($told['exit'])
        ->toBe(0)
        ->and(strtok($told['out'], "\n"))
        ->toBe(html_entity_decode($page[1], ENT_QUOTES));
    expect(
        $this->get('/plan/parts.csv'.$query)
            ->assertHeader('Content-Type', 'text/csv; charset=utf-8')
            ->getContent(),
    )
        ->toStartWith("part,price,because\r\n")
        ->toContain('Adapter from mini to full video')
        ->toContain('together,');
});

test('up to four variants stand side by side', function (): void {
    $this->asKeeper()->get('/plan/variants')->assertSee('No variant yet');
    foreach (['flint', 'cobble', 'basalt', 'granite'] as $board) {
        $this->post('/plan/keep', ['board' => $board])->assertRedirect('/plan/variants');
    }
    $this->followingRedirects()
        ->post('/plan/keep', ['board' => 'pebble'])
        ->assertSee('Four variants stand side by side already');
    expect(Plan::query()->count())->toBe(4);
    $this->get('/plan/variants')
        ->assertSee('Granite')
        ->assertSee('Supply, 5.1 V 3 A')
        ->assertSee('Running cost a year');
    $this->get('/plan/variants?differences=1')->assertSee('Granite')->assertDontSee('Supply, 5.1 V 3 A');
});

test('a dropped variant leaves its reason', function (): void {
    $this->asKeeper()->post('/plan/keep', ['board' => 'cobble']);
    $plan = Plan::query()->firstOrFail();
    $this->delete("/plan/variants/{$plan->id}", ['reason' => 'too slow for the seed scans'])->assertRedirect(
        '/plan/variants',
    );
    expect(Plan::query()->beside()->count())
        ->toBe(0)
        ->and(JournalEntry::query()->where('kind', 'plan')->value('text'))
        ->toContain('Tried and dropped, because too slow for the seed scans');
});

test('an own entry stands before the built-in one of its name, which stays readable', function (): void {
    $own = str_replace(
        'price: 8',
        'price: 3',
        (string) file_get_contents('core/Catalogue/data/supply/supply-3a.yaml'),
    );
    $this->asKeeper()
        ->post('/catalogue', ['kind' => 'supply', 'yaml' => $own])
        ->assertRedirectContains('/catalogue?kind=');
    $this->get('/plan/parts.csv')->assertSee('"Supply, 5.1 V 3 A",3', false);
    $this->get('/catalogue?kind=supply')->assertSee('supply-3a.yaml?built-in=1', false);
    expect($this->get('/catalogue/supply/supply-3a.yaml?built-in=1')->getContent())->toContain('price: 8');
    $this->delete('/catalogue/supply/supply-3a')->assertRedirectContains('/catalogue?kind=');
    $this->get('/plan/parts.csv')->assertSee('"Supply, 5.1 V 3 A",8', false);
});

test('any entry can be opened for changing', function (): void {
    $this->asKeeper()
        ->get('/catalogue?edit=board/flint')
        ->assertOk()
        ->assertSee('label: Flint')
        ->assertSee('<option value="board" selected', false);
});

test('what lies in the drawer comes off the sum', function (): void {
    $this->asKeeper()->get('/plan')->assertSee('Parts, 151 GBP together')->assertDontSee('to buy');
    $this->from('/plan')
        ->post('/plan/drawer', ['part' => 'Network cable'])
        ->assertRedirect('/plan');
    $this->get('/plan')->assertSee('Parts, 151 GBP together, 147 to buy')->assertSee('in the drawer');
    $this->post('/plan/drawer', ['part' => 'Network cable']);
    $this->get('/plan')->assertDontSee('to buy');
});

test('a measured rate is logged and judged on the page of its box', function (): void {
    $box = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asKeeper()
        ->from("/boxes/{$box->id}")
        ->followingRedirects()
        ->post("/boxes/{$box->id}/measured", ['megabytes' => '0', 'idle' => '120'])
        ->assertSee('above zero')
        ->assertSee('0 to 100');
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/measured", ['megabytes' => '110', 'idle' => '62'])
        ->assertSee('The network was the limit at 110 MB/s');
    expect(JournalEntry::query()->where('kind', 'measured')->value('text'))->toContain('110 MB/s');
});

test('what a box hangs on is kept, and shows what goes dark with it', function (): void {
    $box = Box::query()->where('name', 'dewpoint')->firstOrFail();
    $this->asKeeper()
        ->post("/boxes/{$box->id}/fed", ['fed_by' => 'the strip behind the desk'])
        ->assertRedirect("/boxes/{$box->id}");
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
    $this->asKeeper()
        ->from("/boxes/{$box->id}")
        ->followingRedirects()
        ->post("/boxes/{$box->id}/measured", ['board_celsius' => 'hot', 'room_celsius' => '21'])
        ->assertSee('The board under load, in °C.');
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/measured", ['board_celsius' => '92', 'room_celsius' => '21'])
        ->assertSee('hotter than its case should let it');
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/measured", ['board_celsius' => '70', 'room_celsius' => '21'])
        ->assertSee('The case does what it should');
});

test(
    'a school is chosen on the sheet, kept with the job, and goes back to the usual one when it is not of that job',
    function (): void {
        $this->asKeeper()
            ->get('/plan?job=dns-filter&school=container')
            ->assertSee('value="container" checked', false)
            ->assertSee('names 240 MiB');
        $this->post('/plan', ['job' => 'dns-filter', 'school' => 'container']);
        expect(Box::query()->where('stage', Stage::Planned)->firstOrFail()->jobs->first()->school)->toBe(
            'container',
        );
        $this->get('/plan?job=dns-filter&school=sorcery')->assertSee('value="package" checked', false);
    },
);

test(
    'a job with nothing but a ready-made school begins with its image, and a disk that no job needs is left out',
    function (): void {
        $this->asKeeper()
            ->get('/plan?job=media-player&client=television')
            ->assertSee('<option value="appliance-64" selected', false)
            ->assertDontSee('plan.school_wants_image')
            ->assertSee('<option value="none" selected>no disk', false);
    },
);

test('boxes on one supply come from the record', function (): void {
    $page = $this->asKeeper()->get(
        '/plan?supply=outputs-4&board=lodestone&job=dns-filter&cable=stout-05m&along%5B%5D=sieve&along%5B%5D=nobody',
    );
    $page
        ->assertSee('value="sieve" checked', false)
        ->assertSee('One supply for 2 boxes: with this one go sieve.')
        ->assertSee('name="along" value="sieve"', false);
    $this->get('/plan?supply=supply-5a&along=sieve,culvert')->assertSee(
        '3 boxes hang on a supply with 1 output.',
    );
});

test('a box in service takes on another job and stays in service', function (): void {
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asKeeper()->get('/plan?job=dns-filter')->assertSee('with larder');
    $this->get('/plan?job=dns-filter&seat=%40larder&board=pebble')
        ->assertSee('its parts are what they are')
        ->assertSee('Give it to larder')
        ->assertSee('fast enough for 2 jobs together')
        ->assertDontSee('<select id="board"', false);
    $this->post('/plan', [
        'job' => 'dns-filter',
        'seat' => '@larder',
        'board' => 'pebble',
        'because' => 'it has room to spare',
    ])->assertRedirect();
    $run = $larder->refresh()->run;
    expect($larder->stage)
        ->toBe(Stage::InService)
        ->and($larder->board)
        ->toBe('flint')
        ->and($larder->jobs()->pluck('school', 'job')->all())
        ->toBe(['file-store' => null, 'dns-filter' => 'package'])
        ->and($run?->adds)
        ->toBe(['dns-filter'])
        ->and($run?->steps->pluck('step')->all())
        ->toContain('login', 'upgrade')
        ->not->toContain('first-boot', 'disk-make');
    // A second plan for it waits until the run is over.
    $this->post('/plan', [
        'job' => 'audio-player',
        'client' => 'phone',
        'seat' => '@larder',
        'because' => 'x',
    ])->assertRedirect("/runs/{$run?->id}");
    expect($larder->jobs()->count())->toBe(2);
    $last = $run?->steps->last();
    $run?->steps()
        ->where('id', '!=', $last?->id)
        ->update(['state' => 'done']);
    $this->post("/runs/{$run?->id}/steps/{$last?->id}/done", ['version' => 1]);
    expect($larder->refresh()->services()->pluck('port')->sort()->values()->all())->toBe([
        22,
        53,
        53,
        80,
        445,
    ]);
});

test('a program on the desk computer leaves a decision and no box', function (): void {
    $this->asKeeper()
        ->post('/plan', ['job' => 'dns-filter', 'seat' => 'desk', 'desk' => 'the reading room desk'])
        ->assertSessionHasErrors('because');
    $this->post('/plan', [
        'job' => 'dns-filter',
        'seat' => 'desk',
        'desk' => 'the reading room desk',
        'because' => 'only for a week',
    ])->assertRedirect('/journal');
    $decision = Decision::query()->firstOrFail();
    expect($decision->box_id)
        ->toBeNull()
        ->and($decision->seat)
        ->toBe('the reading room desk')
        ->and($decision->overruled)
        ->toContain('goes to sleep by itself')
        ->and(Box::query()->where('stage', Stage::Planned)->count())
        ->toBe(0);
    $this->get('/plan?seat=desk&desk=none')->assertSee('name="seat" value="own"', false);
});

test('a decision keeps what was tried, dropped and overruled, and the box shows it', function (): void {
    $this->asKeeper()->post('/plan/keep', ['board' => 'cobble']);
    $this->post('/plan/keep', ['board' => 'granite']);
    $this->post('/plan/keep', ['board' => 'flint', 'job' => 'dns-filter']);
    $this->delete('/plan/variants/'.Plan::query()->firstOrFail()->id, [
        'reason' => 'too slow for the seed scans',
    ]);
    $this->post('/plan', ['board' => 'flint', 'supply' => 'charger-1a', 'because' => 'only on the table']);
    $box = Box::query()->where('stage', Stage::Planned)->firstOrFail();
    $decision = $box->decisions()->firstOrFail();
    expect(array_column($decision->tried, 'because'))
        ->toBe(['too slow for the seed scans', ''])
        ->and($decision->overruled)
        ->toContain('The supply gives 1.00 A')
        ->and(Plan::query()->pluck('choices')->pluck('job')->all())
        ->toBe(['dns-filter']);
    $this->get("/boxes/{$box->id}")
        ->assertSee('Why it is as it is')
        ->assertSee('Tried and dropped, because too slow for the seed scans')
        ->assertSee('Overruled:')
        ->assertSee('Because only on the table.');
});

test('readings of boxes of the same kind correct the next plan', function (): void {
    $this->asKeeper()
        ->get('/plan')
        ->assertSee('as measured on larder')
        ->assertSee('the network is the limit at 104 MB/s');
    $this->get('/plan?board=granite')->assertDontSee('as measured on');
    $this->get('/plan?link=wireless')->assertDontSee('× 0.88 as measured');
    Box::query()
        ->where('name', 'lantern')
        ->firstOrFail()
        ->measurements()
        ->create(['megabytes' => 98, 'idle' => 0.8]);
    // The middle of two readings.
    $this->get('/plan')
        ->assertSee('the network is the limit at 101 MB/s')
        ->assertSee(
            'as measured on lantern, '.now(App\Models\Network::zone())->format('j M Y').'; larder, ',
        );
});

test('a plan with readings and a desk computer leaves as YAML with the same verdict', function (): void {
    $folder = scratch();
    file_put_contents(
        "{$folder}/plan.yaml",
        $this->asKeeper()
            ->get('/plan/plan.yaml?job=print-host&image=server-64-2023&client=browser&hub=hub-7&drive=none')
            ->getContent(),
    );
    $told = run(
        'env -u DB_SOCKET -u DB_PASSWORD -u APP_ENV -u APP_KEY '.
            escapeshellarg(getcwd().'/burrow').
            ' plan plan.yaml',
        folder: $folder,
    );
    preg_match(
        '~<p class="say" id="verdict"[^>]*><b>(.+?)</b>~',
        (string) $this->get(
            '/plan?job=print-host&image=server-64-2023&client=browser&hub=hub-7&drive=none',
        )->getContent(),
        $page,
    );
    expect(strtok($told['out'], "\n"))
        ->toBe(html_entity_decode($page[1], ENT_QUOTES))
        ->and($told['out'])
        ->toContain('The reading room desk has what the evening needs');
});

test('the shopping list goes on paper', function (): void {
    $this->asKeeper()->post('/plan/drawer', ['part' => 'Network cable']);
    $this->get('/plan/paper?job=print-host')
        ->assertOk()
        ->assertSeeInOrder([
            'Shopping list',
            '☑',
            'Network cable',
            'in the drawer',
            'To bear in mind',
            'Cautions',
            'Never leave a printer or heater unattended',
        ]);
});

test('kits stand against singles', function (): void {
    $this->asKeeper()
        ->get('/plan?board=cobble&supply=supply-2a5&case=closed&drive=none&job=dns-filter')
        ->assertSee('Kits against singles')
        ->assertSee('Starter kit with the four-core board')
        ->assertSee('saves 4.00');
});

test('desk computers are described, changed and taken off the list', function (): void {
    $typed = [
        'name' => 'the kiosk',
        'system' => 'diskutil',
        'usb_plug' => 'USB-C',
        'hours' => '6',
        'watts' => '12',
        'card_slot' => '1',
        'administrator' => '1',
    ];
    $this->asKeeper()->post('/settings/desks', $typed)->assertRedirect('/settings/desks');
    $desk = Desk::query()->where('name', 'the kiosk')->firstOrFail();
    expect($desk->card_slot)->toBeTrue()->and($desk->login_client)->toBeFalse();
    $this->get('/plan?desk=the+kiosk')->assertSee('The kiosk has no login client.');
    $this->post('/settings/desks', ['id' => $desk->id, 'login_client' => '1'] + $typed);
    expect($desk->refresh()->login_client)
        ->toBeTrue()
        ->and(Desk::query()->count())
        ->toBe(3);
    $this->from('/settings/desks')
        ->post('/settings/desks', ['hours' => '25', 'watts' => 'many', 'system' => 'steam'] + $typed)
        ->assertSessionHasErrors(['name', 'system', 'hours', 'watts']);
    $this->followingRedirects()
        ->from('/settings/desks')
        ->post('/settings/desks', ['hours' => '25'] + $typed)
        ->assertSee('Hours a day, 0 to 24.')
        ->assertSee('value="25"', false);
    $this->delete("/settings/desks/{$desk->id}");
    expect(Desk::query()->count())->toBe(2);
});

test('a catalogue entry of an older form, without what came later, still works', function (): void {
    $yaml = preg_replace(
        '/^(priced|available): .*\n/m',
        '',
        (string) file_get_contents('core/Catalogue/data/board/flint.yaml'),
    );
    $yaml = str_replace(
        ['id: flint', ', usb_count: 4', ', header_pins: 40', ', amps: 1.2'],
        ['id: flint-own', '', '', ''],
        (string) $yaml,
    );
    $this->asKeeper()
        ->post('/catalogue', ['kind' => 'board', 'yaml' => $yaml])
        ->assertRedirectContains('/catalogue?kind=');
    $this->get('/plan?board=flint-own')->assertOk()->assertSee('Fits, with')->assertDontSee('USB sockets:');
});

test('a plan from elsewhere comes onto the sheet, or says what is wrong with it by line', function (): void {
    $yaml = (string) $this->asKeeper()
        ->get(
            '/plan/plan.yaml?job=print-host&board=cobble&hub=hub-4&plugged=radio+stick&daily=3&school=package',
        )
        ->getContent();
    $page = $this->followingRedirects()
        ->post('/plan/plan.yaml', ['yaml' => $yaml])
        ->assertOk();
    $page
        ->assertSee('<option value="cobble" selected', false)
        ->assertSee('<option value="hub-4" selected', false)
        ->assertSee('value="radio stick" checked', false)
        ->assertSee('name="daily" value="3"', false);
    $this->from('/plan')
        ->post('/plan/plan.yaml', ['yaml' => str_replace('board: cobble', 'board: cheese', $yaml)])
        ->assertSessionHasErrors('yaml');
    $this->followingRedirects()
        ->from('/plan')
        ->post('/plan/plan.yaml', ['yaml' => "jobs: [dns-filter]\nboard: cheese\n"])
        ->assertSee('dns-filter')
        ->assertSee('Take in a plan written as YAML');
});

test('what is plugged in and where the power comes from are kept with the box', function (): void {
    $this->asKeeper()
        ->get('/plan?plugged%5B%5D=camera&fed=the+strip+behind+the+desk')
        ->assertSee('USB sockets: 1.10 A')
        ->assertSee('The strip behind the desk carries 3 boxes.');
    $this->post('/plan', [
        'plugged' => ['camera'],
        'fed' => 'the strip behind the desk',
        'image' => 'server-64-2023',
        'hub' => 'hub-4',
        'cooling' => 'sinks',
        'addon' => 'clock',
    ]);
    $box = Box::query()->where('stage', Stage::Planned)->firstOrFail();
    expect($box->only(['plugged', 'fed_by', 'hub', 'cooling', 'addon', 'image_from']))->toBe([
        'plugged' => 'camera',
        'fed_by' => 'the strip behind the desk',
        'hub' => 'hub-4',
        'cooling' => 'sinks',
        'addon' => 'clock',
        'image_from' => 'author',
    ]);
});

test('the same plan kept again is the same box, called by its job until it has a name', function (): void {
    $plan = ['job' => 'file-store', 'drive' => 'ssd-500'];
    $this->asKeeper()->post('/plan', $plan)->assertRedirect();
    $box = Box::query()->latest('id')->firstOrFail();
    $boxes = Box::query()->count();
    $entries = JournalEntry::query()->count();
    $this->post('/plan', $plan + ['because' => 'it is at hand'])->assertRedirect(route('box.name', $box));
    expect(Box::query()->count())
        ->toBe($boxes)
        ->and(JournalEntry::query()->count())
        ->toBe($entries)
        ->and(Decision::query()->where('box_id', $box->id)->sole()->because)
        ->toBe('it is at hand')
        ->and($box->called())
        ->toBe('the new file store');
    $this->post('/plan', ['card' => 'card-16'] + $plan);
    $this->post('/plan', ['job' => 'dns-filter']);
    expect(Box::query()->count())->toBe($boxes + 2);

    $box->update(['name' => 'wren', 'stage' => Stage::Named]);
    $this->post('/plan', $plan);
    expect(Box::query()->count())->toBe($boxes + 3);
});

test(
    'the port of a page is asked with the name, proposed from what the house has, and is the one that is recorded',
    function (): void {
        $this->asKeeper()->post('/plan', [
            'job' => 'automation-hub',
            'also' => 'accessory-bridge',
            'drive' => 'none',
        ]);
        $box = Box::query()->whereNull('name')->firstOrFail();
        // 8081 and 8082 are those of the demo's boxes.
        expect($box->jobs->pluck('page_port', 'job')->all())->toBe([
            'automation-hub' => 8083,
            'accessory-bridge' => 8085,
        ]);
        [$hub, $bridge] = $box->jobs->pluck('id')->all();
        $this->get("/boxes/{$box->id}/name")
            ->assertSee('Port of its page')
            ->assertSee("name=\"ports[{$hub}]\" value=\"8083\"", false);
        $typed = ['name' => 'wren', 'address' => '172.22.8.16'];
        $this->followingRedirects()
            ->post("/boxes/{$box->id}/name", [...$typed, 'ports' => [$hub => '80', $bridge => '8085']])
            ->assertSee('is no port for a page')
            ->assertSee('value="80"', false);
        $this->get(
            "/boxes/{$box->id}/name?name=wren&address=172.22.8.16&ports[{$hub}]=8082&ports[{$bridge}]=8082",
        )->assertSee('8082 is used in this house already: dewpoint');
        $this->post("/boxes/{$box->id}/name", [
            ...$typed,
            'ports' => [$hub => '8097', $bridge => ['x']],
        ])->assertRedirect();
        $this->post("/boxes/{$box->id}/name", [
            ...$typed,
            'ports' => [$hub => '8097', $bridge => '8085'],
        ])->assertRedirect("/boxes/{$box->id}/card");
        expect($box->refresh()->jobs->pluck('page_port')->all())->toBe([8097, 8085]);
    },
);
