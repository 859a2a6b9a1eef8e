<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Diagnosis\Seen;
use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One conversation about a box that does not do its work.
 *
 * @property int $id
 * @property int $box_id
 * @property list<array{check: string, answer: string, at: ?int, tool: bool}> $seen
 * @property list<string> $skipped
 * @property list<string> $cleared
 * @property ?string $cause what it was, once it is over
 * @property ?string $note
 * @property CarbonInterface $begun_at
 * @property ?CarbonInterface $ended_at
 * @property int $revision grows with each change, so that a second tab is told
 */
class Diagnosis extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'seen' => 'array',
        'skipped' => 'array',
        'cleared' => 'array',
        'begun_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    public static function openOf(Box $box): ?self
    {
        return self::query()->where('box_id', $box->id)->whereNull('ended_at')->latest('id')->first();
    }

    /** @return array<string, int> cause => how often it was found in this house */
    public static function causesFound(): array
    {
        return array_count_values(
            self::query()
                ->whereNotNull('cause')
                ->get(['cause'])
                ->map(fn (self $one): string => (string) $one->cause)
                ->all(),
        );
    }

    /** @return list<Seen> */
    public function observations(): array
    {
        return array_map(
            fn (array $one): Seen => new Seen($one['check'], $one['answer'], $one['at'], $one['tool']),
            $this->seen,
        );
    }

    public function note(Seen $seen): void
    {
        $this->seen = [
            ...array_values(array_filter($this->seen, fn (array $one): bool => $one['check'] !== $seen->check)),
            ['check' => $seen->check, 'answer' => $seen->answer, 'at' => $seen->at, 'tool' => $seen->byTool],
        ];
    }

    public function forget(string $check): void
    {
        $this->seen = array_values(array_filter($this->seen, fn (array $one): bool => $one['check'] !== $check));
        $this->skipped = array_values(array_diff($this->skipped, [$check]));
    }
}
