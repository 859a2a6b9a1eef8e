<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Filter\Rollout\Counter;
use Burrow\Filter\Rollout\HandOut;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * How a filter came to be asked: by one client first, then by the house; with what its counter showed.
 *
 * @property Box $box
 */
class Rollout extends Model
{
    use ChangedInTurn;

    /** Moments that are kept. */
    public const COUNTS = 40;

    protected $guarded = [];

    protected $casts = ['house_at' => 'datetime', 'back_at' => 'datetime', 'counts' => 'array'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    public function handOut(): HandOut
    {
        return HandOut::tryFrom((string) $this->school) ?? HandOut::Handed;
    }

    /** @return list<Counter> the oldest first */
    public function counters(): array
    {
        $counters = [];
        foreach (is_array($this->counts) ? $this->counts : [] as $one) {
            if (is_array($one) && is_string($one['at'] ?? null) && is_int($one['total'] ?? null)) {
                $counters[] = new Counter(
                    $one['at'],
                    is_string($one['when'] ?? null) ? $one['when'] : 'before',
                    $one['total'],
                    is_int($one['refused'] ?? null) ? $one['refused'] : 0,
                );
            }
        }

        return $counters;
    }
}
