<?php

declare(strict_types=1);

namespace App\Http\Controllers\Move;

use App\BringUp\RunBook;
use App\BringUp\RunStart;
use App\BringUp\StepTold;
use App\Catalogue\Catalogue;
use App\Catalogue\Playbooks;
use App\Household\Rows\BoxRows;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Run;
use App\Models\Store;
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
use Burrow\Plan\StartFrom;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;

/** Another board, supply, card, disk or case for a box in service: whether it does, what is done, and the way back. */
final class PartsController
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Playbooks $playbooks,
    ) {
    }

    public function show(Request $request, Box $box): View
    {
        $new = $this->with($request, $box);
        $swap = $this->swap($request, $box, $new);
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
            'notLed' => ($notLed = $this->notLed($box, $new, $swap)),
            'book' => $notLed === null && $box->stage->stands() ? $this->ahead($box, $new, $swap) : null,
            'alike' => $request->string('alike')->value(),
            'alikes' => array_filter(
                PartSwap::PARTS,
                fn (string $part): bool => ($box->getAttribute($part) ?? '') !== '',
                ARRAY_FILTER_USE_KEY,
            ),
            'stores' => $swap->has('drive') ? $this->stores($box) : collect(),
        ]);
    }

    public function keep(Request $request, Box $box): RedirectResponse
    {
        $new = $this->with($request, $box);
        $swap = $this->swap($request, $box, $new);
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

    /** As a run of its own, step by step, with a way back at each. */
    public function lead(Request $request, Box $box, RunStart $start): RedirectResponse
    {
        abort_unless($box->stage->stands(), 409, 'It is not up yet.');
        $new = $this->with($request, $box);
        $swap = $this->swap($request, $box, $new);
        $parts = self::parts($new, $swap);
        $keeps = $swap->has('drive') && ! self::startsFromDrive($box);
        $store = $keeps ? $this->stores($box)->firstWhere('id', $request->integer('store')) : null;
        $against =
            $this->notLed($box, $new, $swap) ??
            ($keeps && $store === null ? 'Choose what lies on the disk that is changed.' : null);
        if ($against !== null) {
            return redirect()
                ->route('box.parts', [
                    $box,
                    ...array_filter($parts + ['alike' => $request->string('alike')->value()]),
                ])
                ->with('told', $against);
        }
        try {
            return redirect()->route(
                'run',
                $start->swap(
                    $box,
                    self::change($box, $swap),
                    $parts,
                    $this->words($swap, $box, $new),
                    $store,
                ),
            );
        } catch (StepTold $told) {
            return redirect()->route('box', $box)->with('told', $told->getMessage());
        }
    }

    /** What its system is on is copied whole, while the box is off: a drive that it starts from is like a card. */
    private static function change(Box $box, PartSwap $swap): Change
    {
        return match (true) {
            $swap->has('board') => Change::OtherBoard,
            $swap->has('card') => Change::OtherCard,
            $swap->has('drive') => self::startsFromDrive($box) ? Change::OtherCard : Change::OtherDisk,
            default => Change::OtherParts,
        };
    }

    private static function startsFromDrive(Box $box): bool
    {
        return BoxRows::parts($box->getAttributes())->startFrom === StartFrom::Drive->value;
    }

    /** @return array<string, ?string> field => id of what is another part */
    private static function parts(Box $new, PartSwap $swap): array
    {
        return array_map(fn (mixed $id): ?string => is_string($id) ? $id : null, $new->only($swap->changed));
    }

    /** The run as it would be, before it is begun. */
    private function ahead(Box $box, Box $new, PartSwap $swap): RunBook
    {
        $run = new Run([
            'adds' => [],
            'change' => self::change($box, $swap)->value,
            'learned' => ['parts' => json_encode(self::parts($new, $swap), JSON_THROW_ON_ERROR)],
        ]);

        return new RunBook(
            $run->setRelation('box', $box->loadMissing(['jobs', 'network']))->setRelation('steps', collect()),
            $this->playbooks,
        );
    }

    /** Why nobody is led through this swap; null where somebody is. */
    private function notLed(Box $box, Box $new, PartSwap $swap): ?string
    {
        $name = $box->called();

        return $swap->notAtOnce() ??
            match (true) {
                ! $swap->has('drive') => null,
                ($box->drive ?? '') === '' => 'A first disk comes with a job that keeps files: give it more to do.',
                ($new->drive ?? '') === '' => 'A disk that goes without another in its place takes what lies on it along: take away the job first.',
                self::startsFromDrive($box) => null,
                $this->stores($box)->isEmpty() => "Nothing is on record of what lies on the disk of {$name}. It gets there when the steps of its job are played.",
                default => null,
            };
    }

    /** @return Collection<int, Store> what lies on its disks, as far as the run can tell it by a UUID */
    private function stores(Box $box): Collection
    {
        return Store::query()->where('box_id', $box->id)->whereNotNull('uuid')->orderBy('id')->get();
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
                    ($box->getAttribute($part) === $new->getAttribute($part)
                        ? 'another one of the same kind'
                        : $this->label($part, $new->getAttribute($part))),
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

    private function swap(Request $request, Box $box, Box $new): PartSwap
    {
        return PartSwap::of(
            BoxRows::parts($box->getAttributes()),
            BoxRows::parts($new->getAttributes()),
            $request->string('alike')->value(),
        );
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
