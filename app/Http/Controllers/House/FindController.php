<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Catalogue\Catalogue;
use App\Catalogue\Playbooks;
use App\House\Codes;
use App\House\Rooms;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Medium;
use App\Models\RunStep;
use App\Models\Service;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\BoardClass;
use Illuminate\Http\Request;

/** Finds a box, a port, an address, a page, a step, a code or a line of the journal. */
final class FindController
{
    private const MOST = 8;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Playbooks $playbooks,
    ) {
    }

    public function __invoke(Request $request): string
    {
        $sought = $request->string('q')->value();
        $like = '%'.addcslashes($sought, '%_\\').'%';
        $none = $sought === '';

        return view('find', [
            'sought' => $sought,
            'boxes' => $none
                ? collect()
                : Box::query()
                    ->where(
                        fn ($query) => $query
                            ->where('name', 'like', $like)
                            ->orWhere('address', 'like', $like)
                            ->orWhere('mac', 'like', $like)
                            ->orWhereIn('board', $this->called($this->catalogue->shelf()->boards, $sought))
                            ->orWhereHas(
                                'jobs',
                                fn ($jobs) => $jobs->whereIn(
                                    'job',
                                    $this->called($this->catalogue->shelf()->jobs, $sought),
                                ),
                            ),
                    )
                    ->orderBy('name')
                    ->limit(self::MOST)
                    ->get(),
            'services' => $none
                ? collect()
                : Service::query()
                    ->with('box')
                    ->where(
                        fn ($query) => $query
                            ->where('port', ctype_digit($sought) ? (int) $sought : 0)
                            ->orWhere('purpose', 'like', $like),
                    )
                    ->orderBy('port')
                    ->limit(self::MOST)
                    ->get(),
            'media' => $none
                ? collect()
                : Medium::query()
                    ->where(
                        fn ($query) => $query->where('label', 'like', $like)->orWhere('serial', 'like', $like),
                    )
                    ->orderBy('label')
                    ->limit(self::MOST)
                    ->get(),
            'rooms' => mb_strlen($sought) < 3 ? [] : $this->rooms($request, $sought),
            'codes' => mb_strlen($sought) < 4 ? [] : Codes::called($sought, self::MOST),
            'steps' => mb_strlen($sought) < 4 ? [] : $this->steps($sought),
            'entries' => mb_strlen($sought) < 3
                    ? collect()
                    : JournalEntry::query()
                        ->with('box')
                        ->shownTo($request->user())
                        ->where('text', 'like', $like)
                        ->orderByDesc('at')
                        ->limit(self::MOST)
                        ->get(),
        ])->fragmentIf($request->hasHeader('HX-Request') && ! $request->hasHeader('HX-Boosted'), 'found');
    }

    /** @return list<array{title: string, url: string}> pages; a guest is shown none that opens for keepers alone */
    private function rooms(Request $request, string $sought): array
    {
        $keeper = $request->user()?->isKeeper() === true;

        return array_values(
            array_filter(
                Rooms::called($sought, self::MOST),
                fn (array $one): bool => $keeper || Rooms::isForGuests($one['route']),
            ),
        );
    }

    /** @return list<array{title: string, run: int, box: string}> steps of the house's own runs, by their titles */
    private function steps(string $sought): array
    {
        $titles = [];
        foreach ($this->playbooks->titles() as $id => $title) {
            mb_stripos($title, $sought) !== false && ($titles[$id] = $title);
        }
        $steps = [];
        foreach (
            RunStep::query()
                ->with('run.box')
                ->whereIn('step', array_keys($titles))
                ->latest('id')
                ->limit(self::MOST)
                ->get() as $step
        ) {
            $steps[] = [
                'title' => $titles[$step->step],
                'run' => (int) $step->run->id,
                'box' => $step->run->box->called(),
            ];
        }

        return $steps;
    }

    /**
     * @param  array<string, BoardClass|Job>  $entries
     * @return list<string> ids of those whose label has the text in it
     */
    private function called(array $entries, string $sought): array
    {
        return array_values(
            array_map(
                fn (BoardClass|Job $entry): string => $entry->id,
                array_filter(
                    $entries,
                    fn (BoardClass|Job $entry): bool => mb_stripos($entry->label, $sought) !== false,
                ),
            ),
        );
    }
}
