<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Judgement\Findings;
use JsonSerializable;

/** What is told of lists and a log: sizes, shares, what each list adds, and the fewest that would do. */
final readonly class FilterAnswer implements JsonSerializable
{
    /** Of the effect of all lists, for the smallest sets that are told (common practice). */
    private const SHARES = [0.9, 0.95, 0.99, 1.0];

    public function __construct(private Lists $lists, private Replay $replay, public Findings $findings)
    {
    }

    /** @return list<array{name: string, lines: int, invalid: int, unique: int, folded: int, alone: int, alone_percent: float, last: int, last_percent: float}> */
    public function lists(): array
    {
        $folded = $this->lists->folded();
        $told = [];
        foreach ($this->lists->sizes() as $number => $list) {
            $alone = $this->replay->refusedBy(1 << $number);
            $last = $this->replay->onlyBy($number);
            $told[] = [
                'name' => $list->name,
                'lines' => $list->lines,
                'invalid' => $list->invalid,
                'unique' => $list->unique,
                'folded' => $folded[$number],
                'alone' => $alone,
                'alone_percent' => $this->replay->percent($alone),
                'last' => $last,
                'last_percent' => $this->replay->percent($last),
            ];
        }

        return $told;
    }

    /** @return list<array{share_percent: float, lists: list<string>, refused: int, refused_percent: float, exact: bool}> */
    public function smallest(): array
    {
        $told = [];
        foreach (self::SHARES as $share) {
            $set = $this->replay->smallest($share);
            $told[] = [
                'share_percent' => 100 * $share,
                'lists' => array_map(
                    fn (int $number): string => $this->lists->sizes()[$number]->name,
                    $set['lists'],
                ),
                'refused' => $set['refused'],
                'refused_percent' => $this->replay->percent($set['refused']),
                'exact' => $set['exact'],
            ];
        }

        return $told;
    }

    public function sentence(): string
    {
        $share = $this->replay->percent($this->replay->refused());

        return "{$this->replay->refused()} of {$this->replay->queries()} questions would be refused, {$share} %.";
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $together = $this->lists->together();
        $percent = fn (array $row): array => $row + [
            'refused_percent' => $row['total'] === 0 ? 0.0 : round((100 * $row['refused']) / $row['total'], 2),
        ];

        return [
            'lists' => $this->lists(),
            'unique' => $together->unique,
            'folded' => $together->folded,
            'queries' => $this->replay->queries(),
            'refused' => $this->replay->refused(),
            'refused_percent' => $this->replay->percent($this->replay->refused()),
            'by_client' => array_map($percent, $this->replay->byClient()),
            'by_hour' => array_map($percent, $this->replay->byHour()),
            'smallest' => $this->smallest(),
            'breaks' => array_map(
                fn (string|int $name, int $times): array => ['name' => (string) $name, 'times' => $times],
                array_keys($this->replay->breaks()),
                $this->replay->breaks(),
            ),
            'findings' => $this->findings,
        ];
    }
}
