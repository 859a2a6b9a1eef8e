<?php

declare(strict_types=1);

use App\House\Fields;
use App\Models\Box;
use App\Models\Network;

/** @return array<string, mixed> the settings as they are */
function settingsNow(): array
{
    return Network::home()->only([
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
    ]);
}

test('blanks at the ends of a network\'s name belong to it, those of an address do not', function (): void {
    $router = Network::home()->router;
    $this->asKeeper()
        ->post('/settings', ['ssids' => " Thistledown\r\nfair ", 'router' => "  {$router} "] + settingsNow())
        ->assertSessionHasNoErrors();
    expect(Network::home())
        ->ssids()
        ->toBe([' Thistledown', 'fair '])
        ->router->toBe($router);
});

test('every field that hides what is typed is one that no session keeps', function (): void {
    $hidden = [];
    foreach (glob(resource_path('views').'/*/*.blade.php') ?: [] as $file) {
        preg_match_all('/<(?:input|x-field)\b[^>]*>/', (string) file_get_contents($file), $inputs);
        foreach ($inputs[0] as $input) {
            if (str_contains($input, 'type="password"')) {
                expect(preg_match('/(?::)?name="([^"]+)"/', $input, $name))->toBe(1);
                $hidden[] = preg_replace('/^\'(\w+_)\' \. \$n$/', '${1}1', $name[1]);
            }
        }
    }
    expect(array_unique($hidden))
        ->toContain('password', 'first_password', 'passphrase_1')
        ->and(array_diff($hidden, Fields::neverKept()))
        ->toBe([])
        ->and(array_diff($hidden, Fields::asTyped()))
        ->toBe([]);
    $this->asKeeper()->post(
        '/settings/desks',
        ['name' => '', 'hours' => '4'] + array_fill_keys($hidden, 'seeds in paper'),
    );
    expect(session()->getOldInput('hours'))
        ->toBe('4')
        ->and(json_encode(session()->all(), JSON_THROW_ON_ERROR))
        ->not->toContain('seeds in paper');
});

test('what a form allows to type is what is kept of it, whole letters at a time', function (): void {
    $box = Box::query()->where('name', 'lantern')->firstOrFail();
    $page = $this->asKeeper()
        ->get("/boxes/{$box->id}")
        ->assertOk()
        ->getContent();
    expect(preg_match('/name="fed_by"[^>]*maxlength="(\d+)"/', (string) $page, $longest))->toBe(1);
    $this->post("/boxes/{$box->id}/fed", ['fed_by' => str_repeat('é', (int) $longest[1] + 40)])->assertRedirect();
    expect($box->refresh()->fed_by)->toBe(str_repeat('é', (int) $longest[1]));
    foreach (['/settings', '/plan', '/plan/variants', '/settings/desks', '/boxes/'.$box->id.'/name'] as $path) {
        preg_match_all('/name="(\w+)"[^>]*maxlength="(\d+)"/', (string) $this->get($path)->getContent(), $fields);
        expect($fields[1])->not->toBe([]);
        foreach ($fields[1] as $i => $name) {
            expect((int) $fields[2][$i])->toBeLessThanOrEqual(Fields::longest($name), "{$path} {$name}");
        }
    }
});

test('a list in the place of a text, and bytes that are no text, stop nothing', function (): void {
    $this->asKeeper()->get('/find?q[]=lantern')->assertOk();
    $this->get('/find?q=lan%ff')->assertOk();
    $this->post('/settings', ['router' => ['172.22.8.1']] + settingsNow())->assertRedirect();
    $this->get('/settings')->assertOk()->assertSee('aria-invalid="true"', false);
});
