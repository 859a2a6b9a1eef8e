<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\Box;
use App\Models\ImageRecord;
use App\Models\Plan;
use App\Models\Run;

/** Who uses an entry of the catalogue: boxes, kept plans, images on the shelf, and runs whose steps it holds. */
final class InUse
{
    private const SHOWN = 6;

    /** @return list<string> in words, such as "larder" or "a kept plan" */
    public static function by(string $kind, string $id): array
    {
        $boxes = match ($kind) {
            'job' => Box::query()->whereHas('jobs', fn ($jobs) => $jobs->where('job', $id))->get(),
            'kit', 'playbook' => collect(),
            default => Box::query()
                ->where($kind === 'adapter' ? 'hub' : $kind, $id)
                ->get(),
        };
        $fields = ['job' => ['job', 'also', 'too'], 'adapter' => ['hub']][$kind] ?? [$kind];
        $plans = Plan::query()
            ->get()
            ->filter(
                fn (Plan $plan): bool => array_filter(
                    $fields,
                    fn (string $field): bool => ($plan->choices[$field] ?? null) === $id,
                ) !== [],
            );
        $images = $kind === 'image' ? ImageRecord::query()->where('kind', $id)->pluck('label')->all() : [];

        return array_values(
            array_slice(
                [
                    ...$boxes->map(fn (Box $box): string => $box->called())->all(),
                    ...$plans->isEmpty()
                        ? []
                        : [$plans->count() === 1 ? 'a kept plan' : "{$plans->count()} kept plans"],
                    ...array_map(
                        fn (mixed $label): string => 'the image “'.(is_string($label) ? $label : '').'”',
                        $images,
                    ),
                ],
                0,
                self::SHOWN,
            ),
        );
    }

    /** @return list<string> boxes whose unfinished run plays the steps of this job, or of this playbook */
    public static function byRuns(string $kind, string $id): array
    {
        [$job, $school] = [...explode('.', $id, 2), ''];

        return ! in_array($kind, ['job', 'playbook'], true)
            ? []
            : array_values(
                Run::query()
                    ->whereNull('finished_at')
                    ->whereHas(
                        'box.jobs',
                        fn ($jobs) => $school === ''
                            ? $jobs->where('job', $job)
                            : $jobs
                                ->where('job', $job)
                                ->where(fn ($of) => $of->where('school', $school)->orWhereNull('school')),
                    )
                    ->with('box')
                    ->limit(self::SHOWN)
                    ->get()
                    ->map(fn (Run $run): string => "the run of {$run->box->called()}")
                    ->all(),
            );
    }
}
