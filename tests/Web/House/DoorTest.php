<?php

declare(strict_types=1);

use App\Http\Middleware\SafetyHeaders;
use App\Models\Box;
use App\Models\Network;
use App\Models\Run;
use App\Models\User;
use App\Session\Patience;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
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
        $this->get($page)->assertRedirect($page === '/' ? '/login' : '/login?to='.rawurlencode($page));
    }
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (
            array_intersect($route->methods(), ['POST', 'DELETE']) !== [] &&
            // A box's report has a token of its own in place of a login; ReportPageTest holds it to that.
            ! in_array($route->uri(), ['login', 'theme', 'report'], true)
        ) {
            expect($route->gatherMiddleware())->toContain('auth');
        }
    }
});

test('every page opens to the keeper and to the guest', function (): void {
    foreach (['asKeeper', 'asGuest'] as $who) {
        foreach (pages() as $page) {
            // Settings lead a guest to their own password.
            $this->followingRedirects()->$who()->get($page)->assertOk();
        }
        $this->flushSession();
    }
});

test('what could be used against the house is told to keepers only', function (): void {
    $lantern = Box::query()->where('name', 'lantern')->firstOrFail();
    $words = [
        '/' => 'past its update',
        '/upkeep' => 'past its update',
        "/boxes/{$lantern->id}" => 'Its update is overdue',
        '/reach' => '203.0.113.27',
    ];
    foreach ($words as $page => $word) {
        $this->asKeeper()->get($page)->assertSee($word);
    }
    $this->flushSession();
    foreach ($words as $page => $word) {
        $this->asGuest()
            ->get($page)
            ->assertOk()
            ->assertDontSee($word)
            ->assertDontSee('· due')
            ->assertDontSee('Nothing is due')
            ->assertDontSee('Nothing is overdue')
            ->assertDontSee('Due dates begin')
            ->assertDontSee('203.0.113.27');
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
    $this->post('/login', ['name' => 'warden', 'password' => 'wrong'])
        ->assertUnprocessable()
        ->assertSee('Name and password do not belong together.')
        ->assertSee('value="warden"', false);
    $this->post('/login', [])
        ->assertUnprocessable()
        ->assertSee('Type your login name.')
        ->assertSee('Type your password.');
    $this->post('/login', ['name' => 'warden', 'password' => 'thistledown-demo'])->assertRedirect('/');
    $this->post('/logout')->assertRedirect('/login');
    $this->get('/')->assertRedirect('/login');
});

test('after the login one is where one wanted to be, and never elsewhere', function (
    string $to,
    string $lands,
): void {
    $this->post('/login', [
        'name' => 'warden',
        'password' => 'thistledown-demo',
        'to' => $to,
    ])->assertRedirect($lands);
})->with([
    ['/ports', '/ports'],
    ['/plan?board=flint&job=file-store', '/plan?board=flint&job=file-store'],
    ['//evil.example/', '/'],
    ['/\\evil.example/', '/'],
    ['https://evil.example/', '/'],
    ["/ports\r\nSet-Cookie: a=b", '/'],
    ['/'.str_repeat('a', 2000), '/'],
    ['ports', '/'],
    ['/login', '/'],
    ['/login?to=/ports', '/'],
]);

test('a login that another page sends is refused', function (array $headers, int $status): void {
    $here = fn (string $value): string => str_replace(
        'HERE',
        (string) parse_url(url('/'), PHP_URL_HOST),
        $value,
    );
    $this->post(
        '/login',
        ['name' => 'warden', 'password' => 'thistledown-demo'],
        array_map($here, $headers),
    )->assertStatus($status);
})->with([
    'no browser' => [[], 302],
    'this page' => [['Origin' => 'http://HERE', 'Sec-Fetch-Site' => 'same-origin'], 302],
    'this page behind a proxy that encrypts' => [['Origin' => 'https://HERE'], 302],
    'another page' => [['Origin' => 'http://evil.example'], 403],
    'a page without an origin' => [['Origin' => 'null'], 403],
    'another site' => [['Sec-Fetch-Site' => 'cross-site'], 403],
]);

test('guessing is slowed down, and more so with every guess', function (): void {
    $guess = fn (string $password, string $name = 'warden') => $this->post('/login', [
        'name' => $name,
        'password' => $password,
    ]);
    for ($try = 0; $try < 5; $try++) {
        $guess("guess {$try}")->assertUnprocessable();
    }
    $guess('thistledown-demo')->assertTooManyRequests()->assertSee('Too many wrong tries');
    $this->assertGuest();
    // The wait doubles with each further wrong try, and the right password is taken when it is over.
    $waits = [];
    for ($try = 0; $try < 6; $try++) {
        $this->travel(1000)->seconds();
        $guess('wrong again');
        $waits[] = (int) $guess('thistledown-demo')->assertTooManyRequests()->headers->get('Retry-After');
    }
    expect($waits)->toBe([4, 8, 16, 32, 64, 128]);
    $this->travel(1000)->seconds();
    $guess('thistledown-demo')->assertRedirect('/');
});

test('somebody else\'s guesses lock the right password out for seconds only', function (): void {
    for ($try = 0; $try < 200; $try++) {
        app(Patience::class)->wrong('192.168.1.'.$try, 'warden');
    }
    expect(app(Patience::class)->wait('192.168.1.250', 'warden'))
        ->toBeLessThanOrEqual(20)
        ->toBeGreaterThan(0);
    $this->travel(21)->seconds();
    $this->post('/login', ['name' => 'warden', 'password' => 'thistledown-demo'])->assertRedirect('/');
});

test('a changed password ends the sessions that were begun with the old one', function (): void {
    $this->post('/login', ['name' => 'warden', 'password' => 'thistledown-demo'])->assertRedirect('/');
    $this->get('/ports')->assertOk();
    $this->artisan('burrow:user warden')
        ->expectsQuestion('Password for warden (nothing shows while you type)', 'three dry seed heads')->expectsQuestion('The same once more', 'three dry seed heads')
        ->assertExitCode(0);
    auth()->forgetGuards();
    $this->get('/ports')->assertRedirect('/login?to=%2Fports');
});

test('a stranger\'s visit leaves nothing on the disk', function (): void {
    $files = fn (): array => glob(config('session.files').'/*') ?: [];
    $before = $files();
    foreach (['/login', '/', '/ports?x=1'] as $page) {
        $this->get($page);
    }
    $this->post('/login', ['name' => 'warden', 'password' => 'no']);
    expect(array_diff($files(), $before))->toBe([]);
    $this->post('/login', ['name' => 'warden', 'password' => 'thistledown-demo']);
    expect(array_diff($files(), $before))->toHaveCount(1);
});

test(
    'cookies are for encrypted connections when the request is one, and only the configured proxy says so',
    function (): void {
        $secure = fn (): array => array_unique(
            array_map(
                fn ($cookie): bool => $cookie->isSecure(),
                $this->post(
                    '/login',
                    ['name' => 'warden', 'password' => 'thistledown-demo'],
                    ['X-Forwarded-Proto' => 'https'],
                )->headers->getCookies(),
            ),
        );
        expect($secure())->toBe([false]);
        TrustProxies::at(['127.0.0.1']);
        $encrypted = $secure();
        TrustProxies::flushState();
        expect($encrypted)->toBe([true]);
    },
);

test('an address that is too long for a head is cut to its path', function (): void {
    $middleware = new SafetyHeaders();
    $answer = $middleware->handle(Request::create('/'), fn () => redirect('/plan?x='.str_repeat('a', 9000)));
    expect($answer->headers->get('Location'))->toEndWith('/plan');
});

test('outside of the demo its printed logins open nothing', function (): void {
    config(['burrow.demo' => false]);
    $this->post('/login', ['name' => 'warden', 'password' => 'thistledown-demo'])->assertUnprocessable();
    $this->artisan('burrow:user --drop-demo')
        ->expectsOutputToContain('warden was a login of the demo')
        ->assertExitCode(0);
    expect(User::query()->count())->toBe(0);
});

test('logins are listed, keep their role, and the last keeper stays', function (): void {
    $ask = 'Password for desk (nothing shows while you type)';
    $this->artisan('burrow:user')->expectsOutputToContain('warden')->assertExitCode(0);
    $this->artisan('burrow:user desk')
        ->expectsQuestion($ask, 'three dry seed heads')
        ->expectsQuestion('The same once more', 'three dry seed heads')
        ->assertExitCode(0);
    expect(User::query()->where('name', 'desk')->value('role'))->toBe('guest');
    $this->artisan('burrow:user desk --keeper')
        ->expectsQuestion($ask, 'three dry seed heads')->expectsQuestion('The same once more', 'three dry seed heads')
        ->assertExitCode(0);
    expect(User::query()->where('name', 'desk')->value('role'))->toBe('keeper');
    $this->artisan('burrow:user warden --remove')->assertExitCode(0);
    $this->artisan('burrow:user desk --remove')->expectsOutputToContain('last keeper')->assertExitCode(1);
    $this->artisan('burrow:user desk --guest')->expectsOutputToContain('last keeper')->assertExitCode(1);
    $this->artisan('burrow:user nobody --remove')->assertExitCode(2);
    expect(User::query()->pluck('role', 'name')->all())->toBe(['desk' => 'keeper']);
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
            // Links lead to pages of the household's own boxes and nowhere else; nothing is loaded from there.
            ->and(preg_match('~(?:src|action)="https?://(?!localhost|127\.0\.0\.1)~', $html))
            ->toBe(0)
            ->and(preg_match('~<(?!a )[^>]*\shref="https?://(?!localhost|127\.0\.0\.1)~', $html))
            ->toBe(0)
            ->and(preg_match('~href="https?://(?!localhost|127\.0\.0\.1|172\.22\.8\.\d+[:/])~', $html))
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
        ->followingRedirects()
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

test('prices stand with the currency that was set, and one that is none is refused', function (): void {
    $fields = Network::home()->only([
        'name',
        'prefix',
        'router',
        'pool_first',
        'pool_last',
        'domain',
        'wan',
        'time_zone',
        'country',
        'ssids',
    ]);
    $this->asKeeper()
        ->followingRedirects()
        ->post('/settings', ['currency' => 'pounds', ...$fields])
        ->assertOk()
        ->assertSee('“POUNDS” is no currency')
        ->assertSee('value="POUNDS"', false);
    $this->post('/settings', ['currency' => 'eur', ...$fields])->assertRedirect();
    $this->get('/plan?supply=charger-1a')->assertSee('EUR together')->assertSee('EUR more');
    $this->post('/settings', ['currency' => '', ...$fields])->assertRedirect();
    $this->get('/plan?supply=charger-1a')->assertDontSee('EUR');
});
