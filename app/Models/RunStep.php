<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Measured;
use App\Models\Cast\Rows;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One step of a run. Its version rises with every change, so that a second tab notices.
 *
 * @property Run $run
 * @property ?list<array<string, string>> $findings
 * @property ?array<string, float> $stages what answered first when, in seconds since it began, while it was watched
 */
class RunStep extends Model
{
    public const OPEN = 'open';

    public const RUNNING = 'running';

    public const DONE = 'done';

    public const SKIPPED = 'skipped';

    protected $guarded = [];

    protected $casts = [
        'began_at' => 'datetime',
        'finished_at' => 'datetime',
        'due_on' => 'date',
        'stages' => Measured::class,
        'findings' => Rows::class.':severity,code,found,why,do,field',
    ];

    /** Milliseconds count when the bench runs fast. */
    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return BelongsTo<Run, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(Run::class);
    }

    public function isFinished(): bool
    {
        $state = $this->attributes['state'] ?? null;

        return $state === self::DONE || $state === self::SKIPPED;
    }
}
