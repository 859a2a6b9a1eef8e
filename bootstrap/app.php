<?php

declare(strict_types=1);

use App\House\Fields;
use App\Http\Middleware\HideWhatKeeps;
use App\Http\Middleware\MaskForOthers;
use App\Http\Middleware\OnlyKeeper;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SafetyHeaders;
use App\Session\WayBack;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Request;

$app = Application::configure(basePath: dirname(__DIR__))
    // A file a stage, each with what is looked at and what is kept.
    ->withRouting(
        web: array_diff(glob(__DIR__.'/../routes/*.php') ?: [], [__DIR__.'/../routes/console.php']),
        commands: __DIR__.'/../routes/console.php',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->append(SafetyHeaders::class);
        $middleware->web(append: [PlainInput::class, HideWhatKeeps::class, MaskForOthers::class]);
        // A password that was changed ends every session that was begun with the old one.
        $middleware->authenticateSessions();
        // Without a session there is no token; where a login came from is looked at in its controller.
        $middleware->validateCsrfTokens(except: ['login']);
        // What a keeper does, and what is shown to keepers alone.
        $middleware->alias(['keeper' => OnlyKeeper::class, 'shown-to-keepers' => OnlyKeeper::class]);
        $middleware->redirectGuestsTo(fn (Request $request): string => '/login'.WayBack::of($request));
        // A card's file means what it says, blanks at its ends included.
        $middleware->trimStrings(except: Fields::asTyped());
        $middleware->encryptCookies(except: ['theme']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // Two who keep the same thing at once: the later one is told, and what was typed is kept.
        $exceptions->render(
            fn (UniqueConstraintViolationException $taken, Request $request) => redirect()
                ->back(fallback: '/')
                ->withInput($request->except(Fields::neverKept()))
                ->with(
                    'told',
                    'Somebody else has just kept one of that name. Nothing was changed; look at it and choose another.',
                ),
        );
        $exceptions->dontFlash(Fields::neverKept());
    })
    ->create();

// Everything a running copy makes lies under var/; a test run has a folder of its own in there.
$var = getenv('BURROW_VAR') ?: dirname(__DIR__).'/var';
$app->useEnvironmentPath($var);
$app->useStoragePath($var.'/storage');

return $app;
