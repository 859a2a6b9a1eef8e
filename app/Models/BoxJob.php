<?php

declare(strict_types=1);

namespace App\Models;

use App\Catalogue\Catalogue;
use Illuminate\Database\Eloquent\Model;

/** A job of a box, by its id in the catalogue. */
class BoxJob extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['finished_at' => 'datetime'];

    /** As the catalogue has it; its id when the catalogue has it no more. */
    public function called(): string
    {
        return app(Catalogue::class)->role($this->role)->label ?? $this->role;
    }
}
