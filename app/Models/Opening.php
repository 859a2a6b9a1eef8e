<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A way in from outside: which port of the router leads to which port of a box, and why.
 *
 * @property Box $box
 * @property ?\Illuminate\Support\Carbon $since
 */
class Opening extends Model
{
    use ChangedInTurn;

    protected $guarded = [];

    protected $casts = ['review_on' => 'date', 'since' => 'datetime'];

    /** What could be reached stays known, when it is closed or becomes another way in. */
    protected static function booted(): void
    {
        self::deleting(function (self $opening): void {
            PastOpening::keep($opening);
        });
        self::updating(function (self $opening): void {
            if ($opening->isDirty(['outside_port', 'protocol'])) {
                PastOpening::keep($opening);
                $opening->since = now();
            }
        });
    }

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
