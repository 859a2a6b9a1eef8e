<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Plan\Choices;
use Burrow\Plan\PlanAnswer;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Severity;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** The plan sheet: it answers while choices are made, and becomes a box. */
final class PlanController
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function sheet(Request $request): string
    {
        $choices = Choices::from($request, $this->catalogue);

        return view('plan.sheet', [
            'choices' => $choices,
            'answer' => PlanAnswer::to($choices->input()),
            'catalogue' => $this->catalogue,
        ])->fragmentIf($request->hasHeader('HX-Request') && ! $request->hasHeader('HX-Boosted'), 'answer');
    }

    public function store(Request $request): RedirectResponse
    {
        $choices = Choices::from($request, $this->catalogue);
        $answer = PlanAnswer::to($choices->input());
        $reason = trim($request->string('overrule')->limit(500, '')->value());
        if (! $answer->fits() && $reason === '') {
            return redirect()->route('plan', $choices->toArray())->withErrors(['overrule' => 'Something stops this plan. Change it, or write down why you go on all the same.']);
        }
        $box = DB::transaction(function () use ($choices, $answer, $reason): Box {
            $box = Box::query()->create([
                'network_id' => Network::home()->id, 'stage' => Box::PLANNED, 'board' => $choices->board, 'supply' => $choices->supply,
                'cable' => $choices->cable, 'drive' => $choices->drive, 'link' => $choices->link->value,
            ]);
            $box->jobs()->create(['role' => $choices->role]);
            JournalEntry::write($box, 'plan', "Planned as {$choices->input()->role->label}: {$answer->sentence()}");
            if (! $answer->fits()) {
                $stops = array_filter($answer->findings->list, fn (Finding $finding): bool => $finding->severity === Severity::Stop);
                JournalEntry::write($box, 'overruled', implode(' ', array_map(fn (Finding $finding): string => $finding->found, $stops))." Overruled: {$reason}");
            }

            return $box;
        });

        return redirect()->route('box.name', $box);
    }
}
