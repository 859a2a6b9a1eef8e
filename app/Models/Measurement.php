<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A copy rate that was measured on a box, with the share of its processor that was idle. */
class Measurement extends Model
{
    protected $guarded = [];

    protected $casts = ['megabytes' => 'float', 'idle' => 'float'];
}
