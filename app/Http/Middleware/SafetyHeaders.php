<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing but what this application ships may run or be shown; no page may be framed. */
final class SafetyHeaders
{
    private const POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self'; font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    private const LONGEST_LOCATION = 6000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => self::POLICY,
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'same-origin',
            'Cache-Control' => 'no-store, private',
        ]);
        foreach ($request->isSecure() ? $response->headers->getCookies() : [] as $cookie) {
            $response->headers->setCookie($cookie->withSecure(true));
        }
        // A web server refuses a head that is longer than it has room for.
        $to = (string) $response->headers->get('Location');
        if (strlen($to) > self::LONGEST_LOCATION) {
            $response->headers->set('Location', explode('?', $to)[0]);
        }

        return $response;
    }
}
