<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A way in from outside: which port of the router leads to which port of a box, and why.
 *
 * @property Box $box
 */
class Opening extends Model
{
    protected $guarded = [];

    protected $casts = ['review_on' => 'date'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
