<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Rows;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A port of a box with what listens there.
 *
 * @property Box $box
 */
class Service extends Model
{
    use ChangedInTurn;

    protected $guarded = [];

    protected $casts = [
        'looked_at' => 'datetime',
        'access_since' => 'datetime',
        'clients' => Rows::class.':client,holds',
    ];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /** Bound to loopback: nobody reaches it from another machine, so nobody asks it from here. */
    public function isForItself(): bool
    {
        return str_starts_with((string) $this->bound, '127.') || $this->bound === '::1';
    }
}
