<?php

declare(strict_types=1);

namespace App\Http\Controllers\Move;

use App\BringUp\RunStart;
use App\BringUp\StepTold;
use App\Catalogue\Catalogue;
use App\Household\Rows\BoxRows;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Plan\BoxPlan;
use Burrow\BringUp\Change;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Cable;
use Burrow\Catalogue\Part\CardKind;
use Burrow\Catalogue\Part\Cooling;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\Enclosure;
use Burrow\Catalogue\Part\Supply;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Move\PartSwap;
use Burrow\Plan\PlanAnswer;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Another board, supply, card or disk for a box in service: whether it does, what is done, and the way back. */
final class PartsController
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function show(Request $request, Box $box): View
    {
        $new = $this->with($request, $box);
        $swap = $this->swap($box, $new);
        $before = $this->judged($box);
        $after = $this->judged($new);

        return view('move.parts', [
            'box' => $box,
            'new' => $new,
            'swap' => $swap,
            'options' => $this->options(),
            'known' => $after !== null,
            'gone' => $this->less($before, $after),
            'comes' => $this->less($after, $before),
            'stays' => count($after->list ?? []),
        ]);
    }

    public function keep(Request $request, Box $box): RedirectResponse
    {
        $new = $this->with($request, $box);
        $swap = $this->swap($box, $new);
        if ($swap->isEmpty()) {
            return redirect()->route('box.parts', $box)->with('told', 'Nothing is another part.');
        }
        $words = $this->words($swap, $box, $new);
        $box->update(
            $new->only($swap->changed) +
                array_fill_keys($swap->forgets(), null) + ['version' => $box->version + 1],
        );
        JournalEntry::write($box, 'parts', "{$box->called()} has other parts; {$words}.");

        return redirect()
            ->route('box', $box)
            ->with('told', 'It is written down. Now look whether it does its work.');
    }

    /** As a run of its own, step by step: its card goes into another board, or its board gets another card. */
    public function lead(Request $request, Box $box, RunStart $start): RedirectResponse
    {
        abort_unless($box->stage->stands(), 409, 'It is not up yet.');
        $new = $this->with($request, $box);
        $swap = $this->swap($box, $new);
        $change = match (true) {
            in_array('board', $swap->changed, true) => Change::OtherBoard,
            in_array('card', $swap->changed, true) => Change::OtherCard,
            default => null,
        };
        if ($change === null) {
            return redirect()
                ->route('box.parts', $box)
                ->with('told', 'Another board or another card is led through.');
        }
        try {
            $parts = array_map(
                fn (mixed $id): ?string => is_string($id) ? $id : null,
                $new->only($swap->changed),
            );

            return redirect()->route(
                'run',
                $start->swap($box, $change, $parts, $this->words($swap, $box, $new)),
            );
        } catch (StepTold $told) {
            return redirect()->route('box', $box)->with('told', $told->getMessage());
        }
    }

    /** "board: Flint → Cobble; supply: …" */
    private function words(PartSwap $swap, Box $box, Box $new): string
    {
        return implode(
            '; ',
            array_map(
                fn (string $part): string => PartSwap::PARTS[$part].
                    ': '.
                    $this->label($part, $box->getAttribute($part)).
                    ' → '.
                    $this->label($part, $new->getAttribute($part)),
                $swap->changed,
            ),
        );
    }

    /** The box as it would be; what is no part of the catalogue stays as it is. */
    private function with(Request $request, Box $box): Box
    {
        $new = $box->replicate();
        $new->setRelation('jobs', $box->jobs);
        foreach ($this->options() as $part => $options) {
            $said = $request->string($part)->value();
            if ($request->has($part) && isset($options[$said])) {
                $new->setAttribute($part, $said === '' ? null : $said);
            }
        }

        return $new;
    }

    private function swap(Box $box, Box $new): PartSwap
    {
        return PartSwap::of(BoxRows::parts($box->getAttributes()), BoxRows::parts($new->getAttributes()));
    }

    /** Null where the record does not hold enough of the box to be judged. */
    private function judged(Box $box): ?Findings
    {
        $plan = BoxPlan::of($box, $this->catalogue);

        return $plan === null
            ? null
            : Findings::of(
                ...array_filter(
                    PlanAnswer::findings($plan)->list,
                    fn (Finding $one): bool => $one->severity !== Severity::Fine,
                ),
            );
    }

    /** @return list<Finding> those of one that the other has not, the gravest first */
    private function less(?Findings $these, ?Findings $those): array
    {
        $known = array_map(fn (Finding $one): string => $one->code, $those->list ?? []);

        return array_values(
            array_filter(
                $these?->gravestFirst()->list ?? [],
                fn (Finding $one): bool => ! in_array($one->code, $known, true),
            ),
        );
    }

    /** @return array<string, array<string, string>> labels by id, by part */
    private function options(): array
    {
        $shelf = $this->catalogue->shelf();

        return [
            'board' => array_map(fn (BoardClass $one): string => $one->label, $shelf->boards),
            'supply' => array_map(fn (Supply $one): string => $one->label, $shelf->supplies),
            'cable' => array_map(fn (Cable $one): string => $one->label, $shelf->cables),
            'card' => array_map(fn (CardKind $one): string => $one->label, $shelf->cards),
            'drive' => ['' => 'none'] + array_map(fn (Drive $one): string => $one->label, $shelf->drives),
            'case' => array_map(fn (Enclosure $one): string => $one->label, $shelf->cases),
            'cooling' => ['' => 'none'] + array_map(fn (Cooling $one): string => $one->label, $shelf->coolings),
        ];
    }

    private function label(string $part, mixed $id): string
    {
        $id = is_string($id) ? $id : '';

        return $this->options()[$part][$id] ?? ($id === '' ? 'not known' : $id);
    }
}
