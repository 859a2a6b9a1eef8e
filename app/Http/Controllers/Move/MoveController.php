<?php

declare(strict_types=1);

namespace App\Http\Controllers\Move;

use App\BringUp\Asker;
use App\BringUp\RunStart;
use App\BringUp\StepTold;
use App\BringUp\TakeOver;
use App\Models\Box;
use App\Models\Desk;
use App\Models\Network;
use App\Models\Run;
use App\Models\Store;
use App\Move\KnownOfBox;
use Burrow\BringUp\Change;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\DoorState;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Move\Succession;
use Burrow\Move\SuccessionFindings;
use Burrow\Net\Ipv4;
use Burrow\Quantity\Bytes;
use DateTimeImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What a box does moves to another one, or comes from a desk computer: judged, begun as a run, and gone back from. */
final class MoveController
{
    /** Days for which the old card is kept where nobody says otherwise (common practice). */
    private const KEPT_DAYS = 30;

    /** Both ways of bringing data back, in the words of the step. */
    private const SCHOOLS = [
        'welcome' => 'Leave its first page as it is: it offers to restore a backup there, before anybody has an account. Nothing is typed into it before that.',
        'dummy' => 'Go through its wizard with settings that mean nothing: a name, an account that will be gone, no devices. Then find the place where a backup is uploaded.',
    ];

    private const MOST_GIGABYTES = 20_000;

    /** Ports that are asked before somebody goes back: what nearly every machine answers to. */
    private const ASKED = [22, 80, 443];

    public function __construct(
        private readonly Household $house,
        private readonly KnownOfBox $known,
        private readonly RunStart $start,
        private readonly TakeOver $takeOver,
    ) {
    }

    public function show(Request $request, Box $box): View
    {
        abort_unless($box->stage->stands(), 404);
        $to = Box::query()->find($request->integer('to'));
        $size = (float) $request->string('backup_gb')->limit(8, '')->value();
        $size = $size > 0 && $size <= self::MOST_GIGABYTES ? $size : 1.0;
        $times = Succession::times(Bytes::of((int) ($size * 1e9)));

        return view('move.move', [
            'box' => $box,
            'to' => $to,
            'others' => Box::query()
                ->here()
                ->whereNotNull('name')
                ->whereKeyNot($box->id)
                ->orderBy('name')
                ->get(['id', 'name', 'stage']),
            'succession' => $to === null ? null : $this->succession($box, $to),
            'findings' => $to === null ? Findings::of() : $this->judged($box, $to),
            'size' => rtrim(rtrim(number_format($size, 1, '.', ''), '0'), '.'),
            'times' => $times,
            'dark' => Succession::dark($times),
            'until' => now(Network::zone())->addDays(self::KEPT_DAYS)->format('Y-m-d'),
            'desks' => Desk::query()->orderBy('name')->pluck('name')->all(),
        ]);
    }

    /** Another box takes this one's place. */
    public function begin(Request $request, Box $box): RedirectResponse
    {
        abort_unless($box->stage->stands(), 404);
        $to = Box::query()->find($request->integer('to'));
        $back = redirect()
            ->route('box.move', [$box] + ($to === null ? [] : ['to' => $to->id]))
            ->withInput($request->only(['school', 'kept_until']));
        if ($to === null) {
            return $back->with('told', 'Choose the box that is to take over.');
        }
        $findings = $this->judged($box, $to);
        if ($findings->blocks()) {
            return $back->with('told', "{$findings->list[0]->found} {$findings->list[0]->advice()}");
        }
        $until = $request->string('kept_until')->value();
        if (! self::isDay($until)) {
            return $back->with(
                'told',
                'The old card is kept until a day from tomorrow on, within two years, as 2027-01-31.',
            );
        }
        $succession = $this->succession($box, $to) ?? abort(404);
        $school = $request->string('school')->value();

        return $this->run($to, Change::Move, $back, [
            'from_box' => (string) $box->id,
            'from_name' => (string) $box->name,
            'old_user' => $box->user ?? 'warden',
            'new_address' => (string) $box->address,
            'holders' => implode(', ', $succession->holders) ?: 'nobody that is on record',
            'restore_how' => self::SCHOOLS[$school] ?? self::SCHOOLS['welcome'],
            'parts_words' => implode(
                ' ',
                array_map(
                    fn (array $one): string => ucfirst($one['part']).
                        ": {$one['from']} before, {$one['to']} now.",
                    $succession->parts,
                ),
            ),
            'kept_until' => $until,
            'today' => now(Network::zone())->format('Y-m-d'),
            'inventory' => implode("\n", $succession->counted),
            ...$request->boolean('takes_name') ? ['new_name' => (string) $box->name] : [],
            ...$request->boolean('takes_disk') ? ['takes_disk' => 'yes'] : [],
        ]);
    }

    /** A program on a desk computer hands over to this box. */
    public function fromDesk(Request $request, Box $box): RedirectResponse
    {
        abort_unless($box->stage->stands(), 404);
        $back = redirect()
            ->route('box.move', $box)
            ->withInput($request->only(['program', 'desk_name']));
        $program = $request->string('program')->value();
        $desk = $request->string('desk_name')->value();
        if ($program === '' || $desk === '') {
            return $back->with('told', 'Say which program it is, and on which desk computer.');
        }

        return $this->run($box, Change::FromDesk, $back, [
            'from_name' => $program,
            'desk_name' => $desk,
            'kept_until' => now(Network::zone())->addDays(self::KEPT_DAYS)->format('Y-m-d'),
            'inventory' => '',
        ]);
    }

    /** The way back, before somebody goes it. */
    public function way(Run $run): View
    {
        abort_unless($run->changes() === Change::Move && $this->takeOver->canGoBack($run), 404);

        return view('move.back', ['run' => $run->load('box'), 'from' => $this->takeOver->from($run)]);
    }

    /** Both are asked for first: the new one must be off, or the old one would be the second at its address. */
    public function back(Run $run): RedirectResponse
    {
        abort_unless($run->changes() === Change::Move, 404);
        $address = Ipv4::tryParse((string) $run->box->address);
        $asker = app()->makeWith(Asker::class, ['box' => $run->box]);
        foreach (self::ASKED as $port) {
            if ($address !== null && $asker->door($address, $port) !== DoorState::Silent) {
                return redirect()
                    ->route('run.back', $run)
                    ->with(
                        'told',
                        "{$run->box->called()} still answers at {$address}. Shut it down first: never two at one address. Nothing was changed.",
                    );
            }
        }
        try {
            $this->takeOver->back($run);
        } catch (StepTold $told) {
            return redirect()->route('run', $run)->with('told', $told->getMessage());
        }

        return redirect()
            ->route('box', $this->takeOver->from($run) ?? $run->box)
            ->with(
                'told',
                'It has its address on record again. Enter its reservation in the router, put its card in, and give it its power.',
            );
    }

    /** @param  array<string, string>  $words */
    private function run(Box $to, Change $change, RedirectResponse $back, array $words): RedirectResponse
    {
        try {
            return redirect()->route('run', $this->start->moveTo($to, $change, $words));
        } catch (StepTold $told) {
            return $back->with('told', $told->getMessage());
        }
    }

    private function judged(Box $from, Box $to): Findings
    {
        return $from->id === $to->id
            ? Findings::of(SuccessionFindings::sameBox())
            : $this->succession($from, $to)->findings ??
                    Findings::of(SuccessionFindings::notUpYet($to->called()));
    }

    private function succession(Box $from, Box $to): ?Succession
    {
        $held = fn (Box $box): ?HeldBox => collect($this->house->boxes())->first(
            fn (HeldBox $one): bool => $one->id === $box->id,
        );
        $old = $held($from);
        $new = $held($to);

        return $old === null || $new === null
            ? null
            : Succession::of(
                $this->house,
                $old,
                $new,
                $this->known->of($from),
                array_values(
                    array_filter(
                        Store::query()->where('box_id', $from->id)->pluck('share')->all(),
                        is_string(...),
                    ),
                ),
            );
    }

    private static function isDay(string $typed): bool
    {
        $day =
            preg_match('/^\d{4}-\d\d-\d\d$/D', $typed) === 1
                ? DateTimeImmutable::createFromFormat('!Y-m-d', $typed)
                : false;

        return $day !== false &&
            $day->format('Y-m-d') === $typed &&
            $day > new DateTimeImmutable('today') &&
            $day < new DateTimeImmutable('+2 years');
    }
}
