<?php

declare(strict_types=1);

use App\Addresses\Makers;
use App\BringUp\RunDesk;
use App\Models\Box;
use App\Models\Identity;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Sighting;
use App\Probe\PingProbe;
use App\Probe\Target;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\Household\Stage;
use Burrow\Net\Ipv4;
use Burrow\Net\SshPublicKey;
use Tests\Bench\BenchProcess;

const LIST_BEFORE = "1795691763 02:4b:1e:77:00:0a 172.22.8.10 sieve *\n1795691763 00:11:5e:ed:00:77 172.22.8.120 desk *\n";

const LIST_AFTER = LIST_BEFORE."1795691999 02:4b:1e:90:00:18 172.22.8.131 lark *\n";

test('a list before and one after: what is new is said, and stands first', function (): void {
    $this->asKeeper()
        ->post('/addresses/read', ['pasted' => LIST_BEFORE])
        ->assertRedirect('/addresses/find');
    $this->post('/addresses/keep')->assertRedirect();
    $this->get('/addresses/find')->assertSee('Nothing is new');
    $this->post('/addresses/read', ['pasted' => "warden@wren:~ $ cat leases\n".LIST_AFTER]);
    $this->get('/addresses/find')
        ->assertSee('1 machine is')
        ->assertSeeInOrder(['172.22.8.131', 'it was not in the list before', '172.22.8.120']);
    $count = Sighting::query()->count();
    expect(
        Sighting::query()
            ->whereIn('name', ['sieve', 'desk', 'lark'])
            ->count(),
    )->toBe(3);

    // Read once more: nobody is there twice, and who was there first stays so.
    $first = Sighting::query()->where('mac', '02:4b:1e:90:00:18')->firstOrFail()->first_seen;
    $this->travel(3)->hours();
    $this->post('/addresses/read', ['pasted' => LIST_AFTER]);
    $again = Sighting::query()->where('mac', '02:4b:1e:90:00:18')->firstOrFail();
    expect(Sighting::query()->count())
        ->toBe($count)
        ->and($again->first_seen->eq($first))
        ->toBeTrue()
        ->and($again->last_seen->gt($first))
        ->toBeTrue();
});

test('a text without machines says so and keeps what was pasted', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/addresses/read', ['pasted' => 'a kettle'])
        ->assertSee('No machine stands in this text.')
        ->assertSee('a kettle');
    expect(Network::home()->list_now)->toBeNull();
});

test('two kinds in one paste are one list', function (): void {
    $neighbours = "172.22.8.44 dev eth0 lladdr 02:4b:1e:90:00:44 REACHABLE\n";
    $this->asKeeper()
        ->followingRedirects()
        ->post('/addresses/read', [
            'pasted' => "root@router:~# cat leases\n".LIST_BEFORE."root@router:~# ip neigh\n{$neighbours}",
        ])
        ->assertSee('3 machines, read as leases and neighbours');
});

test('a machine is called what it is, and a stranger again', function (): void {
    $this->asKeeper()->post('/addresses/read', ['pasted' => LIST_BEFORE]);
    $desk = Sighting::query()->where('name', 'desk')->firstOrFail();
    $this->post("/addresses/seen/{$desk->id}/mark", ['label' => '  the desk in the study ']);
    $this->get('/addresses/find')->assertSee('the desk in the study');
    $this->get('/addresses')->assertSee('the desk in the study');
    $this->post("/addresses/seen/{$desk->id}/mark", ['label' => '']);
    expect($desk->refresh()->label)->toBeNull();
});

test('what stands here already is taken in as a box, with what nobody knows left open', function (): void {
    $this->asKeeper()->post('/addresses/read', ['pasted' => LIST_AFTER]);
    $lark = Sighting::query()->where('name', 'lark')->firstOrFail();
    $this->post("/addresses/seen/{$lark->id}/take", ['name' => 'la rk', 'board' => 'flint'])->assertRedirect(
        '/addresses/find',
    );
    expect(Box::query()->where('mac', $lark->mac)->exists())->toBeFalse();
    $this->post("/addresses/seen/{$lark->id}/take", [
        'name' => 'Lark',
        'board' => 'flint',
        'job' => 'media-library',
    ]);
    $box = Box::query()->where('mac', $lark->mac)->firstOrFail();
    expect([$box->name, $box->address, $box->stage, $box->jobs->first()?->job])
        ->toBe(['lark', '172.22.8.131', Stage::Unfinished, 'media-library'])
        ->and($box->pinned_at)
        ->toBeNull();
    foreach (
        ["/boxes/{$box->id}", '/', '/boxes', '/ports', '/upkeep', '/addresses', '/addresses/find'] as $page
    ) {
        $this->get($page)->assertOk();
    }
    $this->get('/addresses/find')->assertSee('it is lark');
});

test(
    'the bench is asked in place of the network, part by part, and what answered has its ports',
    function (): void {
        $bench = new BenchProcess(3000);
        config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
        $bench->ask([
            'do' => 'insert',
            'board' => 'b',
            'mac' => '02:4b:1e:90:00:09',
            'class' => 'Flint',
            'network_after' => 1,
            'files' => (object) benchCard(),
        ]);
        $bench->ask(['do' => 'power', 'board' => 'b', 'on' => true]);
        $bench->until(fn () => $bench->isOpen('127.22.8.100', 22));
        $this->asKeeper()
            ->followingRedirects()
            ->post('/addresses/sweep', ['bench' => '1'])
            // The board, and the router.
            ->assertSee('2 machines answered')
            ->assertSee('02:4b:1e:90:00:09')
            ->assertSee('its port for remote login is open');
        // A larger network is asked in parts; between two it can be stopped, and what was found stays.
        Network::home()->update(['prefix' => '172.22.8.0/22']);
        $this->post('/addresses/sweep', ['bench' => '1'])
            ->assertOk()
            ->assertSee('256 of 1024 addresses were asked')
            ->assertSee('2 answered so far');
        $this->followingRedirects()
            ->post('/addresses/sweep', ['bench' => '1', 'from' => 256, 'stop' => '1'])
            ->assertSee('until it was stopped');
        expect(session('swept'))->toBeNull();
    },
);

test('nothing outside of the described network is asked', function (): void {
    Network::home()->update(['prefix' => '8.8.8.0/24', 'router' => '8.8.8.1']);
    // What cannot be a home's network is not taken for one; the usual one stands in, which the record does not cover.
    $this->asKeeper()->followingRedirects()->post('/addresses/sweep')->assertSee('0 machines answered');
});

test('what a box was known by is kept, and a change of card or board is said', function (): void {
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'mac' => '02:4b:1e:90:00:07',
        'host_key' => 'SHA256:one',
    ]);
    $box->update(['host_key' => 'SHA256:two']);
    expect(JournalEntry::query()->latest('id')->firstOrFail()->text)->toContain(
        'another card in the same board',
    );
    $box->update(['mac' => '02:4b:1e:90:00:08']);
    expect(JournalEntry::query()->latest('id')->firstOrFail()->text)->toContain(
        'the same card in another board',
    );
    $box->update(['address' => '172.22.8.17']);
    expect(Identity::query()->where('box_id', $box->id)->orderBy('id')->pluck('value')->all())->toBe([
        '172.22.8.16',
        '02:4b:1e:90:00:07',
        'SHA256:one',
        'SHA256:two',
        '02:4b:1e:90:00:08',
        '172.22.8.17',
    ]);
    $this->asKeeper()
        ->get("/boxes/{$box->id}")
        ->assertSee('Known by')
        ->assertSee('SHA256:one')
        ->assertSee('172.22.8.16');
});

test('the files are those that the terminal writes', function (): void {
    newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'mac' => '02:4b:1e:90:00:07',
        'pinned_at' => now(),
    ]);
    $this->asKeeper()
        ->get('/addresses/files/dnsmasq-hosts')
        ->assertOk()
        ->assertSee('dhcp-host=02:4b:1e:90:00:07,172.22.8.16,wren');
    $this->get('/addresses/files/tea')->assertNotFound();
    // Without a host key on record there is no file of them, and the page says so by its absence.
    $this->get('/addresses/files/known-hosts')->assertNotFound();
});

test('a run on the router shows what the household wrote down of its page', function (): void {
    $this->asKeeper()->post('/addresses/router', [
        'router_reservations' => 'the pencil beside a device',
        'router_apply' => 'Save, then Apply',
    ]);
    $step = runAt('reserve');
    $this->get("/runs/{$step->run_id}")
        ->assertSee('the pencil beside a device')
        ->assertSee('Save, then Apply');
    $this->get('/addresses')->assertSee('the pencil beside a device');
});

test('a free run is offered to the boxes that wait for an address', function (): void {
    $box = newBox(['name' => 'wren', 'address' => null]);
    $this->asKeeper()
        ->get('/addresses?free=172.22.8.30')
        ->assertSee("/boxes/{$box->id}/name?address=172.22.8.30", false)
        ->assertSee('free');
    $this->get('/addresses?free=tea')->assertOk();
    $this->get("/boxes/{$box->id}/name?address=172.22.8.30&name=wren")->assertSee('172.22.8.30');
});

test('name servers, IPv6 and scheme are kept, or said at their field', function (): void {
    $typed = [
        ...Network::home()->only([
            'name',
            'prefix',
            'router',
            'pool_first',
            'pool_last',
            'domain',
            'wan',
            'time_zone',
            'country',
            'currency',
            'engine',
            'ssids',
        ]),
    ];
    $this->asKeeper()
        ->followingRedirects()
        ->post('/settings', [
            ...$typed,
            'dns' => '172.22.8',
            'ipv6' => '2001:db8::/48',
            'ranges' => 'servers 172.22.8.10',
        ])
        ->assertSee('is no address')
        ->assertSee('is no unique-local prefix')
        ->assertSee('is no range')
        ->assertSee('servers 172.22.8.10');
    $this->post('/settings', [
        ...$typed,
        'dns' => '172.22.8.1',
        'ipv6' => 'fd4b:1e90:7::/48',
        'ranges' => "servers 172.22.8.10 172.22.8.49\r\n",
    ]);
    expect(Network::home()->only(['dns', 'ipv6', 'ranges']))->toBe([
        'dns' => '172.22.8.1',
        'ipv6' => 'fd4b:1e90:7::/48',
        'ranges' => 'servers 172.22.8.10 172.22.8.49',
    ]);
    $this->get('/addresses')->assertSee('172.22.8.1 alone answers names');
});

test(
    'a desk computer\'s memory is compared, and an old entry comes with the command that takes it out',
    function (): void {
        $text = (string) file_get_contents(base_path('tests/Core/Intake/samples/hostkeys/known.txt'));
        $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'host_key' => 'SHA256:another']);
        $this->asKeeper()
            ->post('/addresses/known', ['known' => $text])
            ->assertOk()
            ->assertSee('another key than is kept here')
            ->assertSee('ssh-keygen -R 172.22.8.16');
        $box->update([
            'host_key' => 'SHA256:+0E14zRrGBFPctGxR8EteEn6RXnb1NYqbP7KjpAZ9IM',
            'address' => '172.22.8.17',
        ]);
        // The address that it had is known, too.
        $this->post('/addresses/known', ['known' => $text])
            ->assertSee('none contradicts')
            ->assertSee('172.22.8.16');
        $this->post('/addresses/known', ['known' => 'a kettle'])->assertSee('No host key was found');
    },
);

test('another pool is worked out, and nothing of it is kept', function (): void {
    newBox(['name' => 'wren', 'address' => '172.22.8.60']);
    $this->asKeeper()
        ->get('/addresses?what_if_first=172.22.8.50&what_if_last=172.22.8.99')
        ->assertSee('50 would be handed out')
        ->assertSee('wren (172.22.8.60)');
    $this->get('/addresses?what_if_first=172.22.8.50&what_if_last=172.22.8.4')->assertSee(
        'from a lower to a higher',
    );
    expect(Network::home()->pool_first)->toBe('172.22.8.100');
});

test('a box whose board nobody looked at stands on every page', function (): void {
    $this->asKeeper()->post('/addresses/read', ['pasted' => LIST_AFTER]);
    $lark = Sighting::query()->where('name', 'lark')->firstOrFail();
    $this->post("/addresses/seen/{$lark->id}/take", ['name' => 'lark', 'board' => 'not known']);
    $box = Box::query()->where('name', 'lark')->firstOrFail();
    foreach (
        [
            "/boxes/{$box->id}",
            "/boxes/{$box->id}/name",
            "/boxes/{$box->id}/card",
            '/',
            '/boxes',
            '/upkeep',
            '/reach',
        ] as $page
    ) {
        $this->get($page)->assertOk();
    }
});

test('a guest sees neither who else is in the network nor the address outside', function (
    bool $keeper,
): void {
    Network::home()->update(['wan' => '100.71.2.3']);
    $page = ($keeper ? $this->asKeeper() : $this->asGuest())->get('/addresses')->assertOk();
    foreach (['100.71.2.3', 'the reading room desk', 'Keys a desk computer remembers'] as $text) {
        $keeper ? $page->assertSee($text) : $page->assertDontSee($text);
    }
    foreach (['/addresses/find', '/addresses/known'] as $path) {
        $this->get($path)->assertStatus($keeper ? 200 : 403);
    }
})->with([true, false]);

test('a key that was met in a run is kept whole, and known_hosts lines are made of it', function (): void {
    $run = newRun();
    $key = SshPublicKey::tryParse(
        'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIMWH4EN1JEiFILUR1VHuV/TmlHwRyjSYbpDbRKSfA/hX',
    );
    $step = $run->steps()->orderBy('position')->firstOrFail();
    app(RunDesk::class)->settle(
        $step,
        $step->version,
        Outcome::over('kept', learned: new Learned(hostKey: $key)),
    );
    $box = $run->box->refresh();
    expect($box->host_key)->toBe($key->fingerprint());
    $this->asKeeper()
        ->get('/addresses/files/known-hosts')
        ->assertOk()
        ->assertSee("{$box->name}.thistledown.home.arpa,{$box->name}", false)
        ->assertSee($key->base64, false);
    $this->get('/addresses')->assertSee('/addresses/files/known-hosts', false);
});

test('who made a machine is told where the list knows it', function (): void {
    $makers = (new Makers())->of(['00:22:72:00:00:01', '02:4b:1e:90:00:01']);
    expect(array_keys($makers))
        ->toBe(['00:22:72'])
        ->and($makers['00:22:72'])
        ->not->toBe('');
});

test(
    'boards on the bench are not asked for echoes, since loopback echoes in the name of everybody',
    function (): void {
        $target = Target::in(Network::home(), Ipv4::parse('172.22.8.10'), 22, true);
        expect((new PingProbe(0.1))->askAll([$target]))->toBe([]);
    },
);

test(
    'where names stand in the router’s table is recognised, may be told, and is remembered',
    function (): void {
        $table =
            "Place\tDevice\tMAC\tIP\tNote\nshelf\tsieve\t02:4b:1e:77:00:0a\t172.22.8.10\tfilter\n".
            "desk\t\t02:4b:1e:77:00:0b\t172.22.8.11\tlarder of seeds\n";
        $name = fn (string $address): ?string => Sighting::query()->where('address', $address)->sole()->name;
        $this->asKeeper()->post('/addresses/read', ['pasted' => $table]);
        expect($name('172.22.8.10'))->toBe('sieve');
        $this->get('/addresses/find')->assertSee('Last time: column 2, “device”.');

        // This household calls its machines by the note.
        $this->post('/addresses/read', ['pasted' => $table, 'names_in' => '5']);
        expect($name('172.22.8.10'))->toBe('filter')->and($name('172.22.8.11'))->toBe('larder of seeds');
        $this->get('/addresses/find')->assertSee('Last time: column 5, “note”.');

        // The next time nobody has to say it again; a table of another look is recognised anew.
        $this->post('/addresses/read', ['pasted' => str_replace('filter', 'filter two', $table)]);
        expect($name('172.22.8.10'))->toBe('filter two');
        $this->post('/addresses/read', ['pasted' => "172.22.8.10;02:4b:1e:77:00:0a;sieve\n"]);
        expect($name('172.22.8.10'))->toBe('sieve');

        // A file that says itself what stands where changes nothing of that.
        $kept = Network::home()->client_columns;
        $this->post('/addresses/read', ['pasted' => LIST_AFTER, 'names_in' => '2']);
        expect(Network::home()->client_columns)
            ->toBe($kept)
            ->and($name('172.22.8.10'))
            ->toBe('sieve');
    },
);
