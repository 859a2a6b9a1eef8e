<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Listed;
use Burrow\Stores\Backup\BackupPlan;
use Burrow\Stores\Backup\Keep;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * What of a box is copied where, and how that went. No secret: keys are named by where they lie.
 *
 * @property Box $box
 * @property ?Box $target
 * @property list<string> $paths
 */
class Backup extends Model
{
    use ChangedInTurn;

    protected $guarded = [];

    protected $casts = [
        'paths' => Listed::class,
        'elsewhere' => 'boolean',
        'ran_at' => 'datetime',
        'failed_at' => 'datetime',
    ];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /** @return BelongsTo<Box, $this> the box that keeps the copies, where it is one of the house */
    public function target(): BelongsTo
    {
        return $this->belongsTo(Box::class, 'target_box_id');
    }

    /** @return HasMany<RestoreDrill, $this> the newest first */
    public function drills(): HasMany
    {
        return $this->hasMany(RestoreDrill::class)->orderByDesc('tried_at');
    }

    public function keep(): Keep
    {
        return new Keep(
            (int) $this->keep_daily,
            (int) $this->keep_weekly,
            (int) $this->keep_monthly,
            (int) $this->keep_yearly,
        );
    }

    /** Null while it has nowhere to go, or something in it that no script can carry. */
    public function plan(): ?BackupPlan
    {
        $host = (string) ($this->target->address ?? $this->target_host);
        $paths = array_values(
            array_filter($this->paths, fn (string $one): bool => preg_match(BackupPlan::PATH, $one) === 1),
        );
        $fits =
            $paths !== [] &&
            count($paths) === count($this->paths) &&
            preg_match(BackupPlan::NAME, (string) $this->name) === 1 &&
            preg_match(BackupPlan::HOST, $host) === 1 &&
            preg_match(BackupPlan::ACCOUNT, (string) $this->target_account) === 1 &&
            preg_match(BackupPlan::PATH, (string) $this->target_folder) === 1 &&
            preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', (string) $this->runs_at) === 1;

        return $fits
            ? new BackupPlan(
                (string) $this->name,
                $this->box->called(),
                $paths,
                (string) $this->target_account,
                $host,
                (string) $this->target_folder,
                (string) $this->database,
                $this->database_file === null ? null : (string) $this->database_file,
                (string) $this->school,
                (int) $this->target_port,
                at: (string) $this->runs_at,
                keep: $this->keep(),
            )
            : null;
    }
}
