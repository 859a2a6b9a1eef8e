<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A report as a box told it, word for word. */
class Report extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['made_at' => 'datetime', 'received_at' => 'datetime'];
}
