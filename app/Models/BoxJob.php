<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\NamedTexts;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A job of a box, by its id in the catalogue.
 *
 * @property string $job
 * @property Box $box
 * @property array<string, string> $answers  value => what the person answered when it was asked
 */
class BoxJob extends Model
{
    use ChangedInTurn;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['finished_at' => 'datetime', 'page_port' => 'integer', 'answers' => NamedTexts::class];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /** A box without a name is called by it. */
    public function called(): string
    {
        return str_replace('-', ' ', $this->job);
    }
}
