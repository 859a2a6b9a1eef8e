<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A port of a box with what listens there.
 *
 * @property Box $box
 */
class Service extends Model
{
    protected $guarded = [];

    protected $casts = ['looked_at' => 'datetime'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
