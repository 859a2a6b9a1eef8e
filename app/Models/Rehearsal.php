<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Rows;
use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One practice at the bench: a box with something hidden wrong.
 *
 * @property Box $box
 * @property string $fault one fault of the bench, or two joined by a plus
 * @property int $box_id
 * @property ?list<array{check: string, answer: string, minutes: string, bits: string}> $looks what was looked at, in order, with
 *     the doubt that it cleared
 * @property ?list<array{cause: string, fault: string}> $told what the person said that it is; no fault: it was not
 * @property CarbonInterface $begun_at
 * @property ?CarbonInterface $ended_at
 */
class Rehearsal extends Model
{
    use ChangedInTurn;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'looks' => Rows::class.':check,answer,minutes,bits',
        'told' => Rows::class.':cause,fault',
        'begun_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /** @return list<string> names of what is hidden, one or two */
    public function faults(): array
    {
        return explode('+', $this->fault);
    }

    /** @return list<string> what was not found yet */
    public function left(): array
    {
        return array_values(array_diff($this->faults(), array_column($this->told ?? [], 'fault')));
    }

    public function wrongGuesses(): int
    {
        return count(array_filter($this->told ?? [], fn (array $one): bool => $one['fault'] === ''));
    }

    public static function openOf(Box $box): ?self
    {
        return self::query()->where('box_id', $box->id)->whereNull('ended_at')->latest('id')->first();
    }

    public function minutes(): float
    {
        return array_sum(array_map(floatval(...), array_column($this->looks ?? [], 'minutes')));
    }
}
