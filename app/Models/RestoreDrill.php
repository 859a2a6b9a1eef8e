<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** That a copy was brought back, to see whether it can be. */
class RestoreDrill extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['tried_at' => 'datetime', 'worked' => 'boolean'];
}
