<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** Somebody saw something else at a step than it says: it is stale until somebody has looked after it. */
class StepDoubt extends Model
{
    protected $guarded = [];

    protected $casts = ['answered_at' => 'datetime'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
