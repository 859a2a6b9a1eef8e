<?php

declare(strict_types=1);

namespace App\Http\Controllers\Upkeep;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Jobs\FetchReports;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Report;
use App\Models\Service;
use App\Models\Telling;
use App\Upkeep\ReportKey;
use App\Upkeep\Taken;
use App\Upkeep\TakeReport;
use Burrow\BringUp\Playbook\HouseWords;
use Burrow\Household\Household;
use Burrow\Household\WhoReaches;
use Burrow\Judgement\Findings;
use Burrow\Net\Mac;
use Burrow\Text\ShellWord;
use Burrow\Upkeep\Report\Difference;
use Burrow\Upkeep\Report\Drift;
use Burrow\Upkeep\Report\ReportConcern;
use Burrow\Upkeep\Report\ReportReader;
use Burrow\Upkeep\Report\ReportScript;
use Burrow\Upkeep\Report\ReportUnits;
use Burrow\Upkeep\UpkeepFindings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** How a box is, as it tells it itself; what of it is not as the record has it is answered here, once. */
final class ReportController
{
    /** Days that a difference is left alone. */
    private const LATER = 30;

    public function show(Request $request, Box $box, Household $house): View
    {
        $held = collect($house->boxes())->firstWhere('id', $box->id);
        $told = $held === null ? null : $house->report($held);

        return view('upkeep.report', [
            'box' => $box,
            'told' => $told,
            'open' => $held === null || $told === null ? [] : Drift::of($house, $held, $told),
            'last' => Report::query()
                ->where('box_id', $box->id)
                ->latest('id')
                ->first(['came', 'made_at', 'received_at']),
            'off' => $told === null || $told->report->madeAt === null
                    ? 0
                    : $told->report->madeAt - $told->at->getTimestamp(),
            'clock' => ReportConcern::CLOCK,
            'judged' => session('no_report') === true
                    ? Findings::of(UpkeepFindings::noReportInText())
                    : Findings::of(),
            'token' => is_string(session('token')) ? session('token') : null,
            'service' => ReportUnits::service(
                preg_match('/^[a-z_][a-z0-9_-]{0,31}$/D', (string) $box->user) === 1
                    ? (string) $box->user
                    : 'root',
                $request->root().'/report',
            ),
            'timer' => ReportUnits::timer(),
            'key' => ReportUnits::authorizedKey(ReportKey::public()),
        ]);
    }

    public function script(): Response
    {
        return response($this->scriptText(), 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="burrow-report"',
        ]);
    }

    private function scriptText(): string
    {
        return ReportScript::text(HouseWords::engine(Network::home()->engine)['engine']);
    }

    /** Pasted, or as a file. */
    public function take(Request $request, Box $box, TakeReport $take): RedirectResponse
    {
        $file = $request->file('report_file');
        $text =
            $file instanceof \Illuminate\Http\UploadedFile && $file->isValid()
                ? (string) file_get_contents($file->getRealPath(), length: ReportReader::MOST)
                : $request->string('report')->value();
        $taken = $take->take($box, $text, $file === null ? 'pasted' : 'file');
        $back = redirect()->route('box.report', $box);

        return $taken === Taken::None
            ? $back->withInput(['report' => mb_substr(mb_scrub($text), 0, 20_000)])->with('no_report', true)
            : $back->with('told', $taken->words());
    }

    /** A token by which the box is known when it sends by itself; shown once. The one before is none any more. */
    public function token(Request $request, Box $box): RedirectResponse
    {
        $back = redirect()->to(route('box.report', $box).'#by-itself');
        if ($request->boolean('away')) {
            $box->update(['report_token' => null, 'report_token_at' => null]);
            $this->recordAgain($box, fn (array $kept): array => $kept);
            JournalEntry::write($box, 'report', "The token of {$box->called()} is taken back.");

            return $back->with('told', 'Its token is none any more; what it sends is refused.');
        }
        $token = rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
        $box->update(['report_token' => hash('sha256', $token), 'report_token_at' => now()]);
        $this->recordAgain($box, fn (array $kept): array => $kept);
        JournalEntry::write($box, 'report', "{$box->called()} has a token to send its reports with.");

        return $back->with('token', $token);
    }

    /** Fetches it now by remote login, and each day from now on; or no longer. */
    public function fetch(Request $request, Box $box): RedirectResponse
    {
        $back = redirect()->to(route('box.report', $box).'#fetched');
        if ($request->boolean('away')) {
            $box->update(['fetched_at' => null, 'fetch_wrong' => null]);
            JournalEntry::write($box, 'report', "Reports of {$box->called()} are fetched no more.");

            return $back->with('told', 'It is fetched no more; take the key off the box as well.');
        }
        // A box that takes its time is waited for in the queue, and by nobody who opens a page.
        dispatch(new FetchReports($box->id));

        return $back->with('told', 'It is being fetched; look again in a moment.');
    }

    /** The bench's board lays down the script and ties the key to it, as a person would who types it. */
    public function onBench(Box $box, BenchClient $bench): RedirectResponse
    {
        abort_unless($box->on_bench, 404);
        $script = ReportUnits::SCRIPT;
        $typed = [
            "sudo tee {$script} <<'SCRIPT'\n".$this->scriptText()."SCRIPT\nsudo chmod 755 {$script}",
            'echo '.
            ShellWord::quoted(ReportUnits::authorizedKey(ReportKey::public())).
            ' >> ~/.ssh/authorized_keys',
        ];
        $back = redirect()->to(route('box.report', $box).'#fetched');
        try {
            foreach ($typed as $command) {
                $bench->ask(['do' => 'type', 'board' => "box-{$box->id}", 'command' => $command]);
            }
        } catch (BenchAway $away) {
            return $back->with('told', $away->getMessage());
        }

        return $back->with('told', 'The bench board has the script, and its line.');
    }

    /** A difference is answered: it is so, it is put right, or it is left alone until later. */
    public function answer(Request $request, Box $box, Household $house): RedirectResponse
    {
        $key = $request->string('difference')->value();
        $held = collect($house->boxes())->firstWhere('id', $box->id);
        $told = $held === null ? null : $house->report($held);
        $one =
            $held === null || $told === null
                ? null
                : collect(Drift::of($house, $held, $told))->first(
                    fn (Difference $each): bool => $each->key === $key,
                );
        $back = redirect()->to(route('box.report', $box).'#differences');
        if ($one === null || $told === null) {
            return $back->with('told', 'This is no longer so.');
        }
        $answer = $request->string('answer')->value();
        if ($answer === 'later') {
            $this->recordAgain(
                $box,
                fn (array $kept): array => [
                    'answered' => [$key => now()->addDays(self::LATER)->getTimestamp()] +
                        (is_array($kept['answered'] ?? null) ? $kept['answered'] : []),
                ] + $kept,
            );
            JournalEntry::write($box, 'report', "Left alone for a month: {$one->found}");

            return $back->with('told', 'It is left alone for thirty days.');
        }
        if ($answer !== 'record' || $one->record === '') {
            return $back->with('told', 'How is it answered?');
        }
        $this->record($box, $one, $told->report->macs[0] ?? null);
        JournalEntry::write($box, 'report', "Recorded as it is: {$one->found}");

        return $back->with('told', 'It is in the record now.');
    }

    private function record(Box $box, Difference $one, ?string $mac): void
    {
        [$kind, $what] = [...explode(' ', $one->key, 2), ''];
        $known = fn (array $kept, string $list): array => [
            $list => [...is_array($kept[$list] ?? null) ? $kept[$list] : [], $what],
        ] + $kept;
        match ($kind) {
            'port' => Service::query()->firstOrCreate(
                ['box_id' => $box->id, 'port' => (int) $what, 'protocol' => substr($what, -3)],
                ['purpose' => 'found by its report', 'reach' => WhoReaches::House->value],
            ),
            'gone' => Service::query()
                ->where('box_id', $box->id)
                ->where('port', (int) $what)
                ->where('protocol', substr($what, -3))
                ->delete(),
            'board' => $mac !== null && Mac::tryParse($mac) !== null && $box->update(['mac' => $mac]),
            'release' => $this->recordAgain($box, fn (array $kept): array => ['release' => $what] + $kept),
            'further' => $this->recordAgain($box, fn (array $kept): array => $known($kept, 'further')),
            'account' => $this->recordAgain($box, fn (array $kept): array => $known($kept, 'accounts')),
            'key' => $this->recordAgain($box, fn (array $kept): array => $known($kept, 'keys')),
            default => null,
        };
        $this->recordAgain($box, fn (array $kept): array => $kept);
    }

    /**
     * What is kept beside the report is made anew; when it was told stays as it is.
     *
     * @param  callable(array<mixed>): array<mixed>  $change
     */
    private function recordAgain(Box $box, callable $change): void
    {
        Telling::change(
            $box,
            Telling::REPORT,
            fn (array $kept): array => ['report' => $kept['report'] ?? []] +
                TakeReport::recorded(
                    $box->refresh(),
                    $change($kept),
                    $box->stores()->pluck('mount_point')->all(),
                ),
        );
    }
}
