<?php

declare(strict_types=1);

namespace App\Plan;

use Burrow\Catalogue\Job\Job;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanInput;

/** Variants set beside one another: a row for each part, and for each result that has a working. */
final readonly class VariantRows
{
    /** @param  list<string>  $cells  one for each variant, in their order */
    private function __construct(public string $name, public array $cells)
    {
    }

    /**
     * @param  array<int, PlanAnswer>  $answers
     * @return list<self>
     */
    public static function of(array $answers, bool $onlyDifferences): array
    {
        $rows = [];
        foreach (self::parts() as $name => $part) {
            $rows[] = new self(
                $name,
                array_values(array_map(fn (PlanAnswer $answer): string => $part($answer->plan), $answers)),
            );
        }
        $results = array_values(array_map(fn (PlanAnswer $answer): array => self::results($answer), $answers));
        foreach (array_keys(array_merge(...$results)) as $title) {
            $rows[] = new self($title, array_map(fn (array $one): string => $one[$title] ?? '—', $results));
        }
        $rows[] = new self(
            'Parts together',
            array_values(array_map(fn (PlanAnswer $answer): string => (string) $answer->price(), $answers)),
        );

        return array_values(array_filter($rows, fn (self $row): bool => ! $onlyDifferences || $row->differs()));
    }

    public function differs(): bool
    {
        return count(array_unique($this->cells)) > 1;
    }

    /** @return array<string, callable(PlanInput): string> */
    private static function parts(): array
    {
        $labels = fn (array $entries): string => implode(', ', array_column($entries, 'label'));

        return [
            'Jobs' => fn (PlanInput $plan): string => $labels($plan->jobs),
            'Board' => fn (PlanInput $plan): string => $plan->board->label,
            'Supply' => fn (PlanInput $plan): string => $plan->supply->label,
            'Supply cable' => fn (PlanInput $plan): string => $plan->cable->label,
            'Disk' => fn (PlanInput $plan): string => $plan->drive->label ?? 'none',
            'Card' => fn (PlanInput $plan): string => $plan->card->label,
            'Image' => fn (PlanInput $plan): string => $plan->image->label,
            'Case' => fn (PlanInput $plan): string => $plan->case->label,
            'Hub' => fn (PlanInput $plan): string => $plan->hub()->label ?? 'none',
            'Cooling' => fn (PlanInput $plan): string => $plan->cooling->label ?? 'none',
            'Add-on' => fn (PlanInput $plan): string => $plan->addOn->label ?? 'none',
            'Schools' => fn (PlanInput $plan): string => $labels(
                array_map(fn (Job $job) => $plan->school($job), $plan->jobs),
            ),
            'Network' => fn (PlanInput $plan): string => $plan->link->label(),
        ];
    }

    /** @return array<string, string> by the title of its working */
    private static function results(PlanAnswer $answer): array
    {
        return array_column(
            array_map(fn (Working $working): array => [$working->title, $working->result], $answer->workings()),
            1,
            0,
        );
    }
}
