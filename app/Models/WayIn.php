<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A key, profile or account with which a device or program comes in. The secret half is nowhere here.
 *
 * @property ?Service $service
 */
class WayIn extends Model
{
    protected $table = 'ways_in';

    protected $guarded = [];

    protected $casts = [
        'given_on' => 'date',
        'ends_on' => 'date',
        'starts_alone' => 'boolean',
        'last_came_at' => 'datetime',
        'taken_back_at' => 'datetime',
    ];

    /** @return BelongsTo<Service, $this> what the key of a program or an account opens */
    public function service(): BelongsTo
    {
        return $this->belongsTo(Service::class);
    }
}
