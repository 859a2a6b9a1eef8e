<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A reading taken on a box: a copy rate with the idle share of its processor, or its temperature with the room's. */
class Measurement extends Model
{
    protected $guarded = [];

    protected $casts = ['megabytes' => 'float', 'idle' => 'float', 'board_celsius' => 'float', 'room_celsius' => 'float'];
}
