<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A job of a box, by its id in the catalogue.
 *
 * @property string $job
 */
class BoxJob extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['finished_at' => 'datetime'];

    /** A box without a name is called by it. */
    public function called(): string
    {
        return str_replace('-', ' ', $this->job);
    }
}
