<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\Hours;
use Burrow\Household\Household;
use Burrow\Intake\Updates\UnattendedLog;
use Burrow\Intake\Updates\UnattendedRun;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Upkeep\Write\UnattendedFiles;
use Burrow\Upkeep\Write\UnattendedFindings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Carbon;

/** Updates of a box that install themselves: the files for its hours, and what they did, from its log. */
final class UnattendedController
{
    /** Rounds that are shown. */
    private const SHOWN = 30;

    public function __construct(private readonly Household $house)
    {
    }

    public function show(Request $request, Box $box): View
    {
        $held = $this->held($box);
        $restarts = ! $request->has('restarts') || $request->boolean('restarts');
        $files = self::files($this->house, $held, $restarts);

        return view('upkeep.unattended', [
            'box' => $box,
            'files' => $files,
            'restarts' => $restarts,
            'findings' => $this->against($held, $files),
            'wrong' => session('no_log') === true
                    ? Findings::of(UnattendedFindings::noUnattendedLog()->at(Place::field('log_text')))
                    : Findings::of(),
            'runs' => array_slice(array_reverse(self::runs(session('runs'))), 0, self::SHOWN),
        ]);
    }

    /** What it did is shown, and the newest round that went well is its last update. */
    public function read(Request $request, Box $box): RedirectResponse
    {
        $this->held($box);
        $text = $request->string('log_text')->value();
        $runs = UnattendedLog::read($text);
        $back = redirect()->to(route('box.unattended', $box).'#log');
        if ($runs === []) {
            return $back
                ->withInput(['log_text' => mb_substr(mb_scrub($text), 0, 20_000)])
                ->with('no_log', true);
        }
        $well = array_values(
            array_filter($runs, fn (UnattendedRun $one): bool => $one->well === true && ! $one->tried),
        );
        $last = $well === [] ? null : self::time(end($well)->at);
        $told = count($runs) === 1 ? 'One round is in it.' : count($runs).' rounds are in it.';
        if (
            $last !== null &&
            $last->isPast() &&
            ($box->updated_system_at === null || $last->gt($box->updated_system_at))
        ) {
            $box->update(['updated_system_at' => $last]);
            JournalEntry::write(
                $box,
                'update',
                'Updates installed themselves last on '.$last->format('j M Y H:i').', by its log.',
            );
            $told .= ' Its last update is that of '.$last->format('j M Y').'.';
        }

        return $back
            ->with('told', $told)
            ->with('runs', array_map(get_object_vars(...), array_slice($runs, -self::SHOWN)));
    }

    private static function files(Household $house, HeldBox $box, bool $restarts): UnattendedFiles
    {
        return UnattendedFiles::of(
            array_values(
                array_filter(
                    $house->hours(),
                    fn (Hours $one): bool => $one->kind === Hours::WINDOW && $one->isOf($box->name),
                ),
            ),
            $restarts,
        );
    }

    private function against(HeldBox $box, UnattendedFiles $files): Findings
    {
        $found = [];
        if ($files->shortest() < UnattendedFiles::SHORTEST) {
            $found[] = UnattendedFindings::windowShort($box->name, $files->shortest());
        }
        $what = $box->servesAll();
        $others =
            $what === ''
                ? []
                : array_filter(
                    $this->house->standing(),
                    fn (HeldBox $one): bool => $one->name !== $box->name &&
                        $one->servesAll() === $what &&
                        array_intersect(self::files($this->house, $one, true)->begins(), $files->begins()) !==
                            [],
                );
        if ($others !== []) {
            $found[] = UnattendedFindings::unattendedTogether(
                $box->name,
                array_values(array_map(fn (HeldBox $one): string => $one->name, $others)),
                $what,
            );
        }

        return Findings::of(...$found);
    }

    private function held(Box $box): HeldBox
    {
        $held = collect($this->house->standing())->first(fn (HeldBox $one): bool => $one->id === $box->id);
        abort_if($held === null, 404);

        return $held;
    }

    /** The box's clock is taken for the house's: its log names no zone. */
    private static function time(string $at): ?Carbon
    {
        return rescue(fn () => Carbon::createFromFormat('Y-m-d H:i:s', $at, Network::zone()), null, false) ?:
            null;
    }

    /** @return list<UnattendedRun> */
    private static function runs(mixed $kept): array
    {
        $runs = [];
        foreach (is_array($kept) ? $kept : [] as $one) {
            if (is_array($one) && is_string($one['at'] ?? null) && is_array($one['packages'] ?? null)) {
                $runs[] = new UnattendedRun(
                    $one['at'],
                    array_values(array_filter($one['packages'], is_string(...))),
                    is_bool($one['well'] ?? null) ? $one['well'] : null,
                    is_string($one['said'] ?? null) ? $one['said'] : '',
                    ($one['restarts'] ?? null) === true,
                    ($one['tried'] ?? null) === true,
                );
            }
        }

        return $runs;
    }
}
