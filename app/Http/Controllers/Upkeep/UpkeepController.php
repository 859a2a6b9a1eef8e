<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Models\Box;
use App\Models\JournalEntry;
use App\View\Pages;
use Burrow\Household\Household;
use Burrow\Upkeep\Calendar;
use Burrow\Upkeep\Due;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What is due, soonest first. */
final class UpkeepController
{
    public function index(Request $request, Household $house): View
    {
        $told = $request->user()?->isKeeper() === true;

        return view('upkeep.index', [
            'told' => $told,
            'dues' => Pages::of($told ? Calendar::of($house) : []),
            'late' => $told
                ? count(array_filter(Calendar::of($house), fn (Due $due): bool => $due->isOverdue()))
                : 0,
            'users' => Box::query()->pluck('user', 'id'),
        ]);
    }

    public function updated(Box $box): RedirectResponse
    {
        $box->update(['updated_system_at' => now()]);
        JournalEntry::write($box, 'update', 'System brought up to date.');

        return redirect()
            ->route('upkeep')
            ->with('told', "{$box->called()}: written down as updated today.");
    }
}
