<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A reading taken on a box: a copy rate with the idle share of its processor, or its temperature with the room's.
 *
 * @property Box $box
 */
class Measurement extends Model
{
    protected $guarded = [];

    protected $casts = ['megabytes' => 'float', 'idle' => 'float', 'board_celsius' => 'float', 'room_celsius' => 'float'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
