<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Rows;
use App\Models\Cast\Words;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * What was decided on the plan sheet, why, what was overruled, and what else was tried.
 *
 * @property array<string, string> $choices
 * @property list<array{sentence: string, because: string, choices: array<string, string>}> $tried
 */
class Decision extends Model
{
    protected $guarded = [];

    protected $casts = ['choices' => Words::class, 'tried' => Rows::class.':sentence,because,choices[]'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }
}
