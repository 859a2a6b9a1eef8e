<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A name that is answered whatever lists say, with all below it. */
class FilterException extends Model
{
    protected $guarded = [];

    /** @return list<string> */
    public static function names(): array
    {
        return array_values(
            array_filter(self::query()->orderBy('name')->pluck('name')->all(), is_string(...)),
        );
    }
}
