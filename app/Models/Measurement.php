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

    /** Within what the form takes; anything else teaches nothing. */
    public function isPlausible(): bool
    {
        return $this->megabytes === null
            ? $this->board_celsius >= -20 &&
                    $this->board_celsius <= 120 &&
                    $this->room_celsius >= -20 &&
                    $this->room_celsius <= 60
            : $this->megabytes > 0 && $this->megabytes < 10000 && $this->idle >= 0 && $this->idle <= 1;
    }

    protected $casts = [
        'megabytes' => 'float',
        'idle' => 'float',
        'board_celsius' => 'float',
        'room_celsius' => 'float',
    ];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
