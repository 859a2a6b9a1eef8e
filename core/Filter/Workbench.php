<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Intake\Names\ListLine;
use Burrow\Intake\Names\QueryLog;

/** Lists held against what was asked: the whole as it is drawn, from the list that adds most downwards. */
final readonly class Workbench
{
    /** Names that would break that are told. */
    private const BREAKS = 30;

    /** Asked so often, a name is in use (common practice). */
    private const REGULAR = 10;

    private function __construct(private Lists $lists, private Replay $replay)
    {
    }

    /**
     * @param  array<string, iterable<int, string>>  $lists  lines by the list's name
     * @param  list<string>  $allowed  names that are answered all the same, with what is below them
     * @param  iterable<int, string>  $log  lines as a resolver writes them
     * @param  callable(int): bool  $goesOn  told the lines of the log so far; false ends it
     */
    public static function of(array $lists, array $allowed, iterable $log, callable $goesOn): self
    {
        $all = new Lists();
        foreach ($lists as $name => $lines) {
            $all->add((string) $name, $lines);
        }
        foreach ($allowed as $name) {
            $plain = ListLine::normal(strtolower(ltrim($name, '@*.')));
            $plain === null || $all->allow("*{$plain}");
        }
        $replay = new Replay($all);
        $read = new QueryLog();
        $at = 0;
        foreach ($log as $line) {
            foreach ($read->line($line) ?? [] as $query) {
                $replay->ask($query);
            }
            if (++$at % 20_000 === 0 && ! $goesOn($at)) {
                break;
            }
        }
        foreach ($read->rest() as $query) {
            $replay->ask($query);
        }

        return new self($all, $replay);
    }

    /**
     * Each list in the order in which it adds most to those above it.
     *
     * @return list<array{name: string, names: int, invalid: int, alone: float, adds: float, sum: float}> per cent
     */
    public function order(): array
    {
        $sizes = $this->lists->sizes();
        $left = array_keys($sizes);
        $chosen = 0;
        $before = 0;
        $order = [];
        while ($left !== []) {
            $best = $left[0];
            $most = -1;
            foreach ($left as $number) {
                $with = $this->replay->refusedBy($chosen | (1 << $number));
                $with > $most && ([$best, $most] = [$number, $with]);
            }
            $chosen |= 1 << $best;
            $order[] = [
                'name' => $sizes[$best]->name,
                'names' => $sizes[$best]->unique,
                'invalid' => $sizes[$best]->invalid,
                'alone' => $this->replay->percent($this->replay->refusedBy(1 << $best)),
                'adds' => $this->replay->percent($most - $before),
                'sum' => $this->replay->percent($most),
            ];
            $before = $most;
            $left = array_values(array_diff($left, [$best]));
        }

        return $order;
    }

    /** @return list<array{name: string, times: int, lists: list<string>}> answered then, refused now, and in use */
    public function breaks(): array
    {
        $told = [];
        foreach ($this->replay->breaks() as $name => $times) {
            if ($times >= self::REGULAR && count($told) < self::BREAKS) {
                $told[] = [
                    'name' => (string) $name,
                    'times' => $times,
                    'lists' => array_values(
                        array_unique(array_column($this->lists->why((string) $name), 'list')),
                    ),
                ];
            }
        }

        return $told;
    }

    /**
     * All that the page draws, for keeping.
     *
     * @return array{queries: int, refused: int, share: float, order: list<array{name: string, names: int, invalid: int, alone: float, adds: float, sum: float}>, breaks: list<array{name: string, times: int, lists: list<string>}>, hours: list<array{hour: int, total: int, refused: int}>, clients: list<array{client: string, total: int, refused: int}>, days: ?float, smallest: list<string>}
     */
    public function told(): array
    {
        return [
            'queries' => $this->replay->queries(),
            'refused' => $this->replay->refused(),
            'share' => $this->replay->percent($this->replay->refused()),
            'order' => $this->order(),
            'breaks' => $this->breaks(),
            'hours' => $this->replay->byHour(),
            'clients' => $this->replay->byClient(),
            'days' => $this->replay->days(),
            'smallest' => array_map(
                fn (int $number): string => $this->lists->sizes()[$number]->name,
                $this->replay->smallest(0.95)['lists'],
            ),
        ];
    }
}
