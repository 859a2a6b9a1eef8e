<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

use Burrow\BringUp\Step\Circumstance;
use Burrow\BringUp\Step\Step;
use Burrow\Quantity\Duration;

/**
 * The steps of one run in their order: all arrivals, then each job's own, then what closes it. A step that several
 * share, by its id, is played once.
 */
final readonly class RunSteps
{
    /** @var list<Step> */
    public array $list;

    /** @param  array<string, Step>  $byId  in their order */
    private function __construct(private array $byId)
    {
        $this->list = array_values($byId);
    }

    /**
     * @param  non-empty-list<Playbook>  $playbooks
     * @param  bool  $inService  the box is up already and gets more to do
     * @param  list<Circumstance>  $so  of the box; steps that are not for it are left out
     */
    public static function of(array $playbooks, bool $inService = false, array $so = []): self
    {
        $parts = [
            ...array_map(fn (Playbook $book): array => $inService ? $book->again : $book->arrive, $playbooks),
            ...array_map(fn (Playbook $book): array => $book->steps, $playbooks),
            ...array_map(fn (Playbook $book): array => $book->close, $playbooks),
        ];
        $steps = [];
        foreach (array_merge(...$parts) as $step) {
            if ($step->isFor($so)) {
                $steps[$step->id] ??= $step;
            }
        }

        return new self($steps);
    }

    /** A step by its id; null when no playbook of the run has one of that name (any more). */
    public function step(string $id): ?Step
    {
        return $this->byId[$id] ?? null;
    }

    /**
     * Hands-on time of the steps that are not finished.
     *
     * @param  list<string>  $finished  ids
     */
    public function handsLeft(array $finished): Duration
    {
        return $this->sum($finished, fn (Step $step): float => $step->hands->seconds);
    }

    /**
     * Waiting time of the steps that are not finished, by the middle of what is expected.
     *
     * @param  list<string>  $finished  ids
     */
    public function waitLeft(array $finished): Duration
    {
        return $this->sum(
            $finished,
            fn (Step $step): float => (($step->waitFrom->seconds ?? 0) + ($step->waitTo->seconds ?? 0)) / 2,
        );
    }

    /**
     * @param  list<string>  $finished
     * @param  callable(Step): float  $time
     */
    private function sum(array $finished, callable $time): Duration
    {
        $open = array_filter($this->list, fn (Step $step): bool => ! in_array($step->id, $finished, true));

        return Duration::seconds(array_sum(array_map($time, $open)));
    }
}
