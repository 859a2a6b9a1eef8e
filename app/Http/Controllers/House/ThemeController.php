<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Keeps the chosen theme in a cookie of its own, so that the first byte of a page already has it. */
final class ThemeController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $theme = $request->string('theme')->value();

        return back()->withCookie(
            cookie()->forever('theme', in_array($theme, ['chalk', 'den'], true) ? $theme : ''),
        );
    }
}
