<?php

declare(strict_types=1);

use App\Addresses\Books;
use App\Household\HouseholdLoader;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Networks;
use App\Models\Sighting;
use App\Probe\Target;
use Burrow\Net\Ipv4;
use Illuminate\Support\Facades\DB;

const GLASSHOUSE = [
    'name' => 'The greenhouse',
    'prefix' => '172.22.40.0/24',
    'router' => '172.22.40.1',
    'pool_first' => '172.22.40.100',
    'pool_last' => '172.22.40.199',
    'domain' => 'greenhouse.home.arpa',
    'dns' => '172.22.8.10',
];

function glasshouse(): Network
{
    test()
        ->asKeeper()
        ->post('/settings/networks', GLASSHOUSE)
        ->assertRedirect('/settings/networks');

    return Network::query()->where('name', 'The greenhouse')->sole();
}

test('a network that cannot be is not kept, and says so at its field with what was typed', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post('/settings/networks', ['router' => '172.22.41.1'] + GLASSHOUSE)
        ->assertSee('172.22.41.1')
        ->assertSee('The greenhouse');
    expect(Network::query()->count())->toBe(1);
});

test('a box is in the network that its address lies in, wherever the address came from', function (): void {
    $home = Network::home();
    $shed = glasshouse();
    $press = Box::query()->where('name', 'seedpress')->sole();
    expect($press->network_id)->toBe($home->id);

    // Its naming page offers one in each; the one that is typed decides, and whose rules are held against it.
    $this->get("/boxes/{$press->id}/name")
        ->assertSee('In The greenhouse')
        ->assertSee('172.22.40.10');
    $this->followingRedirects()
        ->post("/boxes/{$press->id}/name", ['name' => 'seedpress', 'address' => '172.22.40.150'])
        ->assertSee('172.22.40.100');
    expect($press->fresh()->network_id)->toBe($home->id);
    $this->post("/boxes/{$press->id}/name", [
        'name' => 'seedpress',
        'address' => '172.22.40.9',
    ])->assertRedirect();
    expect($press->fresh()->network_id)->toBe($shed->id);

    // It may be asked there now, and it is not the other network's any more.
    expect(fn () => Target::of($press->fresh(), Ipv4::parse('172.22.40.9'), 22))
        ->not->toThrow(InvalidArgumentException::class)
        ->and(fn () => Target::of($press->fresh(), Ipv4::parse('172.22.8.9'), 22))
        ->toThrow(InvalidArgumentException::class);
    $this->get("/addresses?network={$shed->id}")
        ->assertSee('172.22.40.9')
        ->assertDontSee('172.22.8.14<');
    $this->get('/addresses')->assertDontSee('172.22.40.9');
    expect(Books::addresses($shed)->check('172.22.40.9')->blocks())->toBeTrue();

    // The whole house is still one picture, and tells its networks apart.
    $boxes = array_column(app(HouseholdLoader::class)->load()->boxes(), null, 'name');
    expect($boxes['seedpress']->network)
        ->toBe('The greenhouse')
        ->and($boxes['seedpress']->covered)
        ->toBeTrue()
        ->and($boxes['larder']->network)
        ->toBe($home->name);
    $this->get('/?show=network:The+greenhouse')->assertSee('seedpress');
});

test('a name is given once in the house, whichever network', function (): void {
    $shed = glasshouse();
    $box = Box::query()->create([
        'network_id' => $shed->id,
        'stage' => 'planned',
        'board' => 'not known',
        'link' => 'wired',
    ]);
    $this->followingRedirects()
        ->post("/boxes/{$box->id}/name", ['name' => 'larder', 'address' => '172.22.40.9'])
        ->assertSee('larder');
    expect($box->fresh()->name)->toBeNull();
});

test('what is seen is seen in the network that was asked about', function (): void {
    $shed = glasshouse();
    $this->post('/addresses/read', [
        'network' => $shed->id,
        'pasted' => '1795691763 02:4b:1e:77:00:99 172.22.40.77 wagtail *',
    ])->assertRedirect("/addresses/find?network={$shed->id}");
    $seen = Sighting::query()->where('name', 'wagtail')->sole();
    expect($seen->network_id)->toBe($shed->id);
    $this->get('/addresses/find')->assertDontSee('172.22.40.77');
    $this->get("/addresses/find?network={$shed->id}")->assertSee('172.22.40.77');
    $this->post("/addresses/seen/{$seen->id}/take", [
        'name' => 'wagtail',
        'board' => 'not known',
        'job' => '',
    ]);
    expect(Box::query()->where('name', 'wagtail')->sole()->network_id)->toBe($shed->id);
    $this->get('/addresses?network=999')->assertNotFound();
});

test('the router’s page of one network is not that of another', function (): void {
    $shed = glasshouse();
    $this->post('/addresses/router', ['network' => $shed->id, 'router_clients' => 'Devices, at the left']);
    expect($shed->fresh()->router_page)
        ->toBe(['router_clients' => 'Devices, at the left'])
        ->and(Network::home()->router_page['router_clients'] ?? null)
        ->not->toBe('Devices, at the left');
});

test('two networks that overlap are told, and files hold all of them', function (): void {
    glasshouse();
    $this->post('/settings/networks', ['name' => 'The shed', 'prefix' => '172.22.40.0/23'] + GLASSHOUSE);
    $this->get('/addresses')->assertSee('overlap');
    $press = Box::query()->where('name', 'seedpress')->sole();
    $press->update(['address' => '172.22.40.9']);
    $hosts = (string) $this->get('/addresses/files/hosts')->getContent();
    expect($hosts)
        ->toContain('172.22.40.9')
        ->toContain('172.22.8.10')
        ->and($press->fresh()->network->name)
        ->toBe('The greenhouse');
});

test('a network goes only when no box is in it, and what is written of it stays', function (): void {
    $shed = glasshouse();
    $press = Box::query()->where('name', 'seedpress')->sole();
    $press->update(['address' => '172.22.40.9']);
    $this->followingRedirects()
        ->delete("/settings/networks/{$shed->id}")
        ->assertSee('seedpress would be nowhere');
    expect($shed->fresh())->not->toBeNull();
    $press->update(['address' => '172.22.8.30']);
    $before = JournalEntry::query()->count();
    $this->delete("/settings/networks/{$shed->id}")->assertRedirect('/settings/networks');
    expect($shed->fresh())
        ->toBeNull()
        ->and(JournalEntry::query()->count())
        ->toBeGreaterThan($before)
        ->and($press->fresh()->network_id)
        ->toBe(Network::home()->id);
    // The first one is the house's own.
    $this->delete('/settings/networks/'.Network::home()->id)->assertNotFound();
});

test('a network that comes late takes the boxes that already stand in it', function (): void {
    $press = Box::query()->where('name', 'seedpress')->sole();
    $press->update(['address' => '172.22.40.9']);
    expect($press->fresh()->network_id)
        ->toBe(Network::home()->id)
        ->and(Networks::covering(Ipv4::parse('172.22.40.9'), null))
        ->toBeNull();
    expect($press->fresh()->network_id)
        ->not->toBe(glasshouse()->id)
        ->and($press->fresh()->network->name)
        ->toBe('The greenhouse');
});

test(
    'a box that is looked for is looked for in its own network, and a clash that a new network shows stops nothing',
    function (): void {
        $shed = glasshouse();
        $press = Box::query()->where('name', 'seedpress')->sole();
        $press->update(['address' => '172.22.40.9']);
        $this->get("/addresses/find?box={$press->id}")->assertSee('172.22.40.0/24');
        // Somebody wrote the same address down for another box while no network covered it.
        $lantern = Box::query()->where('name', 'lantern')->sole();
        DB::table('boxes')
            ->where('id', $lantern->id)
            ->update(['address' => '172.22.40.9']);
        $this->post("/settings/networks/{$shed->id}", GLASSHOUSE)->assertRedirect('/settings/networks');
        expect($lantern->fresh()->network_id)
            ->toBe(Network::home()->id)
            ->and($press->fresh()->network_id)
            ->toBe($shed->id);
    },
);
