<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** An image on the desk computer's shelf: what it is, where it comes from, whether its checksum was compared. */
class ImageRecord extends Model
{
    protected $guarded = [];

    protected $casts = ['checked_at' => 'datetime'];
}
