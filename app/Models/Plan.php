<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Words;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * A variant of a plan, kept to be compared with others.
 *
 * @property array<string, string> $choices
 */
class Plan extends Model
{
    protected $guarded = [];

    protected $casts = ['choices' => Words::class, 'dropped_at' => 'datetime'];

    /** @param  Builder<Plan>  $query */
    public function scopeBeside(Builder $query): void
    {
        $query->whereNull('dropped_at')->orderBy('id');
    }
}
