<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** What a drive of a box told of its health at one moment. */
class HealthSample extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['taken_at' => 'datetime', 'passed' => 'boolean'];
}
