<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A catalogue entry of the household's own, kept as the YAML it was given in. */
class CatalogueEntry extends Model
{
    protected $guarded = [];
}
