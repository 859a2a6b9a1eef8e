<?php

declare(strict_types=1);

namespace App\Household\Rows;

use Burrow\Household\Copying;
use Burrow\Household\DriveHealth;
use Burrow\Household\Fill;
use Burrow\Household\FolderPair;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Disks: how full, how well, what is copied, what is kept alike. */
final class StoreRows extends HouseRows
{
    /** Days of samples that a trend is made of. */
    private const LOOKED_BACK = 730;

    private const MOST_PAIRS = 500;

    /** Samples of all file systems that are read for one picture of the house. */
    private const SAMPLES = 20_000;

    /** @return list<Fill> of each file system that was ever told */
    public function fills(): array
    {
        $by = [];
        foreach (
            DB::table('fill_samples')
                ->join('boxes', 'boxes.id', '=', 'fill_samples.box_id')
                ->where(self::here(...))
                ->where('fill_samples.taken_at', '>=', now()->subDays(self::LOOKED_BACK))
                ->orderBy('fill_samples.taken_at')
                ->limit(self::SAMPLES)
                ->get([
                    'boxes.name',
                    'fill_samples.mount',
                    'fill_samples.bytes',
                    'fill_samples.used_bytes',
                    'fill_samples.taken_at',
                ]) as $row
        ) {
            $at = $this->time($row->taken_at);
            if ($at !== null && (int) $row->bytes > 0) {
                $by["{$row->name} {$row->mount}"][] = [$row, [$at->getTimestamp(), (int) $row->used_bytes]];
            }
        }
        $fills = [];
        foreach ($by as $rows) {
            $last = $rows[count($rows) - 1][0];
            $fills[] = new Fill(
                (string) $last->name,
                (string) $last->mount,
                (int) $last->bytes,
                array_column($rows, 1),
            );
        }

        return $fills;
    }

    /** @return list<DriveHealth> of each drive that was ever told */
    public function drives(): array
    {
        $by = [];
        foreach (
            DB::table('health_samples')
                ->join('boxes', 'boxes.id', '=', 'health_samples.box_id')
                ->where(self::here(...))
                ->leftJoin('media', 'media.serial', '=', 'health_samples.serial')
                ->orderBy('health_samples.taken_at')
                ->limit(self::SAMPLES)
                ->get(['boxes.name', 'health_samples.*', 'media.warranty_until']) as $row
        ) {
            $by["{$row->name} {$row->serial}"][] = $row;
        }
        $drives = [];
        $number = fn (mixed $kept): ?int => is_numeric($kept) ? (int) $kept : null;
        foreach ($by as $rows) {
            $last = $rows[count($rows) - 1];
            $drives[] = new DriveHealth(
                (string) $last->name,
                (string) $last->serial,
                (string) $last->model,
                $this->time($last->taken_at)?->getTimestamp() ?? 0,
                $last->passed === null ? null : (bool) $last->passed,
                $number($last->hours),
                $number($last->celsius),
                $number($last->reallocated),
                $number($rows[0]->reallocated),
                $number($last->pending),
                $number($rows[0]->pending),
                $number($last->wear_percent),
                $this->day($last->warranty_until),
            );
        }

        return $drives;
    }

    /** @return list<FolderPair> folders that are kept alike with another machine */
    public function folderPairs(): array
    {
        return array_values(
            DB::table('folder_pairs')
                ->join('boxes', 'boxes.id', '=', 'folder_pairs.box_id')
                ->where(self::here(...))
                ->orderBy('folder_pairs.id')
                ->limit(self::MOST_PAIRS)
                ->get(['folder_pairs.*', 'boxes.name'])
                ->map(
                    fn (stdClass $row): FolderPair => new FolderPair(
                        (int) $row->id,
                        (string) $row->name,
                        (string) $row->folder,
                        (string) $row->peer,
                        $row->keeps_days === null ? null : (int) $row->keeps_days,
                        $this->time($row->in_step_at),
                        $this->time($row->differed_at),
                        $row->conflicts === null ? null : (int) $row->conflicts,
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Copying> what is copied of the boxes */
    public function copyings(): array
    {
        // The last drill of each counts.
        $last =
            'SELECT id FROM restore_drills d WHERE d.backup_id = backups.id ORDER BY tried_at DESC, id DESC LIMIT 1';
        $rows = DB::table('backups')
            ->join('boxes', 'boxes.id', '=', 'backups.box_id')
            ->leftJoin('boxes AS targets', 'targets.id', '=', 'backups.target_box_id')
            ->leftJoin('restore_drills AS drills', 'drills.id', '=', DB::raw("({$last})"))
            ->where(self::here(...))
            ->orderBy('backups.id')
            ->get([
                'backups.*',
                'boxes.name AS box',
                'targets.name AS target',
                'drills.tried_at',
                'drills.worked',
                'drills.minutes',
            ]);

        return array_values(
            $rows
                ->map(
                    fn (stdClass $row): Copying => new Copying(
                        (int) $row->id,
                        (string) $row->box,
                        (string) $row->name,
                        (string) ($row->target ?? $row->target_host),
                        (bool) $row->elsewhere,
                        $row->school === 'archive',
                        (string) $row->key_kept_at !== '',
                        $this->time($row->ran_at),
                        $this->time($row->failed_at),
                        (string) $row->failed_because,
                        $this->time($row->tried_at),
                        (bool) $row->worked,
                        is_numeric($row->minutes) ? (int) $row->minutes : null,
                    ),
                )
                ->all(),
        );
    }
}
