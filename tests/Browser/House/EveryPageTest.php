<?php

declare(strict_types=1);

use App\House\Place;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Chrome;

const PAGES = [
    '/',
    '/reach',
    '/ports',
    '/ports?box=lantern&add=1',
    '/reach?add=1',
    '/reach/keys/1/lost',
    '/addresses',
    '/boxes',
    '/boxes/2',
    '/boxes/6',
    '/stores',
    '/upkeep',
    '/journal',
    '/bench',
    '/bench/rehearsal',
    '/evening',
    '/boxes/6/diagnosis',
    '/catalogue',
    '/catalogue?kind=board',
    '/settings',
    '/settings/desks',
    '/plan/paper?job=print-host',
    '/plan?seat=%40larder&job=dns-filter',
    '/plan?seat=desk&job=dns-filter',
    '/plan?supply=outputs-4&job=print-host&also=dns-filter&hub=hub-4&plugged=camera&room=35',
    '/plan',
    '/plan?supply=charger-1a',
    '/card/target',
    '/card/lint',
    '/stores/media',
    '/stores/alike',
    '/stores/backups',
    '/stores/growth',
    '/stores/backups?add=1',
    '/stores/arrays?disks=4%204%208&level=parity',
    '/stores/rest',
    '/stores/rights',
    '/boxes/2/paper',
    '/boxes/2/parts?board=flint',
    '/boxes/2/move?to=4',
    '/boxes/2/unattended',
    '/without?off=larder',
    '/is-it-on',
    '/addresses?cut_prefix=172.22.8.0%2F24&cut_length=26',
    '/then?day=2026-06-30',
    '/tour',
    '/codes?words=addresses',
    '/addresses/register',
    '/journal/blind',
    '/journal/measured',
    '/settings/logins',
    '/boxes/labels',
    '/journal/compare',
    '/boxes/2/report',
    '/settings/telling',
    '/settings/networks',
    '/boxes/2/lost',
    '/boxes/2/retire',
    '/boxes/2/name',
    '/boxes/2/card',
    '/filter',
    '/filter/lights-out',
    '/filter/proof',
    '/filter/rollout',
    '/filter/upstream?way=tls&asks=203.0.113.53&tls_name=names.example.net',
    '/find?q=22',
];

/** The whole page at a size, in a theme, as if it had been loaded so. */
function seenAs(Chrome $chrome, int $width, string $theme): Chrome
{
    $chrome->resize($width, $width < 700 ? 844 : 800);
    $chrome->driver->executeScript('document.documentElement.dataset.theme = arguments[0]', [$theme]);

    return $chrome;
}

test(
    'no page has a serious fault of access, in either theme and at either width, and nothing sticks out',
    function (): void {
        resetDemo();
        $chrome = (new Chrome(base()))->still()->go('/login');
        expect($chrome->violations())->toBe([]);
        $chrome->login();
        foreach (PAGES as $page) {
            $chrome->resize(1280, 800)->go($page);
            foreach ([[1280, 'chalk'], [1280, 'den'], [390, 'chalk']] as [$width, $theme]) {
                $found = seenAs($chrome, $width, $theme)->violations();
                expect([$page, $width, $theme, $found])->toBe([$page, $width, $theme, []]);
            }
            $wide = $chrome->driver->executeScript('return document.documentElement.scrollWidth');
            expect([$page, $wide, $chrome->complaints()])->toBe([$page, 390, []]);
        }
        foreach (['den', 'chalk'] as $theme) {
            $chrome->driver->executeScript("document.cookie = 'theme={$theme};path=/'");
            expect($chrome->go('/')->find('html')->getAttribute('data-theme'))->toBe($theme);
        }
    },
);

test('on a phone the cross-section is drawn for it, with every box whole', function (): void {
    resetDemo();
    $chrome = (new Chrome(base(), 390, 844))->login()->go('/');
    $chrome->until(fn (): bool => $chrome->has('.picture.narrow svg'));
    $places = $chrome->driver->executeScript(
        'return [...document.querySelectorAll(".picture svg a")].map((one) => one.getBoundingClientRect().right)',
    );
    expect($places)
        ->toHaveCount(6)
        ->and(max($places))
        ->toBeLessThanOrEqual(390)
        ->and([$chrome->violations(), $chrome->complaints()])
        ->toBe([[], []]);
});

test('the theme switch works at once and is kept', function (): void {
    $chrome = (new Chrome(base()))->login();
    $chrome->driver->executeScript("document.cookie = 'theme=chalk;path=/'");
    $chrome->go('/')->click('[data-theme-switch] button');
    expect($chrome->find('html')->getAttribute('data-theme'))->toBe('den');
    expect($chrome->go('/ports')->find('html')->getAttribute('data-theme'))->toBe('den');
});

test('at 1280 by 800 the main task of a page is seen without scrolling', function (
    string $page,
    string $selector,
): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go($page);
    $bottom = $chrome->driver->executeScript(
        'return document.querySelector(arguments[0]).getBoundingClientRect().bottom',
        [$selector],
    );
    expect($bottom)->toBeLessThanOrEqual(800);
})->with([
    ['/', '.picture svg'],
    ['/plan', 'button[form=keep]'],
    ['/boxes/2/name', '[data-done]'],
    ['/boxes/2/card', '[data-done]'],
    ['/addresses', '.band'],
    ['/settings', '[data-done]'],
]);

test('every place is two keys away, and what was found is entered by the arrows', function (): void {
    $chrome = (new Chrome(base()))->login()->go('/');
    $keys = fn (string ...$keys) => $chrome->driver->getKeyboard()->sendKeys($keys);
    foreach (Place::cases() as $place) {
        $keys('g', $place->letter());
        $chrome->until(
            fn (): bool => parse_url($chrome->driver->getCurrentURL(), PHP_URL_PATH) === $place->path(),
        );
        expect($chrome->find('.rail a[aria-current]')->getText())
            ->toContain($place->label())
            ->toContain("g {$place->letter()}");
    }
    $keys('/', 'l', 'a', 'r', 'd');
    $chrome->until(fn (): bool => $chrome->has('#found a'));
    $keys(WebDriverKeys::ARROW_DOWN, WebDriverKeys::ENTER);
    $chrome->until(fn (): bool => $chrome->find('h1')->getText() === 'larder');
    expect($chrome->complaints())->toBe([]);
});

test('every key of the list works on every page', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->still()->login();
    $letters = implode('', array_map(fn (Place $place): string => $place->letter(), Place::cases()));
    $paths = [...array_map(fn (Place $place): string => $place->path(), Place::cases()), '/plan'];
    foreach (PAGES as $page) {
        $chrome->resize(1280, 800)->go($page);
        $met = $chrome->driver->executeScript(
            <<<'JS'
            const met = {paths: [], done: document.querySelector('[data-done]') === null};
            // Where a key leads is noted, and nobody goes there.
            navigation.addEventListener('navigate', (event) => {
                met.paths.push(new URL(event.destination.url).pathname);
                event.preventDefault();
            });
            document.addEventListener('click', (event) => {
                met.done = met.done || event.target.closest('[data-done]') !== null;
                event.preventDefault();
            }, true);
            document.activeElement.blur();
            const press = (key) => document.body.dispatchEvent(
                new KeyboardEvent('keydown', {key, bubbles: true, cancelable: true}),
            );
            for (const letter of arguments[0]) {
                press('g');
                press(letter);
            }
            press('n');
            press('/');
            met.find = document.activeElement.id;
            document.activeElement.dispatchEvent(new KeyboardEvent('keydown', {key: 'Escape', bubbles: true}));
            met.left = document.activeElement.id;
            press('?');
            met.list = document.getElementById('keys').open;
            document.getElementById('keys').close();
            press('j');
            met.step = document.querySelector('[data-stop]') === null ||
                document.activeElement.matches('[data-stop], [data-stop] *');
            document.activeElement.blur();
            press('x');

            return met;
            JS
            ,
            [$letters],
        );
        ksort($met);
        expect([$page, $met])->toBe([
            $page,
            ['done' => true, 'find' => 'find', 'left' => '', 'list' => true, 'paths' => $paths, 'step' => true],
        ]);
    }
    expect($chrome->complaints())->toBe([]);
});

test('a copied command is the command', function (): void {
    $chrome = (new Chrome(base()))->login()->go('/upkeep');
    $chrome->driver->executeScript(
        'navigator.clipboard.writeText = (text) => { window.copied = text; return Promise.resolve(); }',
    );
    $chrome->click('[data-copy]');
    $chrome->until(fn (): bool => str_contains($chrome->find('[data-copy]')->getText(), 'Copied'));
    expect($chrome->driver->executeScript('return window.copied'))->toBe(
        'sudo apt-get update && sudo apt-get --yes full-upgrade',
    );
});

test('a guest sees everything and no button that would be refused', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login('desk', 'reading-room-demo');
    foreach (
        ['/', '/boxes/2', '/bench', '/catalogue', '/settings', '/upkeep', '/plan', '/plan/variants'] as $page
    ) {
        $chrome->go($page);
        $shown = $chrome->driver->executeScript(
            'return [...document.querySelectorAll("form[data-keeps] button, button[data-keeps], .top a.act")].filter((b) => b.offsetParent !== null && ! b.closest("form[action$=\"/logout\"]")).map((b) => b.textContent.trim())',
        );
        expect([$page => $shown])
            ->toBe([$page => []])
            ->and([$page => $chrome->violations()])
            ->toBe([$page => []])
            ->and($chrome->text())
            ->toContain('guest, read only');
    }
    // What a guest may do is there.
    $chrome->go('/card/lint');
    expect(
        $chrome->driver->executeScript(
            'return document.querySelector("main form [data-done]").offsetParent !== null',
        ),
    )->toBeTrue();
    $chrome->go('/card/target');
    expect(
        $chrome->driver->executeScript(
            'return document.querySelector("main form [data-done]").offsetParent !== null',
        ),
    )->toBeTrue();
});
