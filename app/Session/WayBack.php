<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Http\Request;

/** Where somebody was on the way to when the login stood in between, as a query of the login's address. */
final class WayBack
{
    private const LONGEST = 800;

    public static function of(Request $request): string
    {
        $to = $request->getRequestUri();

        return ! $request->isMethod('GET') ||
            $to === '/' ||
            str_starts_with($to, '/log') ||
            strlen($to) > self::LONGEST
            ? ''
            : '?to='.rawurlencode($to);
    }
}
