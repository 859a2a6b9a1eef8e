<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Chrome;
use Tests\Browser\Keyboard;
use Tests\Door;

// The whole way of a newcomer, against the copy that ./burrow test has started with its bench.

/** From a plan of this job to the first step of its run, the card in the bench board and the power on. */
function planned(Chrome $chrome, string $plan, callable $press, callable $fill): void
{
    $chrome->go("/plan?{$plan}");
    $press('button[form=keep]');
    $chrome->until(fn (): bool => $chrome->has('#checks'));
    $fill('#name', 'wren');
    $press('form:has(#name) button:not([type=button])');
    $chrome->until(fn (): bool => $chrome->has('#public_key'));
    $fill('#public_key', newKey());
    $press('[data-done]');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '#cloud-config'));
    $press("form[action$='/bench/card'] button");
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'is in its board'));
    $press("form[action$='/bench/power'] button");
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'host key SHA256:'), 25);
    $press("form[action$='/run'] button");
    $chrome->until(fn (): bool => $chrome->has('#step-title'));
}

test('the whole thread by mouse', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login();
    $chrome->press('New box');

    // Plan: answers while choosing, refuses a phone charger, names the limit.
    $chrome->choose('board', 'cobble');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'the network is the limit at 11.8 MB/s'));
    $chrome->choose('supply', 'charger-1a');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Does not fit: the supply gives 1.00 A'));
    $chrome->choose('board', 'flint');
    $chrome->choose('supply', 'supply-3a');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Fits, with 94 %'));
    $chrome->press('Rate of a large file copy');
    expect($chrome->text())->toContain('1448/1538')->toContain('IEEE 802.3');
    $chrome->press('Keep this plan');

    // Name and address: clashes refused while typing.
    $chrome->until(fn (): bool => $chrome->has('#checks'));
    expect($chrome->find('#address')->getAttribute('value'))->toBe('172.22.8.16');
    $chrome->find('#name')->sendKeys('larder');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Another box is called larder'));
    $chrome->find('#name')->clear()->sendKeys('wren');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Nothing so far'));
    $chrome->press('Keep both');

    // Card: files with reasons, into the board on the bench.
    $chrome->until(fn (): bool => $chrome->has('#public_key'));
    $chrome->find('#public_key')->sendKeys(newKey());
    $chrome->press('Make the files');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '#cloud-config'));
    expect($chrome->violations())
        ->toBe([])
        ->and($chrome->text())
        ->toContain('Without this mark at the top the whole file is ignored.')
        ->toContain('nothing wrong');
    $chrome->press('Put the card into the bench board');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'The card for wren is in its board'));
    $chrome->driver
        ->findElement(
            WebDriverBy::xpath("//section[.//h2[normalize-space()='wren']]//button[contains(., 'Power on')]"),
        )
        ->click();
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'host key SHA256:'), 25);
    $shown = explode('host key ', $chrome->find('pre.screen')->getText())[1];

    // Bring-up, straight from the bench.
    $chrome->press('Bring it up');
    $chrome->until(fn (): bool => $chrome->has('#step-title'));
    expect($chrome->violations())->toBe([]);
    play($chrome, ...byMouse($chrome));

    // It stands everywhere.
    expect($chrome->violations())->toBe([]);
    $chrome->press('See its page');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'History'));
    expect($chrome->text())
        ->toContain($shown)
        ->toContain('445/tcp')
        ->toContain('by a reservation')
        ->toContain('/srv/store')
        ->toContain('due in');
    foreach (
        [
            '/' => 'Six of seven boxes answer',
            '/ports' => '172.22.8.16',
            '/upkeep' => 'Wren',
            '/stores' => 'SEED',
            '/addresses' => '172.22.8.16',
            '/journal' => 'wren is in service',
        ] as $page => $text
    ) {
        expect($chrome->go($page)->text())->toContain($text);
    }
    expect($chrome->go('/')->has("svg a[aria-label^='wren 172.22.8.16']"))
        ->toBeTrue()
        ->and($chrome->complaints())
        ->toBe([]);
});

test('the whole thread by keyboard alone', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->go('/login');
    $board = new Keyboard($chrome);

    $board->fill('#name', 'warden');
    $board->fill('#password', 'thistledown-demo');
    $board->keys(WebDriverKeys::ENTER);
    $chrome->until(fn (): bool => $chrome->has('.rail'));
    $board->keys('n');
    $chrome->until(fn (): bool => $chrome->has('#plan'));
    $board->tabTo('#board');
    $board->keys('Cob');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '11.8 MB/s'));
    // The browser takes letters typed within a second for one word.
    usleep(1300000);
    $board->keys('Flint:');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Fits, with 94 %'));
    $board->press('button[form=keep]');
    $chrome->until(fn (): bool => $chrome->has('#checks'));
    $board->fill('#name', 'wren');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Nothing so far'));
    $board->keys(WebDriverKeys::ENTER);
    $chrome->until(fn (): bool => $chrome->has('#public_key'));
    $board->fill('#public_key', newKey());
    $board->press('[data-done]');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '#cloud-config'));
    $board->tabTo("form[action$='/bench/card'] button");
    $board->keys(WebDriverKeys::ENTER);
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'is in its board'));
    $board->press("form[action$='/bench/power'] button");
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'host key SHA256:'), 25);

    // "/" finds the box, its page leads on.
    $chrome->driver->executeScript('document.activeElement.blur()');
    $board->keys('/');
    $board->keys('wren');
    $chrome->until(fn (): bool => $chrome->has('#found a'));
    $board->press('#found a');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Not in service yet'));
    $board->press("form[action$='/run'] button");
    $chrome->until(fn (): bool => $chrome->has('#step-title'));
    play($chrome, ...$board->ways());
    $chrome->driver->executeScript('document.activeElement.blur()');
    $board->keys('gp');
    $chrome->until(fn (): bool => str_ends_with($chrome->driver->getCurrentURL(), '/ports'));
    expect($chrome->text())->toContain('172.22.8.16');
    $board->keys('j');
    expect($board->isAt('[data-stop]'))->toBeTrue();
    $board->keys('?');
    expect($chrome->find('#keys')->getAttribute('open'))
        ->not->toBeNull()
        ->and($chrome->complaints())
        ->toBe([]);
});

test('a job is played from its plan to its acceptance', function (
    string $by,
    string $plan,
    array $steps,
): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login();
    [$press, $fill, $pick] = $by === 'keyboard' ? (new Keyboard($chrome))->ways() : byMouse($chrome);
    planned($chrome, $plan, $press, $fill);
    $met = play($chrome, $press, $fill, $pick);
    expect(array_values(array_diff($steps, $met)))
        ->toBe([])
        ->and($chrome->complaints())
        ->toBe([]);
})->with([
    'a filter with a tunnel' => [
        'keyboard',
        'job=filter-and-tunnel&board=flint&drive=none',
        [
            'Is port 53 free?',
            'Names are refused and answered',
            'The way back, on paper',
            'Automatic security updates',
            'One opening in the router',
            'It came through',
            'Is a listed name refused through the tunnel?',
        ],
    ],
    'a hub that starts from a drive' => [
        'mouse',
        'job=automation-hub&school=container&board=flint&drive=ssd-500&start=drive',
        [
            'The radio stick, on a lead',
            'What its documentation says',
            'Claim it at once',
            'Does a device obey?',
        ],
    ],
    'a printer host' => [
        'mouse',
        'job=print-host&school=container&board=flint&drive=none',
        [
            'The printer must not feed the board',
            'The container engine',
            'Claim it at once',
            'Does a small part come out whole?',
        ],
    ],
]);

test('an empty house of another prefix, described and then played to service', function (
    string $prefix,
    string $router,
    string $first,
    string $last,
): void {
    resetDemo();
    inCopy(
        'foreach ([App\Models\Run::class, App\Models\Box::class, App\Models\Network::class] as $model) { $model::query()->delete(); }'.
            'app(App\Bench\BenchClient::class)->ask(["do" => "load", "state" => ["speed" => 20]]);',
    );
    // The first login of a copy of one's own brings its network along.
    run(outside('php artisan burrow:user desk --guest'), "thistle down feather\nthistle down feather\n");
    $chrome = (new Chrome(base()))->login()->go('/settings');
    $values = ['prefix' => $prefix, 'router' => $router, 'pool_first' => $first, 'pool_last' => $last];
    foreach ($values as $field => $value) {
        $chrome->find("#{$field}")->clear()->sendKeys($value);
    }
    $chrome->find('#domain')->clear()->sendKeys('home.arpa');
    $chrome->click("form[action$='/settings'] [data-done], form[action$='/settings'] button.act");
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Kept.'));
    [$press, $fill, $pick] = byMouse($chrome);
    planned($chrome, 'job=file-store&board=flint', $press, $fill);
    $met = play($chrome, $press, $fill, $pick);
    $box = ofTheCopy("App\\Models\\Box::query()->where('name', 'wren')->first()->only(['stage', 'address'])");
    $within = Burrow\Net\Prefix::parse($prefix)->contains(Burrow\Net\Ipv4::parse($box['address']));
    expect([$box['stage'], $within])
        ->toBe(['in-service', true])
        ->and($met)
        ->toContain('Is it on both sides?')
        ->and($chrome->complaints())
        ->toBe([]);
    foreach (['/', '/bench', '/addresses', '/ports', '/tour'] as $page) {
        expect($chrome->go($page)->text())->not->toContain('172.22.8.');
    }
    resetDemo();
})->with([
    ['10.44.7.0/24', '10.44.7.1', '10.44.7.100', '10.44.7.199'],
    // Addresses whose stand-ins would be this machine's own, and a router at the end.
    ['10.0.0.0/25', '10.0.0.126', '10.0.0.60', '10.0.0.110'],
]);

test('a broken card leaves the bench board out of reach, and the tool says why', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login();
    $chrome->go('/bench');
    $chrome->press('Another card into a board');
    foreach (
        [
            'user-data' => "hostname: larder\n",
            'meta-data' => "instance-id: x1\n",
            'network-config' => "version: 2\nethernets:\n  wired:\n    match: {name: \"e*\"}\n    dhcp4: true\n",
        ] as $name => $text
    ) {
        $chrome->find("#{$name}")->sendKeys($text);
    }
    $chrome->choose('box', '2');
    $chrome->press('Put it in');
    $chrome->until(
        fn (): bool => str_contains($chrome->text(), 'The first line of user-data is not “#cloud-config”.'),
    );
    $chrome->driver
        ->findElement(
            WebDriverBy::xpath(
                "//section[.//h2[normalize-space()='larder']]//button[contains(., 'Power on')]",
            ),
        )
        ->click();
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'unhandled non-multipart text, ignored'), 20);
    usleep(6500000);
    $offset = (int) getenv('BENCH_OFFSET');
    expect(Door::isOpen('127.22.8.11', 22 + $offset))
        ->toBeFalse()
        ->and(Door::isOpen('127.22.8.11', 445 + $offset))
        ->toBeFalse();
});

test('power lost in the middle of a run: it is where it was', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login();
    $chrome->go('/plan')->press('Keep this plan');
    $chrome->until(fn (): bool => $chrome->has('#checks'));
    $chrome->find('#name')->sendKeys('wren');
    $chrome->press('Keep both');
    $chrome->until(fn (): bool => $chrome->has('#public_key'));
    $chrome->find('#public_key')->sendKeys(newKey());
    $chrome->press('Make the files');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '#cloud-config'));
    $chrome->press('Bring it up');
    foreach (['Parts on the table', 'Card in, cable, power last', 'First boot'] as $at => $title) {
        $at === 0 || $chrome->click('[data-done]');
        $chrome->until(
            fn (): bool => $chrome->has('#step-title') && $chrome->find('#step-title')->getText() === $title,
        );
    }
    $chrome->click('[data-done]');
    $chrome->until(fn (): bool => $chrome->has('.dial'));
    $ends = $chrome->find('.dial [data-ends]')->getAttribute('data-ends');

    $run = (string) getenv('TEST_VAR').'/run';
    $pid = (int) file_get_contents("{$run}/fpm.started");
    $workers =
        preg_split('/\s+/', trim((string) file_get_contents("/proc/{$pid}/task/{$pid}/children"))) ?: [];
    posix_kill($pid, SIGKILL);
    foreach ($workers as $worker) {
        posix_kill((int) $worker, SIGKILL);
    }
    unlink("{$run}/fpm.sock");
    expect(
        $chrome->driver->executeAsyncScript(
            'const done = arguments[0]; fetch(location.href).then((r) => done(r.status))',
        ),
    )->toBe(502);
    $root = posix_getuid() === 0 ? '-R' : '';
    $var = (string) getenv('TEST_VAR');
    run(
        "setsid /usr/sbin/php-fpm8.2 -F {$root} -y {$var}/fpm.conf >/dev/null 2>&1 </dev/null & pid=\$!; printf '%s %s\\n' \$pid \$(sed 's/^.*) //' /proc/\$pid/stat | cut -d' ' -f20) > {$run}/fpm.started",
    );
    $chrome->until(fn (): bool => file_exists("{$run}/fpm.sock"));

    $chrome->driver->navigate()->refresh();
    $chrome->until(fn (): bool => $chrome->has('.dial'));
    expect($chrome->find('#step-title')->getText())
        ->toBe('First boot')
        ->and($chrome->find('.dial [data-ends]')->getAttribute('data-ends'))
        ->toBe($ends);
});
