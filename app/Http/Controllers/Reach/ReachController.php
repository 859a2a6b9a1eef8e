<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Models\Network;
use App\Models\Opening;
use Illuminate\Contracts\View\View;

/** What somebody outside can reach, with the reason and the day to look at it again. */
final class ReachController
{
    public function __invoke(): View
    {
        return view('reach.index', [
            'network' => Network::home(),
            'openings' => Opening::query()->with('box')->orderBy('outside_port')->get(),
        ]);
    }
}
