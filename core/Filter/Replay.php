<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Intake\Names\Query;

/**
 * A log of questions, asked again of other lists: what would have been refused, and what each list has to do with
 * it.
 */
final class Replay
{
    /** Up to so many lists every choice of them is tried; beyond, the largest gain comes first. */
    private const EXACT = 16;

    /** Clients that are told apart. */
    private const CLIENTS = 2000;

    /** Names that would break, most asked first. */
    private const BREAKS = 50;

    private int $queries = 0;

    private int $refused = 0;

    /** @var array<string, array{int, int}> asked and refused, by client */
    private array $clients = [];

    /** @var array<int, array{int, int}> by hour of the day */
    private array $hours = [];

    /** @var array<int, int> questions by the lists that refuse them, as bits */
    private array $byLists = [];

    private ?int $first = null;

    private ?int $last = null;

    /** @var array<string, int> answered then, refused now: how often */
    private array $breaks = [];

    public function __construct(private readonly Lists $lists)
    {
    }

    public function ask(Query $query): void
    {
        $lists = $this->lists->refusing($query->name);
        $is = $lists === 0 ? 0 : 1;
        $this->queries++;
        $this->refused += $is;
        $client = $query->client ?? 'not told';
        if (isset($this->clients[$client])) {
            $this->clients[$client][0]++;
            $this->clients[$client][1] += $is;
        } elseif (count($this->clients) < self::CLIENTS) {
            $this->clients[$client] = [1, $is];
        }
        if ($query->at !== null) {
            $this->first = min($this->first ?? $query->at, $query->at);
            $this->last = max($this->last ?? $query->at, $query->at);
        }
        if ($query->hour !== null) {
            $this->hours[$query->hour] ??= [0, 0];
            $this->hours[$query->hour][0]++;
            $this->hours[$query->hour][1] += $is;
        }
        if ($is === 1) {
            $this->byLists[$lists] = ($this->byLists[$lists] ?? 0) + 1;
            if ($query->outcome === 'answered' || $query->outcome === 'cached') {
                $this->breaks[$query->name] = ($this->breaks[$query->name] ?? 0) + 1;
            }
        }
    }

    public function queries(): int
    {
        return $this->queries;
    }

    public function refused(): int
    {
        return $this->refused;
    }

    /** Days from the first question to the last; null where the log has no dates. */
    public function days(): ?float
    {
        return $this->first === null || $this->last === null ? null : ($this->last - $this->first) / 86_400;
    }

    public function percent(int $of): float
    {
        return $this->queries === 0 ? 0.0 : round((100 * $of) / $this->queries, 2);
    }

    /** Questions that some lists, as bits, refuse. */
    public function refusedBy(int $lists): int
    {
        $count = 0;
        foreach ($this->byLists as $by => $questions) {
            $count += ($by & $lists) === 0 ? 0 : $questions;
        }

        return $count;
    }

    /** Questions that a list refuses and no other one does: what is lost without it. */
    public function onlyBy(int $number): int
    {
        return $this->byLists[1 << $number] ?? 0;
    }

    /** @return list<array{client: string, total: int, refused: int}> who asked most first */
    public function byClient(): array
    {
        $all = [];
        foreach ($this->clients as $client => [$total, $refused]) {
            $all[] = ['client' => (string) $client, 'total' => $total, 'refused' => $refused];
        }
        usort(
            $all,
            fn (array $a, array $b): int => [$b['total'], $a['client']] <=> [$a['total'], $b['client']],
        );

        return $all;
    }

    /** @return list<array{hour: int, total: int, refused: int}> */
    public function byHour(): array
    {
        ksort($this->hours);
        $all = [];
        foreach ($this->hours as $hour => [$total, $refused]) {
            $all[] = ['hour' => $hour, 'total' => $total, 'refused' => $refused];
        }

        return $all;
    }

    /** @return array<string, int> names that were answered and would be refused, most asked first => how often */
    public function breaks(): array
    {
        arsort($this->breaks);

        return array_slice($this->breaks, 0, self::BREAKS, true);
    }

    /**
     * The fewest lists that refuse at least so much of what all refuse together.
     *
     * @param  float  $share  0 to 1
     * @return array{lists: list<int>, refused: int, exact: bool} numbers of lists in their order
     */
    public function smallest(float $share): array
    {
        $count = count($this->lists->sizes());
        $wanted = (int) ceil($share * $this->refused - 1e-9);
        if ($this->refused === 0 || $wanted <= 0) {
            return ['lists' => [], 'refused' => 0, 'exact' => true];
        }
        $greedy = $this->greedy($wanted, $count);
        if ($count > self::EXACT) {
            return $greedy + ['exact' => false];
        }
        for ($many = 1; $many < count($greedy['lists']); $many++) {
            $best = $this->best($many, $count);
            if ($best['refused'] >= $wanted) {
                return $best + ['exact' => true];
            }
        }

        return $greedy + ['exact' => true];
    }

    /** @return array{lists: list<int>, refused: int} the list that adds most, again and again */
    private function greedy(int $wanted, int $count): array
    {
        $chosen = 0;
        $lists = [];
        for ($refused = 0; $refused < $wanted && count($lists) < $count;) {
            $best = 0;
            $most = -1;
            for ($number = 0; $number < $count; $number++) {
                $with = $this->refusedBy($chosen | (1 << $number));
                if (($chosen & (1 << $number)) === 0 && $with > $most) {
                    [$best, $most] = [$number, $with];
                }
            }
            $chosen |= 1 << $best;
            $lists[] = $best;
            $refused = $most;
        }
        sort($lists);

        return ['lists' => $lists, 'refused' => $this->refusedBy($chosen)];
    }

    /** @return array{lists: list<int>, refused: int} of all choices of so many lists the one that refuses most */
    private function best(int $many, int $count): array
    {
        $best = 0;
        $most = -1;
        for ($choice = 1; $choice < 1 << $count; $choice++) {
            if (substr_count(decbin($choice), '1') !== $many) {
                continue;
            }
            $refused = $this->refusedBy($choice);
            if ($refused > $most) {
                [$best, $most] = [$choice, $refused];
            }
        }
        $lists = array_values(
            array_filter(range(0, $count - 1), fn (int $number): bool => ($best & (1 << $number)) !== 0),
        );

        return ['lists' => $lists, 'refused' => $most];
    }
}
