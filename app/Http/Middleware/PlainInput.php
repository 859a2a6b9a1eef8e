<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Fields are texts in UTF-8. A list in the place of one is somebody's experiment, and counts as not sent. */
final class PlainInput
{
    private const LISTS = ['ports', 'files', 'along', 'plugged', 'schools'];

    /** What people paste from a tool may be long; everything else is cut before it fills a session. */
    private const LONG = ['pasted', 'before', 'after', 'yaml'];

    private const LONGEST = 40000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->query, $request->request] as $fields) {
            foreach ($fields->all() as $name => $value) {
                if (is_array($value) && ! in_array($name, self::LISTS, true)) {
                    $fields->remove((string) $name);
                } elseif (is_string($value)) {
                    // Bytes that are no UTF-8 cannot be kept or shown; they become question marks.
                    $text = mb_scrub($value, 'UTF-8');
                    $fields->set(
                        (string) $name,
                        in_array($name, self::LONG, true) ? $text : mb_substr($text, 0, self::LONGEST),
                    );
                }
            }
        }

        return $next($request);
    }
}
