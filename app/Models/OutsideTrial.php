<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** What a port did when somebody last tried it from outside, and what it should have done then. */
class OutsideTrial extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['must_answer' => 'boolean', 'answered' => 'boolean', 'tried_at' => 'datetime'];
}
