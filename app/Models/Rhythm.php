<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Listed;
use Illuminate\Database\Eloquent\Model;

/** Hours of the week in which boxes are in use, or in which somebody may be at work on them. */
class Rhythm extends Model
{
    protected $table = 'hours';

    protected $guarded = [];

    protected $casts = ['boxes' => Listed::class];
}
