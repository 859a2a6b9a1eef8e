<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Guests may look at everything and change nothing. */
final class OnlyKeeper
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        abort_unless(
            $request->user()?->isKeeper() ?? false,
            403,
            'You are logged in as a guest. Guests may look at everything and change nothing.',
        );

        return $next($request);
    }
}
