<?php

declare(strict_types=1);

use App\Demo\DemoBench;
use App\Jobs\LookAtCertificates;
use App\Models\Certificate;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Service;
use App\Models\Telling;
use Burrow\Net\Ipv4;
use Burrow\Ports\ShownCertificate;
use Tests\Bench\BenchProcess;

// What boxes tell of their packet filter, their groups and their certificates.

test('one paste of three commands: what listens, what is let in, who commands the engine', function (): void {
    Network::home()->update(['engine' => 'engine']);
    $larder = boxCalled('larder');
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$larder->id}/listening", [
            'pasted' => "Netid State  Recv-Q Send-Q Local Address:Port Peer Address:PortProcess\n".
                "tcp   LISTEN 0      128          0.0.0.0:22        0.0.0.0:*    users:((\"sshd\",pid=6,fd=3))\n".
                "table inet house {\n\tchain in {\n\t\ttype filter hook input priority filter; policy drop;\n\t\ttcp dport 22 accept\n\t\ttcp dport 9000 accept\n\t}\n}\n".
                "engine:x:998:warden,desk\n",
        ])
        ->assertSee('1 places where it listens were read')
        ->assertSee('2 rules of the packet filter were read')
        ->assertSee('2 accounts are in the group engine.')
        ->assertSee('Packet filter: 2 rules, told')
        ->assertSee('The packet filter of larder keeps out those who should reach 445/tcp (file share)')
        ->assertSee('lets 9000/tcp in, and no service of the record is there')
        ->assertSee('Warden, desk on larder are in the group engine.');
    expect(Telling::query()->where('box_id', $larder->id)->count())->toBe(2);
    // What was damaged where it is kept is left out.
    Telling::query()->update(['told' => '{"rules":[{"port":"x"},7],"group":5}']);
    $this->get('/ports')->assertOk()->assertDontSee('are in the group engine');
});

test('groups without the engine\'s are told to be none', function (): void {
    $larder = boxCalled('larder');
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$larder->id}/listening", ['pasted' => "sudo:x:27:warden\n"])
        ->assertSee('The group of the container engine is not among these');
    expect(Telling::query()->count())->toBe(0);
});

test('who some of the house are is kept, shown and written into the filter', function (): void {
    $larder = boxCalled('larder');
    $row = [
        'port' => '8090',
        'protocol' => 'tcp',
        'purpose' => 'seed search',
        'reach' => 'some',
        'sources' => '172.22.8.32/28 172.22.8.20',
    ];
    $this->asKeeper()
        ->post("/boxes/{$larder->id}/ports", $row)
        ->assertRedirect();
    $this->get('/ports?box=larder')->assertSee('172.22.8.32/28 172.22.8.20');
    $this->get("/boxes/{$larder->id}/ports/nftables")
        ->assertOk()
        ->assertSee(
            'ip saddr { 172.22.8.32/28, 172.22.8.20 } tcp dport 8090 accept comment "seed search"',
            false,
        );
    $this->followingRedirects()
        ->post("/boxes/{$larder->id}/ports", ['port' => '8091', 'sources' => ''] + $row)
        ->assertSee('Who are “some of the house”?');
});

/** What a page shows that made its own. */
function certificateOf(string $subject, int $days): ShownCertificate
{
    $key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);
    $request = openssl_csr_new(['commonName' => $subject], $key);
    openssl_x509_export(openssl_csr_sign($request, null, $key, $days), $pem);

    return ShownCertificate::ofPem($pem) ?? throw new RuntimeException('none');
}

test('another certificate in place of one that was good for long is noted and told', function (): void {
    $service = Service::query()->where('purpose', 'file share')->firstOrFail();
    Certificate::keep($service, certificateOf('larder', 300));
    $now = certificateOf('larder', 300);
    Certificate::keep($service, $now);
    expect(JournalEntry::query()->where('kind', 'certificate')->pluck('text')->all())->toBe([
        'file share at 445 shows another certificate.',
    ]);
    // Both stand in what the box was known by, and its page tells which one is shown now.
    $known = $service->box->identities()->where('kind', 'certificate')->get();
    expect($known)->toHaveCount(2)
        ->and($known->last()->value)->toMatch('/^445 [0-9a-f]{64}$/');
    $this->asKeeper()->get("/boxes/{$service->box_id}")->assertSee("445 {$now->sha256}");
    $this->get('/ports')->assertSee('shows another certificate since');
    $this->get('/reach')->assertSee('Certificates that pages show')->assertSee('itself');
    $this->asGuest()->get('/reach')->assertDontSee('Certificates that pages show');
});

test('the same certificate again is no change', function (): void {
    $service = Service::query()->where('purpose', 'file share')->firstOrFail();
    $one = certificateOf('larder', 10);
    Certificate::keep($service, $one);
    Certificate::keep($service, $one);
    expect(Certificate::query()->whereNotNull('changed_at')->count())->toBe(0);
    $this->asKeeper()->get('/ports')->assertSee('File share on larder: its certificate ends on');
});

test('pages of the bench that speak TLS are asked for theirs', function (): void {
    $larder = boxCalled('larder');
    $service = Service::query()->create([
        'box_id' => $larder->id,
        'port' => 443,
        'protocol' => 'tcp',
        'purpose' => 'its page',
        'scheme' => 'https',
    ]);
    $bench = new BenchProcess();
    config(['burrow.bench_offset' => BenchProcess::OFFSET]);
    $bench->ask(['do' => 'load', 'state' => DemoBench::state()]);
    $bench->until(fn () => $bench->isOpen((string) Ipv4::parse((string) $larder->address)->onLoopback(), 443));
    dispatch_sync(new LookAtCertificates());
    $kept = Certificate::query()->where('service_id', $service->id)->firstOrFail();
    expect($kept->names)
        ->toBe(['bench.home.arpa'])
        ->and((int) round(now()->diffInDays($kept->ends_at)))
        ->toBe(30);
});

test('the files that a box\'s steps write are had again, with what is in the record', function (): void {
    $box = boxCalled('dewpoint');
    $box->jobs()->update([
        'school' => 'container',
        'page_port' => 8082,
        'answers' => [
            'service' => 'vents',
            'image' => 'registry.home.arpa/bench/page:1',
            'inner_port' => '8000',
            'inner_folder' => '/data',
        ],
    ]);
    $this->asGuest()->get('/ports?box=dewpoint')->assertSee('/srv/vents/compose.yaml');
    $this->get("/boxes/{$box->id}/files?path=/srv/vents/compose.yaml")
        ->assertOk()
        ->assertSee('image: registry.home.arpa/bench/page:1')
        ->assertSee('"8082:8000"', false);
    $this->get("/boxes/{$box->id}/files?path=/etc/systemd/system/box-vents.service")
        ->assertOk()
        ->assertSee('[Install]');
    $this->get("/boxes/{$box->id}/files?path=/etc/passwd")->assertNotFound();
});
