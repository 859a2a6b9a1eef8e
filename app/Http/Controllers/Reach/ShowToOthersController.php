<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Http\Middleware\MaskForOthers;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Masks what nobody outside should read, in every page and file, until it is switched off again. */
final class ShowToOthersController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $on = ! $request->session()->get(MaskForOthers::SWITCH, false);
        $request->session()->put(MaskForOthers::SWITCH, $on);

        return redirect()
            ->route('reach')
            ->with(
                'told',
                $on
                    ? 'Outside address, names, network names, hardware addresses and keys are masked from now on, in this browser only.'
                    : 'Everything is shown as it is again.',
            );
    }
}
