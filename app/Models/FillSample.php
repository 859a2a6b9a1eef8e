<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** How full a file system of a box was at one moment. */
class FillSample extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['taken_at' => 'datetime', 'bytes' => 'integer', 'used_bytes' => 'integer'];
}
