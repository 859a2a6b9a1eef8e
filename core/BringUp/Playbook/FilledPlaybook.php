<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

use Burrow\BringUp\Step\Circumstance;
use Burrow\BringUp\Step\RunFacts;
use Burrow\BringUp\Step\Values;
use Burrow\Catalogue\Job\Job;
use Burrow\Net\Ipv4;
use JsonSerializable;

/** The steps of one or more jobs with one box's values in them, outside of any run. */
final readonly class FilledPlaybook implements JsonSerializable
{
    /**
     * @param  list<Job>  $jobs
     * @param  list<string>  $schools  one a job
     * @param  list<FilledStep>  $steps
     */
    private function __construct(public array $jobs, public array $schools, public array $steps)
    {
    }

    /**
     * @param  non-empty-list<Job>  $jobs
     * @param  non-empty-list<Playbook>  $books  one a job
     * @param  array<string, mixed>  $box  valid under box.schema.json
     */
    public static function of(array $jobs, array $books, array $box): self
    {
        /**
         * @var array{host?: string, user?: string, address?: string, mac?: string, router?: string, prefix?: string, domain?: string, zone?: string, engine?: string, link?: string, fixed_address?: bool, ready_made?: bool, in_service?: bool, page_ports?: array<string, int>, values?: array<string, string>} $box
         */
        $so = array_keys(
            array_filter([
                Circumstance::FixedAddress->value => $box['fixed_address'] ?? false,
                Circumstance::Wireless->value => ($box['link'] ?? '') === Circumstance::Wireless->value,
                Circumstance::UsbCable->value => ($box['link'] ?? '') === Circumstance::UsbCable->value,
                Circumstance::ReadyMade->value => $box['ready_made'] ?? false,
            ]),
        );
        $jobs = array_map(
            fn (Job $job): Job => $job->listeningAt($box['page_ports'][$job->id] ?? null),
            $jobs,
        );
        $values = $box['values'] ?? [];
        foreach ($jobs as $job) {
            foreach ($box['values'] ?? [] as $name => $value) {
                $values["{$job->id}:{$name}"] = $value;
            }
        }
        $facts = new RunFacts(
            $box['host'] ?? '',
            $box['user'] ?? null,
            Ipv4::tryParse($box['address'] ?? ''),
            $box['mac'] ?? null,
            jobs: $jobs,
            learned: $values,
            house: [
                ...array_intersect_key($box, array_flip(['router', 'prefix', 'domain', 'zone'])),
                ...HouseWords::engine($box['engine'] ?? null),
            ],
        );
        $run = RunSteps::of($books, $box['in_service'] ?? false, array_map(Circumstance::from(...), $so));

        return new self(
            $jobs,
            array_map(fn (Playbook $book): string => $book->school, $books),
            array_map(fn ($step): FilledStep => FilledStep::of($step, Values::of($facts, $step)), $run->list),
        );
    }

    /**
     * Of a run that is under way, with what it has learned.
     *
     * @param  list<Job>  $jobs
     * @param  list<FilledStep>  $steps
     */
    public static function underWay(array $jobs, array $steps): self
    {
        return new self($jobs, [], $steps);
    }

    public function title(): string
    {
        return ucfirst(implode(', ', array_map(fn (Job $job): string => $job->label, $this->jobs)));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'jobs' => array_map(fn (Job $job): string => $job->id, $this->jobs),
            'schools' => $this->schools,
            'steps' => $this->steps,
        ];
    }
}
