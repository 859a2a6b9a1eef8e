<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Card\Target\KnownMedium;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A card or disk of the register: what it is for, which image is on it, for which box, whether it may be wiped, where
 * it lies.
 *
 * @property ?Box $box
 * @property ?ImageRecord $image
 */
class Medium extends Model
{
    protected $guarded = [];

    protected $casts = ['may_be_wiped' => 'boolean', 'write_mbyte' => 'float', 'warranty_until' => 'date:Y-m-d'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /** @return BelongsTo<ImageRecord, $this> */
    public function image(): BelongsTo
    {
        return $this->belongsTo(ImageRecord::class, 'image_record_id');
    }

    public function known(): KnownMedium
    {
        return new KnownMedium(
            $this->label,
            $this->serial,
            $this->purpose,
            $this->may_be_wiped,
            $this->place ?? '',
        );
    }
}
