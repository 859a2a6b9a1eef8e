<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Plan;

use Burrow\Judgement\Findings;
use JsonSerializable;

/** What is due, in an order with times, what does not fit and why, and what is most urgent. */
final readonly class UpkeepPlan implements JsonSerializable
{
    /**
     * @param  list<Doing>  $doings  in their order
     * @param  list<array{box: string, why: string}>  $left
     * @param  list<DueBox>  $boxes  all that were asked for
     */
    public function __construct(
        public int $now,
        public array $doings,
        public array $left,
        public array $boxes,
        public Findings $findings,
    ) {
    }

    public function finish(): ?int
    {
        return $this->doings === [] ? null : $this->doings[count($this->doings) - 1]->end();
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $urgent = $this->boxes;
        usort(
            $urgent,
            fn (DueBox $a, DueBox $b): int => [$b->risk->score(), $a->name] <=> [$a->risk->score(), $b->name],
        );

        return [
            'now' => $this->now,
            'steps' => array_map(
                fn (Doing $one): array => [
                    'box' => $one->box->name,
                    'start' => $one->start,
                    'restart' => $one->box->restart > 0 ? $one->restarts() : null,
                    'end' => $one->end(),
                    'update_s' => $one->box->update,
                    'restart_s' => $one->box->restart,
                    'check_s' => $one->box->check,
                ],
                $this->doings,
            ),
            'finish' => $this->finish(),
            'left' => $this->left,
            'urgency' => array_map(
                fn (DueBox $one): array => [
                    'box' => $one->name,
                    'score' => $one->risk->score(),
                    'working' => $one->risk->working($one->name),
                ],
                $urgent,
            ),
            'findings' => $this->findings,
        ];
    }
}
