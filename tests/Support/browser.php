<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use Tests\Browser\Chrome;

// What the browser tests visit, and how it is set back to its first day.

function base(): string
{
    return getenv('TEST_BASE') ?:
        throw new RuntimeException('Run this through ./burrow test, which starts what is visited.');
}

/** The command line as somebody types it beside the running copy. */
function outside(string $command): string
{
    return 'env -u APP_ENV -u APP_KEY -u DB_DATABASE -u SESSION_DRIVER -u CACHE_STORE -u QUEUE_CONNECTION '.
        "-u APP_CONFIG_CACHE -u APP_ROUTES_CACHE {$command}";
}

/** A line of PHP in the running copy, beside its web server. */
function inCopy(string $php): void
{
    $boot =
        'require "vendor/autoload.php"; $app = require "bootstrap/app.php";'.
        '$app->make(Illuminate\\Contracts\\Console\\Kernel::class)->bootstrap(); ';
    $result = run(outside('php -r '.escapeshellarg($boot.$php)));
    $result['exit'] === 0 || throw new RuntimeException($result['all']);
}

function resetDemo(): void
{
    $result = run(outside('php artisan burrow:demo -q'));
    $result['exit'] === 0 || throw new RuntimeException($result['all']);
}

function newKey(): string
{
    $folder = scratch();
    run("ssh-keygen -q -t ed25519 -N '' -C warden@desk -f {$folder}/key");

    return trim((string) file_get_contents("{$folder}/key.pub"));
}

/** The good answer to each kind of choice, and how far down its list it stands. */
const PICKED = ['answer' => 0, 'buttons' => 1, 'second' => 0];

/**
 * Plays a run to its end on the bench, with ways of pressing buttons, typing into fields and picking one of several.
 *
 * @return list<string> titles of the steps that were met
 */
function play(Chrome $chrome, callable $press, callable $fill, callable $pick): array
{
    $typed = $claimed = '';
    $met = [];
    for ($turn = 0; $turn < 160 && $chrome->has('#step-title'); $turn++) {
        $met[] = $chrome->find('#step-title')->getText();
        $title = $chrome->find('#step-title')->getText();
        $state = $chrome->find('#page')->getText();
        if ($chrome->has("button[formaction$='/reserve']")) {
            $press("button[formaction$='/reserve']");
        } elseif ($chrome->has("button[formaction$='/claim']") && $claimed !== $title) {
            $claimed = $title;
            $press("button[formaction$='/claim']");
            $chrome->until(fn (): bool => str_contains($chrome->text(), 'has an owner now'));

            continue;
        } elseif (
            $chrome->has("button[formaction$='/type']") &&
            $typed !== $title &&
            ! $chrome->has('.dial')
        ) {
            $typed = $title;
            $press("button[formaction$='/type']");
            $chrome->until(
                fn (): bool => $chrome->has('pre.screen') ||
                    ($chrome->has('#pasted') && $chrome->find('#pasted')->getAttribute('value') !== ''),
            );

            continue;
        } else {
            $chrome->has('#typed_disk') && $fill('#typed_disk', 'sda');
            $chrome->has('#kept_at') && $fill('#kept_at', 'password manager, entry wren');
            foreach ($chrome->driver->findElements(WebDriverBy::cssSelector('[name^=asked_]')) as $field) {
                if ((string) $field->getAttribute('value') === '') {
                    $fill('#'.$field->getAttribute('id'), (string) $field->getAttribute('placeholder'));
                }
            }
            foreach (PICKED as $name => $down) {
                $chrome->has("input[name={$name}]") && $pick($name, $down);
            }
            $press('[data-done]');
        }
        $chrome->until(
            fn (): bool => $chrome->find('#page')->getText() !== $state ||
                ! $chrome->has('#step-title') ||
                $chrome->has('.step .slim'),
            10,
        );
        // What was printed says that it did not run: it is typed once more.
        $typed = $chrome->has('.step .slim') ? '' : $typed;
        usleep(120000);
    }
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'is in service'));

    return array_values(array_unique($met));
}

/** By mouse: how buttons are pressed, fields filled, choices picked. */
function byMouse(Chrome $chrome): array
{
    return [
        fn (string $selector) => $chrome->click($selector),
        fn (string $selector, string $text) => $chrome->find($selector)->clear()->sendKeys($text),
        fn (string $name, int $down) => $chrome->driver
            ->findElements(WebDriverBy::cssSelector("input[name={$name}]"))[$down]->click(),
    ];
}

/**
 * What the web server says to bytes as they are.
 *
 * @return array{status: int, head: string, body: string}
 */
function raw(string $request): array
{
    [$host, $port] = explode(':', substr(base(), 7));
    $stream =
        stream_socket_client("tcp://{$host}:{$port}", timeout: 5) ?:
        throw new RuntimeException('Nobody answers.');
    stream_set_timeout($stream, 30);
    fwrite($stream, $request);
    $answer = (string) stream_get_contents($stream);
    [$head, $body] = [...explode("\r\n\r\n", $answer, 2), ''];

    return ['status' => (int) substr($head, 9, 3), 'head' => $head, 'body' => $body];
}

/** A client that is logged in as the keeper, and the token of its forms. */
function keeperAtTheCopy(string $name = 'warden'): array
{
    $client = new Client([
        'base_uri' => getenv('TEST_BASE'),
        'cookies' => new CookieJar(),
        'http_errors' => false,
        'timeout' => 60,
        'allow_redirects' => true,
    ]);
    $client->post('/login', [
        'form_params' => ['name' => $name, 'password' => 'thistledown-demo'],
        'headers' => ['Origin' => getenv('TEST_BASE')],
    ]);
    preg_match('/name="_token" value="([^"]+)"/', (string) $client->get('/boxes')->getBody(), $m);

    return [$client, $m[1] ?? throw new RuntimeException('Nobody is logged in.')];
}

/** @return mixed what a line of PHP in the running copy gives */
function ofTheCopy(string $php): mixed
{
    $file = scratch().'/said';
    inCopy("file_put_contents('{$file}', json_encode({$php}));");

    return json_decode((string) file_get_contents($file), true);
}
