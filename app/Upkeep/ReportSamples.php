<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Models\ConditionSample;
use App\Models\FillSample;
use App\Models\Listing;
use Carbon\CarbonInterface;

/** What reports leave in the record beside themselves: how full, how warm, what listens. */
final class ReportSamples
{
    /** Seconds between two samples; a forecast wants days, not minutes. */
    private const APART = 6 * 3600;

    /** @param  non-empty-array<int, ReadReport>  $reports  by box */
    public function keep(array $reports): void
    {
        $this->fills($reports);
        $this->conditions($reports);
        $this->listings($reports);
    }

    /** @param  non-empty-array<int, ReadReport>  $reports */
    private function fills(array $reports): void
    {
        $fresh = FillSample::query()
            ->whereIn('box_id', array_keys($reports))
            ->where('taken_at', '>', self::apart())
            ->distinct()
            ->toBase()
            ->get(['box_id', 'mount'])
            ->map(fn (object $one): string => "{$one->box_id} {$one->mount}")
            ->flip()
            ->all();
        $rows = [];
        foreach ($reports as $id => $one) {
            foreach ($one->report->fills ?? [] as [$mount, $bytes, $used]) {
                $mount = mb_substr($mount, 0, 190);
                isset($fresh["{$id} {$mount}"]) ||
                    ($rows["{$id} {$mount}"] = [
                        'box_id' => $id,
                        'mount' => $mount,
                        'bytes' => max(1, $bytes),
                        'used_bytes' => $used,
                        'taken_at' => $one->arrival->at,
                    ]);
            }
        }
        $rows === [] || FillSample::query()->insert(array_values($rows));
    }

    /** @param  non-empty-array<int, ReadReport>  $reports */
    private function conditions(array $reports): void
    {
        $rows = [];
        foreach ($reports as $id => $one) {
            $told = [
                'celsius' => $one->report->celsius,
                'volts' => $one->report->volts,
                'undervoltage' => $one->report->undervoltage,
                'throttled' => $one->report->throttled,
            ];
            if (array_filter($told, fn (mixed $value): bool => $value !== null) !== []) {
                $rows[$id] = ['box_id' => $id, 'taken_at' => $one->arrival->at] + $told;
            }
        }
        if ($rows === []) {
            return;
        }
        $fresh = ConditionSample::query()
            ->whereIn('box_id', array_keys($rows))
            ->where('taken_at', '>', self::apart())
            ->distinct()
            ->pluck('box_id')
            ->flip()
            ->all();
        $rows = array_diff_key($rows, $fresh);
        $rows === [] || ConditionSample::query()->insert(array_values($rows));
    }

    /** @param  non-empty-array<int, ReadReport>  $reports */
    private function listings(array $reports): void
    {
        $rows = [];
        foreach ($reports as $id => $one) {
            if ($one->report->listening !== null) {
                $rows[] = [
                    'box_id' => $id,
                    'tool' => 'listening',
                    'heard' => json_encode(
                        $one->report->listening,
                        JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
                    ),
                    'taken_at' => $one->arrival->at,
                ];
            }
        }
        $rows === [] || Listing::query()->upsert($rows, ['box_id'], ['tool', 'heard', 'taken_at']);
    }

    private static function apart(): CarbonInterface
    {
        return now()->subSeconds(self::APART);
    }
}
