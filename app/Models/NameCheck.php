<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A name that a resolver of the house is asked again and again.
 *
 * @property Box $box
 */
class NameCheck extends Model
{
    protected $guarded = [];

    protected $casts = ['held' => 'boolean', 'asked_at' => 'datetime'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
