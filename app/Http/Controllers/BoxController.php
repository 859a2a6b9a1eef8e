<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Plan\BoxPlan;
use App\Upkeep\Calendar;
use Burrow\Plan\MeasuredRate;
use Burrow\Quantity\Rate;
use Burrow\Role\Role;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

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
        $plan = BoxPlan::of($box->load('jobs'), $this->catalogue);
        $measured = $box->measurements()->first();
        $box->load(['services', 'openings', 'stores', 'dependencies.provider', 'run']);

        return view('boxes.show', [
            'box' => $box,
            'board' => $this->catalogue->boards()[$box->board] ?? null,
            'roles' => array_values(array_filter($box->jobs->map(fn ($job): ?Role => $this->catalogue->role($job->role))->all())),
            'due' => $calendar->of(collect([$box]))[$box->id] ?? null,
            'measured' => $measured,
            'judged' => $plan === null || $measured === null ? null : (new MeasuredRate($plan, Rate::megabytesPerSecond($measured->megabytes), $measured->idle))->finding(),
            'entries' => $box->journal()->orderByDesc('at')->orderByDesc('id')->limit(12)->get(),
        ]);
    }

    /** A copy rate that somebody measured, with the idle share of the processor meanwhile. */
    public function measured(Request $request, Box $box): RedirectResponse
    {
        $typed = $request->validate(
            ['megabytes' => ['required', 'numeric', 'gt:0', 'lt:10000'], 'idle' => ['required', 'numeric', 'between:0,100']],
            ['megabytes.*' => 'The settled rate in MB/s, above zero.', 'idle.*' => 'The idle share in per cent, 0 to 100.'],
        );
        $box->measurements()->create(['megabytes' => (float) $typed['megabytes'], 'idle' => $typed['idle'] / 100]);
        JournalEntry::write($box, 'measured', "Copy rate measured: {$typed['megabytes']} MB/s, {$typed['idle']} % idle.");

        return redirect()->route('box', $box);
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
