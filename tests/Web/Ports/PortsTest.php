<?php

declare(strict_types=1);

use App\Household\RecordStamp;
use App\Jobs\LookAround;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Listing;
use App\Models\Service;
use App\Probe\Target;
use App\Probe\TcpProbe;
use App\Probe\UdpProbe;
use Burrow\Household\DoorState;
use Illuminate\Support\Facades\DB;

function boxCalled(string $name): Box
{
    return Box::query()->where('name', $name)->firstOrFail();
}

/** What a form of a row sends. */
function row(array $with = []): array
{
    return ['port' => '8090', 'protocol' => 'tcp', 'purpose' => 'seed search', 'reach' => 'house', ...$with];
}

test(
    'the page says what reaches the world, what clashes and what needs a hand, worst first',
    function (): void {
        $this->asKeeper()
            ->get('/ports')
            ->assertSee('16 ports on 6 boxes')
            ->assertSee('one reaches the world')
            ->assertSeeInOrder(['8081/tcp', 'lantern', '8086/tcp', 'python3', 'listens, in no plan'])
            ->assertSee('Lantern listens at 8086/tcp (python3), which is in no plan.');
    },
);

test('a port is written down, changed and taken out, and the journal knows', function (): void {
    $larder = boxCalled('larder');
    $this->asKeeper()
        ->post("/boxes/{$larder->id}/ports", row(['clients' => "reading-desk: its address\n"]))
        ->assertRedirect();
    $service = Service::query()->where('box_id', $larder->id)->where('port', 8090)->firstOrFail();
    expect($service->clients)->toBe([['client' => 'reading-desk', 'holds' => 'its address']]);
    $this->get("/ports?box=larder&edit={$service->id}")
        ->assertSee('value="seed search"', false)
        ->assertSee('reading-desk: its address');
    $this->post(
        "/ports/{$service->id}",
        row(['port' => '8091', 'access' => 'second', 'codes_kept' => 'the safe', 'revision' => 0]),
    );
    $service->refresh();
    expect([
        (int) $service->port,
        $service->access,
        $service->codes_kept,
        $service->access_since === null,
    ])->toBe([8091, 'second', 'the safe', false]);
    $this->post("/ports/{$service->id}/away")->assertRedirect();
    expect(Service::query()->whereKey($service->id)->exists())
        ->toBeFalse()
        ->and(JournalEntry::query()->where('kind', 'port')->pluck('text')->all())
        ->toBe([
            '8090/tcp, seed search, is in the record.',
            '8091/tcp, seed search, was changed in the record.',
            '8091/tcp, seed search, was taken out of the record.',
        ]);
});

test('what is wrong is said at its field, and what was typed stays', function (): void {
    $larder = boxCalled('larder');
    $count = Service::query()->count();
    $this->asKeeper()
        ->followingRedirects()
        ->post(
            "/boxes/{$larder->id}/ports",
            row(['port' => '519444', 'purpose' => 'a <b>tunnel</b>', 'path' => 'x y']),
        )
        ->assertSee('519444 is no port')
        ->assertSee('Was it 51944')
        ->assertSee('is no path of a page')
        ->assertSee('value="a &lt;b&gt;tunnel&lt;/b&gt;"', false)
        ->assertSee('value="519444"', false);
    expect(Service::query()->count())->toBe($count);
});

test('two windows: the later one is told, and nothing is written over', function (): void {
    $service = Service::query()->where('purpose', 'file share')->firstOrFail();
    $this->asKeeper()->post(
        "/ports/{$service->id}",
        row(['port' => '445', 'purpose' => 'files of the library', 'revision' => 0]),
    );
    $this->followingRedirects()
        ->post(
            "/ports/{$service->id}",
            row(['port' => '445', 'purpose' => 'something else', 'revision' => 0]),
        )
        ->assertSee('changed in another window')
        ->assertSee('files of the library');
    expect($service->refresh()->purpose)->toBe('files of the library');
});

test('another number was not looked at yet', function (): void {
    $service = Service::query()->where('purpose', 'file share')->firstOrFail();
    $this->asKeeper()->post(
        "/ports/{$service->id}",
        row(['port' => '1445', 'purpose' => 'file share', 'revision' => 0]),
    );
    expect([$service->refresh()->state, $service->looked_at])->toBe([null, null]);
});

test('what a box lists is held against the record', function (): void {
    $sieve = boxCalled('sieve');
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$sieve->id}/listening", [
            'pasted' => "warden@sieve:~ $ sudo ss -tulpn\nNetid State Recv-Q Send-Q Local Address:Port Peer Address:PortProcess\n".
                "udp UNCONN 0 0 127.0.0.53%lo:53 0.0.0.0:* users:((\"systemd-resolve\",pid=4,fd=1))\n".
                "tcp LISTEN 0 128 0.0.0.0:22 0.0.0.0:* users:((\"sshd\",pid=6,fd=3))\n",
        ])
        ->assertSee('2 places where it listens were read')
        ->assertSee('The system&#039;s own resolver holds port 53 on sieve', false)
        ->assertSee('planned, does not listen');
    expect(Listing::query()->where('box_id', $sieve->id)->count())->toBe(1);
});

test('containers count with the ports that lead to them', function (): void {
    $lantern = boxCalled('lantern');
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$lantern->id}/listening", [
            'pasted' => '[{"Names":["pictures"],"Image":"x","State":"running","Ports":[{"host_ip":"","container_port":80,"host_port":8087,"range":1,"protocol":"tcp"}]}]',
        ])
        ->assertSee('8087/tcp')
        ->assertSee('pictures');
});

test('a text in which nothing listens is said to be none and stays in the field', function (): void {
    $sieve = boxCalled('sieve');
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$sieve->id}/listening", ['pasted' => 'a kettle & <b>'])
        ->assertSee('No reader knows this text')
        ->assertSee('a kettle &amp; &lt;b&gt;', false);
    expect(Listing::query()->where('box_id', $sieve->id)->count())->toBe(0);
});

test('a listing that was damaged where it is kept loses what is damaged only', function (): void {
    Listing::query()
        ->where('box_id', boxCalled('lantern')->id)
        ->update([
            'heard' => '[["tcp","0.0.0.0",8086,"python3"],["tcp","no address",1,"x"],[],"x",["udp","::",0,null],["sctp","::",5,null]]',
        ]);
    $this->asKeeper()
        ->get('/ports?box=lantern')
        ->assertOk()
        ->assertSee('8086/tcp')
        ->assertDontSee('no address');
    Listing::query()
        ->where('box_id', boxCalled('lantern')->id)
        ->update(['heard' => 'not JSON']);
    $this->get('/ports?box=lantern')->assertOk();
});

test('files are made from the record', function (): void {
    $larder = boxCalled('larder');
    $rules = $this->asKeeper()
        ->get("/boxes/{$larder->id}/ports/nftables")
        ->assertOk();
    expect((string) $rules->getContent())
        ->toContain('ip saddr { 172.22.8.0/24, 10.73.12.0/24 } tcp dport 445 accept comment "file share"')
        ->and((string) $rules->headers->get('Content-Disposition'))
        ->toContain('larder.nft');
    $this->get("/boxes/{$larder->id}/ports/apply")
        ->assertOk()
        ->assertSee('burrow-way-back');
    $this->get("/boxes/{$larder->id}/ports/reserved")->assertRedirect();
    $this->get("/boxes/{$larder->id}/ports/anything")->assertNotFound();
    $page = Service::query()->where('path', '/library')->firstOrFail();
    $this->get("/ports?box={$page->box->name}")->assertSee("/ports/{$page->id}/site");
    expect(
        (string) $this->get("/ports/{$page->id}/site")
            ->assertOk()
            ->getContent(),
    )->toContain(
        "server_name {$page->box->name}.thistledown.home.arpa {$page->box->name};",
        'proxy_pass http://127.0.0.1:8081;',
        'has to lead to 172.22.8.14',
    );
    $login = Service::query()->where('box_id', $larder->id)->where('port', 22)->firstOrFail();
    $this->get("/ports/{$login->id}/site")->assertNotFound();
    $this->get('/ports/start-page')->assertOk()->assertSee('http://172.22.8.14:8081/library', false);
    // Without a way to log in there are no rules.
    Service::query()->where('box_id', $larder->id)->where('port', 22)->delete();
    $this->followingRedirects()
        ->get("/boxes/{$larder->id}/ports/nftables")
        ->assertSee('No port lets remote login in on larder');
});

test('what listens for its box alone is asked by nobody', function (): void {
    $service = Service::query()->create([
        'box_id' => boxCalled('larder')->id,
        'port' => 8099,
        'protocol' => 'tcp',
        'purpose' => 'counters',
        'bound' => '127.0.0.1',
    ]);
    app(LookAround::class)->handle(app(TcpProbe::class));
    expect($service->refresh()->looked_at)->toBeNull();
});

test('UDP: an answer is open, a refusal refused, and silence neither', function (): void {
    $probe = new UdpProbe(0.4);
    $answers = stream_socket_server('udp://127.0.0.1:0', $code, $message, STREAM_SERVER_BIND);
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($answers, false), ':'), 1);
    $target = (new ReflectionClass(Target::class))->newInstanceWithoutConstructor();
    (function (string $host, int $port): void {
        $this->host = $host;
        $this->port = $port;
        $this->presence = null;
    })->call($target, '127.0.0.1', $port);
    expect($probe->ask($target, 51944))->toBe(DoorState::Silent);
    fclose($answers);
    expect($probe->ask($target, 51944))->toBe(DoorState::Refused);
});

test('the number of questions to the database does not grow with the boxes', function (): void {
    $this->asKeeper();
    $count = function (): int {
        // As after a change of the record: what is kept is worked out again.
        app(RecordStamp::class)->change();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->get('/ports')->assertOk();

        return count(DB::getQueryLog());
    };
    $count();
    $before = $count();
    foreach (range(1, 12) as $i) {
        $box = newBox(['name' => "more-{$i}", 'address' => "172.22.8.5{$i}"]);
        Service::query()->create([
            'box_id' => $box->id,
            'port' => 80,
            'protocol' => 'tcp',
            'purpose' => 'a page',
        ]);
    }
    expect($count())->toBe($before);
});

test('a guest looks and sees no button', function (): void {
    $this->asGuest()
        ->get('/ports?edit='.Service::query()->firstOrFail()->id)
        ->assertOk()
        ->assertDontSee('Keep it')
        ->assertDontSee('Hold it against the record')
        ->assertDontSee('Change</a>', false);
});
