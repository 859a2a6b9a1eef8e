<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Opening;
use App\Models\OutsideTrial;
use App\Models\Service;
use App\Models\WayIn;
use Burrow\Intake\Intake;
use Burrow\Intake\Tunnel\TunnelInterface;

const A_KEY = 'KS7cfWkmZFiCKoscoiZHA+F+yb1KpC7GouoHAwNIP1w=';

/** What the form of an opening sends. */
function opening(array $with = []): array
{
    return [
        'box' => (string) Box::query()->where('name', 'larder')->value('id'),
        'outside_port' => '8445',
        'inside_port' => '445',
        'protocol' => 'tcp',
        'purpose' => 'seed list',
        'reason' => 'Other halts read the list.',
        'owner' => 'desk',
        'review_on' => now()->addMonths(6)->format('Y-m-d'),
        ...$with,
    ];
}

test('the page shows each way in with who answers for it, and who has a key', function (): void {
    $this->asKeeper()
        ->get('/reach')
        ->assertSee('One way in from outside.')
        ->assertSee('3 devices have a key.')
        ->assertSee('warden answers')
        ->assertSee('not for 40 days')
        ->assertSee('UDP 51944 → 172.22.8.12:51944')
        ->assertSee('nc -zvw3 seeds.example.net 22');
});

test('whoever has a key and no room in the picture is counted in it', function (
    int $more,
    ?string $says,
): void {
    for ($at = 0; $at < $more; $at++) {
        WayIn::query()->create([
            'network_id' => Network::home()->id,
            'device' => "tablet {$at}",
            'kind' => 'tunnel',
            'public_key' => base64_encode(str_repeat(chr(65 + $at), 32)),
            'address' => '10.73.12.'.(40 + $at),
            'given_on' => now(),
        ]);
    }
    $page = $this->asKeeper()->get('/reach');
    $says === null ? $page->assertDontSee('more with a key') : $page->assertSee($says);
    // The table that it speaks of is for keepers.
    $this->asGuest()->get('/reach')->assertDontSee('with a key, below');
})->with([[1, null], [2, 'and 1 more with a key, below'], [5, 'and 4 more with a key, below']]);

test('an opening is written down, changed and closed', function (): void {
    $this->asKeeper()->post('/reach/openings', opening())->assertRedirect('/reach');
    $opening = Opening::query()->where('outside_port', 8445)->firstOrFail();
    $this->post(
        "/reach/openings/{$opening->id}",
        opening(['owner' => 'warden', 'sources' => '198.51.100.0/24', 'revision' => 0]),
    );
    expect($opening->refresh()->owner)
        ->toBe('warden')
        ->and($opening->sources)
        ->toBe('198.51.100.0/24');
    // Another window that had the page open from before.
    $this->followingRedirects()
        ->post("/reach/openings/{$opening->id}", opening(['owner' => 'kiosk', 'revision' => 0]))
        ->assertSee('nothing was written over');
    expect($opening->refresh()->owner)->toBe('warden');
    $this->get('/ports')->assertSee('2 reach the world');
    $this->post("/reach/openings/{$opening->id}/close")->assertRedirect();
    expect(Opening::query()->whereKey($opening->id)->exists())
        ->toBeFalse()
        ->and(JournalEntry::query()->where('kind', 'opening')->count())
        ->toBe(3);
});

test('what is wrong with an opening is said at its field, and stays typed', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post(
            '/reach/openings',
            opening([
                'outside_port' => '84455',
                'protocol' => 'both',
                'reason' => '',
                'purpose' => 'list <i>',
            ]),
        )
        ->assertSee('“84455” is no port.')
        ->assertSee('It is either UDP or TCP.')
        ->assertSee('The reason is missing')
        ->assertSee('value="list &lt;i&gt;"', false);
    expect(Opening::query()->count())->toBe(1);
});

test('an unclaimed page is not opened to the world', function (): void {
    Service::query()
        ->where('purpose', 'file share')
        ->update(['access' => 'unclaimed']);
    $this->asKeeper()
        ->followingRedirects()
        ->post('/reach/openings', opening())
        ->assertSee('File share on larder is unclaimed.');
    expect(Opening::query()->count())->toBe(1);
});

test('a device is given a key; only its public half is kept', function (): void {
    $this->asKeeper()
        ->withHeaders(['HX-Request' => 'true'])
        ->post('/reach/keys', ['device' => 'the new phone', 'holder' => 'desk', 'device_key' => A_KEY])
        ->assertOk()
        ->assertSee('Address = 10.73.12.5/32')
        ->assertSee('Endpoint = seeds.example.net:51944')
        ->assertDontSee('PrivateKey');
    $way = WayIn::query()->where('device', 'the new phone')->firstOrFail();
    expect($way->public_key)->toBe(A_KEY);
    $file = (string) $this->get('/reach/endpoint')->assertOk()->getContent();
    $read = Intake::standard()->read('tunnel', $file)->all(TunnelInterface::class);
    expect(array_map(fn ($peer): string => $peer->allowed[0], $read[0]->peers))->toBe([
        '10.73.12.2/32',
        '10.73.12.3/32',
        '10.73.12.4/32',
        '10.73.12.5/32',
    ]);
    $this->get("/reach/keys/{$way->id}/profile")
        ->assertOk()
        ->assertSee('PublicKey = ');
});

test('a key that cannot be one, or is another device\'s, is told', function (
    array $sent,
    string $says,
): void {
    WayIn::query()->create([
        'network_id' => Network::home()->id,
        'device' => 'taken',
        'kind' => 'tunnel',
        'public_key' => A_KEY,
        'address' => '10.73.12.9',
        'given_on' => now(),
    ]);
    $count = WayIn::query()->count();
    $this->asKeeper()
        ->withHeaders(['HX-Request' => 'true'])
        ->post('/reach/keys', $sent)
        ->assertOk()
        ->assertSee($says);
    expect(WayIn::query()->count())->toBe($count);
})->with([
    'no name' => [
        ['device' => '', 'device_key' => base64_encode(str_repeat('k', 32))],
        'What is the device called?',
    ],
    'a name over two lines' => [
        ['device' => "a\n[Peer]", 'device_key' => base64_encode(str_repeat('k', 32))],
        'What is the device called?',
    ],
    'no key' => [['device' => 'phone', 'device_key' => 'abc'], 'The public key is 44 letters'],
    'another device\'s key' => [['device' => 'phone', 'device_key' => A_KEY], 'Another device has this key.'],
    'a name that is taken' => [
        ['device' => 'taken', 'device_key' => base64_encode(str_repeat('k', 32))],
        'There is a key for taken already',
    ],
]);

test('what the endpoint shows says who came', function (): void {
    $way = WayIn::query()->where('device', 'the fair tablet')->firstOrFail();
    $this->asKeeper()
        ->followingRedirects()
        ->post('/reach/keys/seen', [
            'pasted' => "interface: wg0\n\npeer: {$way->public_key}\n  latest handshake: 2 minutes ago\n",
        ])
        ->assertSee('One device was seen.');
    expect(abs($way->refresh()->last_came_at->diffInSeconds(now()) - 120))->toBeLessThan(10);
    $this->followingRedirects()
        ->post('/reach/keys/seen', ['pasted' => 'nothing'])
        ->assertSee('No endpoint stands in this text.');
});

test('a lost device: what to do in order, and its key is out of the file', function (): void {
    $way = WayIn::query()->where('device', 'the phone of the greenhouse')->firstOrFail();
    $this->asKeeper()
        ->get("/reach/keys/{$way->id}/lost")
        ->assertSee("wg set wg0 peer {$way->public_key} remove")
        ->assertSee('Its own page on dewpoint');
    $this->post("/reach/keys/{$way->id}/back")->assertRedirect();
    expect((string) $this->get('/reach/endpoint')->getContent())->not->toContain($way->public_key);
    $this->get('/reach')->assertSee('2 devices have a key.');
});

test('the house from outside: what cannot be is told, and stays typed', function (): void {
    $sent = [
        'outside_name' => 'seeds.example.net',
        'wan_kind' => 'fixed',
        'tunnel_net' => '172.22.8.0/24',
        'tunnel_port' => '51944',
        'endpoint_key' => A_KEY,
    ];
    $this->asKeeper()
        ->followingRedirects()
        ->post('/reach/outside', $sent)
        ->assertSee('overlaps 172.22.8.0/24')
        ->assertSee('value="172.22.8.0/24"', false);
    expect(Network::home()->tunnel['net'])->toBe('10.73.12.0/24');
    $this->post('/reach/outside', ['tunnel_net' => '10.9.8.0/24'] + $sent);
    expect(Network::home()->tunnel)->toBe(['net' => '10.9.8.0/24', 'port' => '51944', 'public_key' => A_KEY]);
});

test('shown to others, nothing leads to the house', function (): void {
    $secrets = ['203.0.113.27', 'seeds.example.net', 'thistledown.home.arpa', 'Thistledown reading room'];
    $keys = WayIn::query()->whereNotNull('public_key')->pluck('public_key')->all();
    $this->asKeeper()->post('/reach/show')->assertRedirect();
    foreach (
        [
            '/',
            '/reach',
            '/addresses',
            '/settings',
            '/ports',
            '/reach/endpoint',
            '/boxes/'.Box::query()->value('id'),
        ] as $page
    ) {
        $text = (string) $this->get($page)->assertOk()->getContent();
        foreach ([...$secrets, ...$keys] as $secret) {
            expect([$page, $secret, str_contains($text, $secret)])->toBe([$page, $secret, false]);
        }
        expect(preg_match('/02:4b:1e:77:00:0a/', $text))->toBe(0);
    }
    $this->post('/reach/show');
    $this->get('/reach')->assertSee('203.0.113.27');
});

test('files are masked like pages, in every spelling of what leads here', function (): void {
    Network::home()->update(['ssids' => "Thistledown reading room\nBeans & Käfer"]);
    $box = Box::query()->firstOrFail();
    $spelt = [
        'SEEDS.Example.NET',
        'seeds.example.net.',
        'https%3A%2F%2Fseeds.example.net%2F',
        '203-0-113-27',
        '203.0.113.27',
        'BEANS & KÄFER',
        'Beans &amp; Käfer',
        'Beans%20%26%20K%C3%A4fer',
        '02-4B-1E-77-00-0A',
        '024b.1e77.000a',
    ];
    foreach ($spelt as $n => $one) {
        JournalEntry::write($box, 'note', "word{$n}: {$one} end{$n}");
    }
    $this->asKeeper()->post('/reach/show');
    foreach (['/journal', '/journal/file.csv', '/journal/file.json', '/find?q=word'] as $page) {
        $answer = $this->get($page)->assertOk();
        $text = (string) $answer->getContent();
        $clear = '~seeds.example.net|203[.-]0[.-]113[.-]27|K(?:ä|\\\\u00e4|%C3%A4|&auml;)fer|77.?00.?0a~iu';
        $found = preg_match($clear, $text, $m) === 1 ? $m[0] : '';
        expect([$page, $found, preg_match('~word\d: ~', $text)])->toBe([$page, '', 1]);
    }
});

test('a guest sees that there are ways in, and nothing that opens one', function (): void {
    $way = WayIn::query()->firstOrFail();
    $page = $this->asGuest()->get('/reach')->assertOk()->assertSee('One way in from outside.');
    foreach (['203.0.113.27', 'seeds.example.net', 'Give it', 'fair tablet</td>'] as $hidden) {
        $page->assertDontSee($hidden, false);
    }
    $this->get('/reach/endpoint')->assertForbidden();
    $this->get("/reach/keys/{$way->id}/profile")->assertForbidden();
    $this->get("/reach/keys/{$way->id}/lost")->assertForbidden();
});

test('what was seen from outside is kept with its time, and what must not be comes first', function (): void {
    $this->asKeeper()->get('/reach')->assertSee('not tried');
    $sent = ['port' => '445', 'protocol' => 'tcp'];
    $this->followingRedirects()
        ->post('/reach/trials', ['answered' => '1'] + $sent)
        ->assertSee('445 tcp answered, which it must not.')
        ->assertSee('Port 445 tcp answered from outside');
    $this->followingRedirects()->get('/')->assertSee('Port 445 tcp answered from outside');
    $this->followingRedirects()
        ->post('/reach/trials', ['answered' => '0'] + $sent)
        ->assertSee('445 tcp did not answer, as it must.')
        ->assertDontSee('Port 445 tcp answered from outside');
    expect(OutsideTrial::query()->count())->toBe(1);
});

test('a port that is not to be tried is not noted', function (array $sent): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/reach/trials', $sent)
        ->assertSee('not among those to be tried');
    expect(OutsideTrial::query()->count())->toBe(0);
})->with([
    'another' => [['port' => '8099', 'protocol' => 'tcp', 'answered' => '1']],
    'none' => [[]],
    'lists' => [['port' => ['22'], 'protocol' => ['tcp'], 'answered' => ['1']]],
]);

test('a guest neither sees what was tried nor notes it', function (): void {
    $this->asGuest()->get('/reach')->assertDontSee('To be tried from outside');
    $this->post('/reach/trials', ['port' => '22', 'protocol' => 'tcp', 'answered' => '1'])->assertForbidden();
});
