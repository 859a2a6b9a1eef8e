<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Household\RecordStamp;
use App\Models\Box;
use App\Upkeep\Arrival;
use App\Upkeep\ReportInbox;
use App\Upkeep\TakeReport;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\QueryException;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Reads the reports that wait in the inbox, the oldest of each box first, some boxes at a time. */
final class TakeReports implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    /** Seconds of one round; other work of the queue comes in between. */
    private const BUDGET = 5.0;

    private const AT_ONCE = 50;

    /** Bytes of text that are in memory at once, beside the one that goes over it. */
    private const MOST_BYTES = 2_000_000;

    public int $uniqueFor = 120;

    public int $tries = 1;

    /** Asked by the worker whenever it looks for work; where the database is away it asks again in a moment. */
    public static function ifAnyWait(): void
    {
        try {
            DB::table('report_inbox')->where('taken', false)->exists() && dispatch(new self());
        } catch (QueryException $away) {
            report($away);
        }
    }

    public function handle(TakeReport $take, RecordStamp $stamp): void
    {
        $stamp->whileBoxesTell(fn () => $this->takeWhatWaits($take));
    }

    private function takeWhatWaits(TakeReport $take): void
    {
        $until = microtime(true) + self::BUDGET;
        do {
            $batch = $this->batch();
            $this->takeIn($take, $batch);
        } while ($batch->isNotEmpty() && microtime(true) < $until);
        DB::table('report_inbox')
            ->where('taken', true)
            ->where('received_at', '<', now()->subSeconds(ReportInbox::MINUTE))
            ->delete();
        $batch->isEmpty() || self::ifAnyWait();
    }

    /** @return Collection<int, object{id: int, box_id: int, received_at: string, text: string}> one of a box at most */
    private function batch(): Collection
    {
        $waiting = DB::table('report_inbox')
            ->where('taken', false)
            ->groupBy('box_id')
            ->selectRaw('MIN(id) AS id')
            ->orderBy('id')
            ->limit(self::AT_ONCE)
            ->pluck('id');
        $ids = [];
        $bytes = 0;
        $lengths = DB::table('report_inbox')
            ->whereIn('id', $waiting)
            ->orderBy('id')
            ->selectRaw('id, LENGTH(text) AS bytes');
        foreach ($lengths->pluck('bytes', 'id') as $id => $length) {
            $ids[] = $id;
            $bytes += is_numeric($length) ? (int) $length : 0;
            if ($bytes > self::MOST_BYTES) {
                break;
            }
        }

        /** @var Collection<int, object{id: int, box_id: int, received_at: string, text: string}> $batch */
        $batch = DB::table('report_inbox')
            ->whereIn('id', $ids)
            ->orderBy('id')
            ->get(['id', 'box_id', 'received_at', 'text']);

        return $batch;
    }

    /** @param  Collection<int, object{id: int, box_id: int, received_at: string, text: string}>  $batch */
    private function takeIn(TakeReport $take, Collection $batch): void
    {
        if ($batch->isEmpty()) {
            return;
        }
        $boxes = Box::query()->whereIn('id', $batch->pluck('box_id'))->get()->keyBy('id');
        $arrivals = [];
        foreach ($batch as $row) {
            $box = $boxes[$row->box_id] ?? null;
            if ($box !== null) {
                $arrivals[] = new Arrival(
                    $box,
                    $row->text,
                    'pushed',
                    Carbon::parse($row->received_at, 'UTC'),
                );
            }
        }
        try {
            $take->takeAll($arrivals);
        } catch (Throwable) {
            // One of them cannot be kept: the others can.
            foreach ($arrivals as $one) {
                try {
                    $take->takeAll([$one]);
                } catch (Throwable $problem) {
                    report($problem);
                }
            }
        }
        DB::table('report_inbox')
            ->whereIn('id', $batch->pluck('id'))
            ->update(['taken' => true, 'text' => '']);
    }
}
