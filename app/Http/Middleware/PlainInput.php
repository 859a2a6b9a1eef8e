<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Fields are texts. A list in the place of one is somebody's experiment, and counts as not sent. */
final class PlainInput
{
    private const LISTS = ['files'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->query, $request->request] as $fields) {
            foreach ($fields->all() as $name => $value) {
                if (is_array($value) && ! in_array($name, self::LISTS, true)) {
                    $fields->remove((string) $name);
                }
            }
        }

        return $next($request);
    }
}
