<?php

declare(strict_types=1);

use Tests\Browser\Chrome;
use Tests\Door;

// Installed like a program, and what was opened before can be read when the house does not answer.

/** @return array{int, resource} a port that leads to the copy that is visited, until its process is ended */
function forwarded(?int $port = null): array
{
    $port ??= random_int(42000, 43999);
    $process = proc_open(
        [PHP_BINARY, 'tests/Support/forward.php', (string) $port, (string) parse_url(base(), PHP_URL_PORT)],
        [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
        $pipes,
    );
    for ($try = 0; ! Door::isOpen('127.0.0.1', $port); $try++) {
        $try < 100 || throw new RuntimeException('Nothing stands between.');
        usleep(50_000);
    }

    return [$port, $process];
}

test(
    'papers that were opened can be read without the house, say from when they are, and go with the logout',
    function (): void {
        resetDemo();
        [$port, $house] = forwarded();
        $chrome = (new Chrome("http://127.0.0.1:{$port}"))->login()->go('/');
        $chrome->driver->executeAsyncScript('navigator.serviceWorker.ready.then(arguments[0])');
        $chrome->until(
            fn (): bool => $chrome->driver->executeScript(
                'return navigator.serviceWorker.controller !== null',
            ),
        );
        $manifest = $chrome->driver->executeAsyncScript(
            <<<'JS'
            const done = arguments[0];
            fetch('/manifest.webmanifest').then(async (one) => done([one.headers.get('content-type'), await one.json()]));
            JS
            ,
        );
        expect($manifest[0])->toBe('application/manifest+json')->and($manifest[1]['start_url'])->toBe('/');
        foreach ($manifest[1]['icons'] as $icon) {
            $file = 'public'.$icon['src'];
            expect($file)->toBeFile();
            if ($icon['type'] === 'image/png') {
                expect(implode('x', array_slice((array) getimagesize($file), 0, 2)))->toBe($icon['sizes']);
            }
        }
        $chrome->go('/boxes/2/paper')->go('/is-it-on');
        expect($chrome->complaints())->toBe([]);
        $worker = fn (string $path): string => (string) $chrome->driver->executeAsyncScript(
            <<<'JS'
            const [path, done] = arguments;
            const cache = await_(path).then(done);
            function await_(at) { return caches.open('papers').then((one) => one.match(at)).then((kept) => kept ? kept.text() : ''); }
            JS
            ,
            [$path],
        );
        expect($worker('/boxes/2/paper'))
            ->toContain('larder')
            ->and($worker('/is-it-on'))
            ->toContain('Is it on?');
        // The house is gone.
        proc_terminate($house);
        for ($try = 0; Door::isOpen('127.0.0.1', $port) && $try < 100; $try++) {
            usleep(50_000);
        }
        $chrome->go('/boxes/2/paper');
        $chrome->until(
            fn (): bool => str_contains($chrome->text(), 'The house does not answer. This is how it was on'),
        );
        expect($chrome->text())->toContain('larder');
        // It looks as it did: its styles and its font were kept with it.
        expect(
            $chrome->driver->executeScript(
                'return [...document.styleSheets].every((one) => one.cssRules.length > 0)',
            ),
        )->toBeTrue();
        $chrome->go('/ports');
        $chrome->until(
            fn (): bool => str_contains($chrome->text(), 'These were opened before and can be read'),
        );
        expect($chrome->text())->toContain('Is it on?');
        [, $house] = forwarded($port);
        // What is no paper was not kept.
        $chrome->go('/ports')->go('/settings');
        expect($worker('/ports'))->toBe('');
        $chrome->press('Log out');
        $chrome->until(fn (): bool => $chrome->has('#password'));
        $chrome->until(fn (): bool => $worker('/boxes/2/paper') === '');
        expect($worker('/is-it-on'))->toBe('');
    },
);
