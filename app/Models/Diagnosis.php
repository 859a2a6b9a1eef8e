<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Listed;
use App\Models\Cast\Rows;
use Burrow\Diagnosis\Seen;
use Carbon\CarbonInterface;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One conversation about a box that does not do its work.
 *
 * @property int $id
 * @property int $box_id
 * @property ?list<array{check: string, answer: string, at: string, tool: string}> $seen
 * @property list<string> $skipped
 * @property list<string> $cleared
 * @property ?string $cause what it was, once it is over
 * @property CarbonInterface $begun_at
 * @property ?CarbonInterface $ended_at
 * @property int $revision grows with each change, so that a second tab is told
 */
class Diagnosis extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'seen' => Rows::class.':check,answer,at,tool',
        'skipped' => Listed::class,
        'cleared' => Listed::class,
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

    /** Takes the right to change it; false when another window was quicker. */
    public function claim(): bool
    {
        return self::query()
            ->whereKey($this->id)
            ->where('revision', $this->revision)
            ->update(['revision' => $this->revision + 1]) === 1;
    }

    /** @return list<Seen> */
    public function observations(): array
    {
        return array_map(
            fn (array $one): Seen => new Seen(
                $one['check'],
                $one['answer'],
                ctype_digit($one['at']) ? (int) $one['at'] : null,
                $one['tool'] === '1',
            ),
            $this->seen ?? [],
        );
    }

    public function note(Seen $seen): void
    {
        $this->keep([...$this->without($seen->check), $seen]);
    }

    public function forget(string $check): void
    {
        $this->keep($this->without($check));
        $this->skipped = array_values(array_diff($this->skipped, [$check]));
    }

    /** @param  list<string>  $checks  of which the answers stay */
    public function keepOnly(array $checks): void
    {
        $this->keep(
            array_values(
                array_filter(
                    $this->observations(),
                    fn (Seen $one): bool => in_array($one->check, $checks, true),
                ),
            ),
        );
    }

    /** @return list<Seen> */
    private function without(string $check): array
    {
        return array_values(
            array_filter($this->observations(), fn (Seen $one): bool => $one->check !== $check),
        );
    }

    /** @param  list<Seen>  $seen */
    private function keep(array $seen): void
    {
        $this->seen = array_map(
            fn (Seen $one): array => [
                'check' => $one->check,
                'answer' => $one->answer,
                'at' => (string) $one->at,
                'tool' => $one->byTool ? '1' : '',
            ],
            $seen,
        );
    }
}
