<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Report;
use App\Models\Telling;
use Burrow\Household\BoxReport;
use Burrow\Upkeep\Report\ReportReader;
use Illuminate\Support\Facades\DB;

/**
 * Takes reports in, by whichever way they came: pasted, pushed or pulled; one, or one each of many boxes in as many
 * statements.
 */
final readonly class TakeReport
{
    /** Reports of a box that are kept word for word. */
    private const KEPT = 5;

    /** How often it is tried where two who write hold each other up: what was acknowledged is not lost by that. */
    private const TRIES = 3;

    public function __construct(private ReportReader $reader)
    {
    }

    public function take(Box $box, string $text, string $came): Taken
    {
        return $this->takeAll([new Arrival($box, $text, $came, now())])[$box->id];
    }

    /**
     * @param  list<Arrival>  $arrivals  one of a box at most
     * @return array<int, Taken> what became of each, by the box's id
     */
    public function takeAll(array $arrivals): array
    {
        $taken = $read = [];
        foreach ($arrivals as $one) {
            $text = mb_scrub(substr($one->text, 0, ReportReader::MOST), 'UTF-8');
            $report = $this->reader->read($text);
            $taken[$one->box->id] = Taken::None;
            if ($report !== null) {
                $read[$one->box->id] = new ReadReport($one, $report, $text, hash('sha256', $text));
            }
        }

        return ($read === [] ? [] : DB::transaction(fn (): array => $this->keep($read), self::TRIES)) + $taken;
    }

    /**
     * @param  non-empty-array<int, ReadReport>  $read  by box
     * @return array<int, Taken>
     */
    private function keep(array $read): array
    {
        // Two at once of one box wait for each other, so that the later one is the later one.
        $there = Box::query()
            ->whereIn('id', array_keys($read))
            ->orderBy('id')
            ->lockForUpdate()
            ->get(['id', 'updated_system_at']);
        $read = array_intersect_key($read, $there->keyBy('id')->all());
        foreach ($there as $box) {
            // As it is kept: what an attempt before changed in memory was taken back with it.
            $read[$box->id]->arrival->box->updated_system_at = $box->updated_system_at;
            $read[$box->id]->arrival->box->syncOriginal();
        }
        $ids = array_keys($read);
        $held = Report::query()
            ->whereIn('box_id', $ids)
            ->groupBy('box_id')
            ->selectRaw('box_id, MAX(made_at) AS latest, COUNT(*) AS held')
            ->toBase()
            ->get()
            ->keyBy('box_id');
        $known = Report::query()
            ->whereIn('box_id', $ids)
            ->whereIn('sum', array_map(fn (ReadReport $one): string => $one->sum, $read))
            ->toBase()
            ->get(['box_id', 'sum'])
            ->map(fn (object $one): string => "{$one->box_id} {$one->sum}")
            ->all();
        $taken = $rows = $new = [];
        foreach ($read as $id => $one) {
            if (in_array("{$id} {$one->sum}", $known, true)) {
                $taken[$id] = Taken::Known;

                continue;
            }
            $rows[] = $one->row();
            $latest = $held[$id]->latest ?? null;
            $older = is_string($latest) && $one->madeAt() !== null && $one->madeAt() < $latest;
            $taken[$id] = $older ? Taken::Older : Taken::New;
            $older || ($new[$id] = $one);
        }
        $rows === [] || Report::query()->insert($rows);
        foreach ($held as $id => $of) {
            ((int) $of->held) >= 2 * self::KEPT && $this->thin((int) $id);
        }
        $new === [] || $this->remember($new);

        return $taken;
    }

    /** Only the last ones of a box stay. */
    private function thin(int $box): void
    {
        $from = Report::query()
            ->where('box_id', $box)
            ->orderByDesc('id')
            ->offset(self::KEPT - 1)
            ->value('id');
        Report::query()->where('box_id', $box)->where('id', '<', $from)->delete();
    }

    /** @param  non-empty-array<int, ReadReport>  $new  by box */
    private function remember(array $new): void
    {
        $kept = Telling::keptOf(array_keys($new), Telling::REPORT);
        $stores = DB::table('stores')
            ->whereIn('box_id', array_keys($new))
            ->orderBy('id')
            ->get(['box_id', 'mount_point'])
            ->groupBy('box_id');
        $told = $at = [];
        foreach ($new as $id => $one) {
            // What was never recorded is as it is told first.
            $before = ($kept[$id] ?? []) + array_filter(['release' => $one->report->codename]);
            $mounts = ($stores[$id] ?? collect())->pluck('mount_point')->all();
            $told[$id] = ['report' => $one->report] + self::recorded($one->arrival->box, $before, $mounts);
            $at[$id] = $one->arrival->at;
        }
        Telling::putAll(Telling::REPORT, $told, $at);
        (new ReportSamples())->keep($new);
        foreach ($new as $id => $one) {
            $this->isUpToDate($one);
            $before = $kept[$id]['report'] ?? null;
            $this->tell(
                $one->arrival->box,
                BoxReport::kept(is_array($before) ? $before : []),
                $one->report,
                $before === null,
            );
        }
    }

    /** That it is up to date is what it shows, not a click. */
    private function isUpToDate(ReadReport $one): void
    {
        $box = $one->arrival->box;
        if (
            $one->report->isUpToDate() &&
            ($box->updated_system_at === null || $box->updated_system_at->lt(now()->subHour()))
        ) {
            $box->update(['updated_system_at' => now()]);
        }
    }

    private function tell(Box $box, BoxReport $before, BoxReport $now, bool $first): void
    {
        $happened = array_filter([
            $first ? 'told how it is for the first time' : null,
            $before->release !== null && $now->release !== null && $before->release !== $now->release
                ? "runs {$now->release}, before {$before->release}"
                : null,
            $before->uptimeSeconds !== null &&
            $now->uptimeSeconds !== null &&
            $now->uptimeSeconds < $before->uptimeSeconds
                ? 'was started again'
                : null,
            $before->pending !== null && $before->pending !== [] && $now->isUpToDate()
                ? 'is up to date'
                : null,
        ]);
        if ($happened !== []) {
            JournalEntry::write(
                $box,
                'report',
                "{$box->called()} ".implode('; ', $happened).'.',
                'the burrow itself',
            );
        }
    }

    /**
     * What the record holds beside, with what was answered before.
     *
     * @param  array<mixed>  $kept
     * @param  array<mixed>  $mounts  where the box's stores are mounted
     * @return array<string, mixed>
     */
    public static function recorded(Box $box, array $kept, array $mounts): array
    {
        $texts = fn (string $key): array => array_values(
            array_filter(is_array($kept[$key] ?? null) ? $kept[$key] : [], is_string(...)),
        );

        return [
            'expected' => $box->report_token !== null || $box->fetched_at !== null,
            'accounts' => array_values(
                array_unique(array_filter([(string) $box->user, ...$texts('accounts')])),
            ),
            'keys' => array_values(
                array_unique(array_filter([(string) $box->login_fingerprint, ...$texts('keys')])),
            ),
            'mounts' => array_values(
                array_filter($mounts, fn (mixed $one): bool => is_string($one) && $one !== ''),
            ),
            'mac' => $box->mac,
            'release' => is_string($kept['release'] ?? null) ? $kept['release'] : null,
            'further' => $texts('further'),
            'answered' => array_filter(
                is_array($kept['answered'] ?? null) ? $kept['answered'] : [],
                is_int(...),
            ),
        ];
    }
}
