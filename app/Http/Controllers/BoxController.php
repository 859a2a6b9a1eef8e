<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Upkeep\Calendar;
use Burrow\Role\Role;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;

final class BoxController
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function index(): View
    {
        return view('boxes.index', ['boxes' => Box::query()->with(['jobs', 'run'])->orderBy('name')->get(), 'catalogue' => $this->catalogue]);
    }

    public function show(Box $box, Calendar $calendar): View
    {
        $box->load(['jobs', 'services', 'openings', 'stores', 'dependencies.provider', 'run']);

        return view('boxes.show', [
            'box' => $box,
            'board' => $this->catalogue->boards()[$box->board] ?? null,
            'roles' => array_values(array_filter($box->jobs->map(fn ($job): ?Role => $this->catalogue->role($job->role))->all())),
            'due' => $calendar->of(collect([$box]))[$box->id] ?? null,
            'entries' => $box->journal()->orderByDesc('at')->orderByDesc('id')->limit(12)->get(),
        ]);
    }

    /** A box that never went into service can be dropped; what was written about it stays in the journal. */
    public function destroy(Box $box): RedirectResponse
    {
        abort_if($box->stage === Box::IN_SERVICE, 409, 'A box in service is not dropped.');
        JournalEntry::write($box, 'dropped', "The plan for {$box->called()} was dropped.");
        $box->delete();

        return redirect()->route('boxes')->with('told', "{$box->called()} was dropped.");
    }
}
