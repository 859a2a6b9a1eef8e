<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\BringUp\Change;
use Burrow\Move\PartSwap;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * One playing of a playbook. What it learned on the way ("disk", "uuid" …) fills later commands.
 *
 * @property Box $box
 * @property array<string, mixed> $learned
 * @property list<string>|null $adds  jobs that it adds to a box in service; null when it brings a box up
 */
class Run extends Model
{
    protected $guarded = [];

    protected $casts = ['learned' => 'array', 'adds' => 'array', 'finished_at' => 'datetime'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /** @return HasMany<RunStep, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(RunStep::class)->orderBy('position');
    }

    /** What it changes of a box that is up; null when it brings one up or adds to it. */
    public function changes(): ?Change
    {
        return Change::tryFrom((string) $this->change);
    }

    public function current(): ?RunStep
    {
        return $this->steps->first(fn (RunStep $step): bool => ! $step->isFinished());
    }

    /** The same as current(), where the steps are not loaded: one row is asked for. */
    public function nextStep(): ?RunStep
    {
        return $this->steps()
            ->whereNotIn('state', [RunStep::DONE, RunStep::SKIPPED])
            ->first();
    }

    /** The step that was over last, which may be taken back while the run lasts. */
    public function last(): ?RunStep
    {
        return $this->finished_at !== null
            ? null
            : $this->steps->last(fn (RunStep $step): bool => $step->isFinished());
    }

    /** The run in progress that every page shows. */
    public static function inProgress(): ?self
    {
        return self::query()->whereNull('finished_at')->with('box.jobs')->latest('id')->first();
    }

    /** @return array<string, ?string> field => id of the part that the box has when this run is over */
    public function newParts(): array
    {
        $parts = json_decode($this->learnedText('parts') ?? '', true);

        return array_filter(
            is_array($parts) ? array_intersect_key($parts, PartSwap::PARTS) : [],
            fn (mixed $id): bool => $id === null || is_string($id),
        );
    }

    public function learnedText(string $name): ?string
    {
        $value = $this->learned[$name] ?? null;

        return is_string($value) && $value !== '' ? $value : null;
    }
}
