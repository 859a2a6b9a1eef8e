<?php

declare(strict_types=1);

namespace App\Models;

use Closure;
use Illuminate\Support\Facades\DB;

/**
 * A change that is worked out from what is there: read anew under a lock, so that of two at once the second one works
 * on what the first one wrote.
 */
trait ChangedInTurn
{
    /** How often it is tried where two who write hold each other up. */
    private const TURNS = 3;

    /** @param  Closure(static): array<string, mixed>  $change  the new values, from the row as it is now */
    public function changeInTurn(Closure $change): void
    {
        DB::transaction(function () use ($change): void {
            $now = static::query()->lockForUpdate()->whereKey($this->getKey())->firstOrFail();
            $now->update($change($now));
            $this->setRawAttributes($now->getAttributes(), true);
        }, self::TURNS);
    }

    /**
     * Writes only over what somebody saw: the row has a number that grows with each change.
     *
     * @param  array<string, mixed>  $values
     * @return bool whether it was still the one that was seen
     */
    public function changeFrom(int $seen, array $values): bool
    {
        return DB::transaction(function () use ($seen, $values): bool {
            $now = static::query()->lockForUpdate()->whereKey($this->getKey())->where('revision', $seen)->first();
            if ($now === null) {
                return false;
            }
            $now->update($values + ['revision' => $seen + 1]);
            $this->setRawAttributes($now->getAttributes(), true);

            return true;
        }, self::TURNS);
    }
}
