<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\Box;
use App\Models\ConditionSample;
use App\Models\FillSample;
use App\Models\JournalEntry;
use App\Models\Listing;
use App\Models\Report;
use App\Models\Telling;
use Burrow\Household\BoxReport;
use Burrow\Upkeep\Report\ReportReader;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/** Takes a report in, by whichever way it came: pasted, pushed or pulled. */
final readonly class TakeReport
{
    /** Reports of a box that are kept word for word. */
    private const KEPT = 5;

    /** Seconds between two samples of a fill; a forecast wants days, not minutes. */
    private const SAMPLE = 6 * 3600;

    public function __construct(private ReportReader $reader)
    {
    }

    public function take(Box $box, string $text, string $came): Taken
    {
        $text = mb_scrub(substr($text, 0, ReportReader::MOST));
        $report = $this->reader->read($text);
        if ($report === null) {
            return Taken::None;
        }
        try {
            return DB::transaction(fn (): Taken => $this->keep($box, $report, $text, $came));
        } catch (UniqueConstraintViolationException) {
            return Taken::Known;
        }
    }

    private function keep(Box $box, BoxReport $report, string $text, string $came): Taken
    {
        // Two at once of one box wait for each other, so that the later one is the later one.
        Box::query()
            ->whereKey($box->id)
            ->lockForUpdate()
            ->first(['id']);
        $held = DB::table('reports')
            ->where('box_id', $box->id)
            ->selectRaw('MAX(made_at) AS latest, COUNT(*) AS held')
            ->first();
        $latest = $held?->latest;
        $made = $report->madeAt === null ? null : now()->setTimestamp(min($report->madeAt, 2_147_483_647));
        Report::query()->create([
            'box_id' => $box->id,
            'came' => $came,
            'made_at' => $made,
            'received_at' => now(),
            'sum' => hash('sha256', $text),
            'text' => $text,
        ]);
        if ((int) $held?->held >= 2 * self::KEPT) {
            Report::query()
                ->where('box_id', $box->id)
                ->orderBy('id')
                ->limit((int) $held?->held + 1 - self::KEPT)
                ->delete();
        }
        if (is_string($latest) && $made !== null && $made->toDateTimeString() < $latest) {
            return Taken::Older;
        }
        $this->remember($box, $report);

        return Taken::New;
    }

    private function remember(Box $box, BoxReport $report): void
    {
        $kept = Telling::kept($box, Telling::REPORT);
        $before = BoxReport::kept(is_array($kept['report'] ?? null) ? $kept['report'] : []);
        // What was never recorded is as it is told first.
        $kept += array_filter(['release' => $report->codename]);
        Telling::put($box, Telling::REPORT, ['report' => $report] + self::recorded($box, $kept));
        $this->fills($box, $report);
        $this->condition($box, $report);
        if ($report->listening !== null) {
            Listing::query()->upsert(
                [
                    'box_id' => $box->id,
                    'tool' => 'listening',
                    'heard' => json_encode(
                        $report->listening,
                        JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
                    ),
                    'taken_at' => now(),
                ],
                ['box_id'],
                ['tool', 'heard', 'taken_at'],
            );
        }
        // That it is up to date is what it shows, not a click.
        if (
            $report->isUpToDate() &&
            ($box->updated_system_at === null || $box->updated_system_at->lt(now()->subHour()))
        ) {
            $box->update(['updated_system_at' => now()]);
        }
        $this->tell($box, $before, $report, ($kept['report'] ?? null) === null);
    }

    private function fills(Box $box, BoxReport $report): void
    {
        if (($report->fills ?? []) === []) {
            return;
        }
        $fresh = FillSample::query()
            ->where('box_id', $box->id)
            ->where('taken_at', '>', now()->subSeconds(self::SAMPLE))
            ->distinct()
            ->pluck('mount')
            ->all();
        $rows = [];
        foreach ($report->fills ?? [] as [$mount, $bytes, $used]) {
            $mount = mb_substr($mount, 0, 190);
            in_array($mount, $fresh, true) ||
                ($rows[$mount] = [
                    'box_id' => $box->id,
                    'mount' => $mount,
                    'bytes' => max(1, $bytes),
                    'used_bytes' => $used,
                    'taken_at' => now(),
                ]);
        }
        $rows === [] || FillSample::query()->insert(array_values($rows));
    }

    private function condition(Box $box, BoxReport $report): void
    {
        $told = [
            'celsius' => $report->celsius,
            'volts' => $report->volts,
            'undervoltage' => $report->undervoltage,
            'throttled' => $report->throttled,
        ];
        if (array_filter($told, fn (mixed $one): bool => $one !== null) === []) {
            return;
        }
        $fresh = ConditionSample::query()
            ->where('box_id', $box->id)
            ->where('taken_at', '>', now()->subSeconds(self::SAMPLE))
            ->exists();
        $fresh || ConditionSample::query()->create(['box_id' => $box->id, 'taken_at' => now()] + $told);
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
     * @return array<string, mixed>
     */
    public static function recorded(Box $box, array $kept): array
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
            'mounts' => $box
                ->stores()
                ->pluck('mount_point')
                ->filter(fn (mixed $one): bool => is_string($one) && $one !== '')
                ->values()
                ->all(),
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
