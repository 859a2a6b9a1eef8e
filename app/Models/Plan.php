<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A variant of a plan, kept to be compared with others.
 *
 * @property array<string, string> $choices
 */
class Plan extends Model
{
    protected $guarded = [];

    protected $casts = ['choices' => 'array'];
}
