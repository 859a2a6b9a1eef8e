<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** What happened, when and by whom. Written once, never changed. */
class JournalEntry extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['at' => 'datetime'];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /**
     * A guest is shown the kinds that are for guests, on pages, in files and by the find box.
     *
     * @param  Builder<$this>  $query
     */
    public function scopeShownTo(Builder $query, ?User $user): void
    {
        $user?->isKeeper() === true || $query->whereIn('kind', ForGuests::JOURNAL);
    }

    public static function write(Network|Box $about, string $kind, string $text, ?string $by = null): self
    {
        return self::query()->create([
            'network_id' => $about instanceof Box ? $about->network_id : $about->id,
            'box_id' => $about instanceof Box ? $about->id : null,
            'kind' => $kind,
            'text' => $text,
            'by' => $by ?? (auth()->user()->name ?? 'the burrow itself'),
            'at' => now(),
        ]);
    }
}
