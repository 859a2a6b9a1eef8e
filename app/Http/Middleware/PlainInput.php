<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\House\Fields;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Fields are texts in UTF-8. A list in the place of one is somebody's experiment, and counts as not sent. */
final class PlainInput
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->query, $request->request] as $fields) {
            foreach ($fields->all() as $name => $value) {
                if (is_array($value) && ! Fields::isList((string) $name)) {
                    $fields->remove((string) $name);
                } elseif (is_string($value)) {
                    // Bytes that are no UTF-8 cannot be kept or shown; they become question marks.
                    $fields->set((string) $name, Fields::cut((string) $name, mb_scrub($value, 'UTF-8')));
                }
            }
        }

        return $next($request);
    }
}
