<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A list of names that a filter may refuse; its lines lie in a file. */
class FilterList extends Model
{
    protected $guarded = [];

    protected $casts = ['chosen' => 'boolean'];
}
