<?php

declare(strict_types=1);

use App\Http\Middleware\OnlyKeeper;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SafetyHeaders;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->append(SafetyHeaders::class);
        $middleware->web(append: [PlainInput::class]);
        // Only the machine's own web server may stand in front.
        $middleware->trustProxies(at: ['127.0.0.1']);
        $middleware->alias(['keeper' => OnlyKeeper::class]);
        $middleware->redirectGuestsTo('/login');
        // A card's file means what it says, blanks at its ends included.
        $middleware->trimStrings(except: ['files.user-data', 'files.meta-data', 'files.network-config', 'yaml', 'pasted', 'first_password']);
        $middleware->encryptCookies(except: ['theme']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password', 'first_password', 'public_key']);
    })
    ->create();

// Everything a running copy makes lies under var/; a test run has a folder of its own in there.
$var = getenv('BURROW_VAR') ?: dirname(__DIR__).'/var';
$app->useEnvironmentPath($var);
$app->useStoragePath($var.'/storage');

return $app;
