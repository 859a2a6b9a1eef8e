<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** How warm a box was at one moment, what it was fed with, and whether that was too little since it started. */
class ConditionSample extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'taken_at' => 'datetime',
        'celsius' => 'float',
        'volts' => 'float',
        'undervoltage' => 'boolean',
        'throttled' => 'boolean',
    ];
}
