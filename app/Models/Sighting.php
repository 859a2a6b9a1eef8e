<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A machine that was seen in the network: known by its hardware address, or by its address where none was seen.
 *
 * @property Network $network
 */
class Sighting extends Model
{
    protected $guarded = [];

    protected $casts = ['open' => 'array', 'first_seen' => 'datetime', 'last_seen' => 'datetime'];

    /** @return BelongsTo<Network, $this> */
    public function network(): BelongsTo
    {
        return $this->belongsTo(Network::class);
    }
}
