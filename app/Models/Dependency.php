<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One box cannot do its job without another.
 *
 * @property Box $provider
 */
class Dependency extends Model
{
    public $timestamps = false;

    protected $table = 'box_dependencies';

    protected $guarded = [];

    /** @return BelongsTo<Box, $this> */
    public function provider(): BelongsTo
    {
        return $this->belongsTo(Box::class, 'on_box_id');
    }
}
