<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Probe\NotFetched;
use App\Upkeep\FetchReport;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Database\Eloquent\Builder;

/** Fetches reports of boxes that are to be fetched from, once a day each; some at a time, so that no round is long. */
final class FetchReports implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    /** Seconds of one round, below what the worker gives a job. */
    private const BUDGET = 20.0;

    public int $uniqueFor = 120;

    public int $tries = 1;

    /** @param  ?int  $box  the one that somebody asked for, due or not; else all that are due */
    public function __construct(private readonly ?int $box = null)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->box;
    }

    public function handle(FetchReport $fetch): void
    {
        $until = microtime(true) + self::BUDGET;
        $boxes = Box::query()
            ->standing()
            ->when(
                $this->box === null,
                fn (Builder $due) => $due->where('fetched_at', '<', now()->subDay()),
                fn (Builder $one) => $one->whereKey($this->box),
            )
            ->orderBy('fetched_at')
            ->limit(20)
            ->get();
        foreach ($boxes as $box) {
            if (microtime(true) > $until) {
                return;
            }
            try {
                $fetch->fetch($box->load('network'));
                if ($box->fetched_at === null) {
                    $text = "The report of {$box->called()} was fetched, and is each day from now on.";
                    JournalEntry::write($box, 'report', $text, 'the burrow itself');
                }
                $box->update(['fetched_at' => now(), 'fetch_wrong' => null]);
            } catch (NotFetched $why) {
                // It is tried again tomorrow, and its page says why it was not fetched today.
                $box->update(
                    ['fetch_wrong' => mb_substr($why->getMessage(), 0, 200)] +
                        // One that was never fetched is not fetched every day before it went well once.
                        ($box->fetched_at === null ? [] : ['fetched_at' => now()]),
                );
            }
        }
    }
}
