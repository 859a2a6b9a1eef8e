<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A key, profile or account with which a device comes in from outside. The secret half is nowhere here. */
class WayIn extends Model
{
    protected $table = 'ways_in';

    protected $guarded = [];

    protected $casts = ['given_on' => 'date', 'last_came_at' => 'datetime', 'taken_back_at' => 'datetime'];
}
