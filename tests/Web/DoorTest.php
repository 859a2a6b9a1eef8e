<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\Run;
use Illuminate\Support\Facades\Route;

/** @return list<string> every page that can be opened, with the demo data in it */
function pages(): array
{
    $box = Box::query()->where('name', 'larder')->firstOrFail();

    return [
        '/',
        '/reach',
        '/ports',
        '/addresses',
        '/stores',
        '/upkeep',
        '/journal',
        '/find?q=22',
        '/boxes',
        "/boxes/{$box->id}",
        '/plan',
        '/plan/paper',
        '/settings/desks',
        '/card/target',
        '/card/lint',
        '/stores/media',
        "/boxes/{$box->id}/name",
        "/boxes/{$box->id}/card",
        '/bench',
        '/catalogue',
        '/settings',
    ];
}

test('nothing but the login opens to a stranger', function (): void {
    foreach (pages() as $page) {
        $this->get($page)->assertRedirect('/login');
    }
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (
            array_intersect($route->methods(), ['POST', 'DELETE']) !== [] &&
            ! in_array($route->uri(), ['login', 'theme'], true) &&
            ! str_starts_with($route->uri(), 'storage')
        ) {
            expect($route->gatherMiddleware())->toContain('auth');
        }
    }
});

test('every page opens to the keeper and to the guest', function (): void {
    foreach (['asKeeper', 'asGuest'] as $who) {
        foreach (pages() as $page) {
            $this->$who()->get($page)->assertOk();
        }
    }
});

test('a guest changes nothing', function (): void {
    $box = Box::query()->firstOrFail();
    $before = Box::query()->count();
    foreach (
        [
            '/plan',
            "/boxes/{$box->id}/name",
            "/boxes/{$box->id}/card",
            "/boxes/{$box->id}/run",
            "/boxes/{$box->id}/updated",
            '/bench/card',
            '/bench/power',
            '/bench/speed',
            '/catalogue',
            '/settings',
            '/settings/desks',
            '/plan/plan.yaml',
            '/plan/keep',
            '/card/images',
            '/stores/media',
        ] as $path
    ) {
        $this->asGuest()->post($path)->assertForbidden()->assertSee('Guests may look at everything');
    }
    $this->asGuest()
        ->delete("/boxes/{$box->id}")
        ->assertForbidden();
    expect(Box::query()->count())
        ->toBe($before)
        ->and(Run::query()->count())
        ->toBe(0);
});

test('the demo logins work, others are told at the field', function (): void {
    $this->post('/login', ['name' => 'warden', 'password' => 'wrong'])->assertSessionHasErrors('password');
    $this->post('/login', [])->assertSessionHasErrors(['name' => 'Type your login name.', 'password' => 'Type your password.']);
    $this->post('/login', ['name' => 'warden', 'password' => 'thistledown-demo'])->assertRedirect('/');
    $this->post('/logout')->assertRedirect('/login');
    $this->get('/')->assertRedirect('/login');
});

test('guessing is throttled', function (): void {
    for ($try = 0; $try < 6; $try++) {
        $this->post('/login', ['name' => 'warden', 'password' => "guess {$try}"])->assertRedirect();
    }
    $this->post('/login', ['name' => 'warden', 'password' => 'thistledown-demo'])
        ->assertTooManyRequests()
        ->assertSee('Wait a minute');
    $this->assertGuest();
});

test('no page holds a script or a style of its own', function (): void {
    foreach (pages() as $page) {
        $response = $this->asKeeper()->get($page);
        $html = (string) $response->getContent();
        expect($response->headers->get('Content-Security-Policy'))
            ->toContain("script-src 'self'")
            ->not->toContain('unsafe')
            ->and(preg_match('/<script(?![^>]*\ssrc=)/i', $html))
            ->toBe(0)
            ->and(preg_match('/<style|\sstyle=|\son[a-z]+="|javascript:/i', $html))
            ->toBe(0)
            ->and(preg_match('~(?:src|href|action)="https?://(?!localhost|127\.0\.0\.1)~', $html))
            ->toBe(0);
    }
});

test('what is pasted is shown as text', function (): void {
    $this->asKeeper()
        ->get('/find?q='.urlencode('<script>alert(1)</script>'))
        ->assertOk()
        ->assertDontSee('<script>alert', false)
        ->assertSee('&lt;script&gt;alert', false);
    $this->asKeeper()
        ->post('/catalogue', ['kind' => 'board', 'yaml' => "id: <img src=x>\n"])
        ->assertOk()
        ->assertDontSee('<img src=x', false);
});

test('the theme is kept in a cookie and in the first byte of the page', function (): void {
    $this->from('/login')
        ->post('/theme', ['theme' => 'den'])
        ->assertRedirect('/login')
        ->assertPlainCookie('theme', 'den');
    $this->withUnencryptedCookie('theme', 'den')->get('/login')->assertSee('data-theme="den"', false);
    $this->withUnencryptedCookie('theme', 'x" onload="y')->get('/login')->assertDontSee('onload', false);
});

test('what is not there is said in plain words', function (): void {
    $this->asKeeper()->get('/boxes/99999')->assertNotFound()->assertSee('Not here');
    $this->asKeeper()->get('/catalogue/board/..%2f..%2fenv.yaml')->assertNotFound();
    $this->asKeeper()->get('/catalogue/tea/flint.yaml')->assertNotFound();
});
