<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A folder of a box that is kept alike with one on another machine.
 *
 * @property Box $box
 */
class FolderPair extends Model
{
    protected $guarded = [];

    protected $casts = ['in_step_at' => 'datetime', 'differed_at' => 'datetime'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
