<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

use Burrow\Judgement\Findings;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;

/** Runs of one evening written down as YAML or JSON, under timetable.schema.json. */
final readonly class TimetableFile
{
    /** @param  ?Timetable  $timetable  null when the file cannot be used */
    private function __construct(public ?Timetable $timetable, public Findings $findings)
    {
    }

    /** @param  string  $schema  timetable.schema.json, as text */
    public static function read(string $yaml, string $schema, string $file): self
    {
        $entry = YamlEntry::read($yaml, $schema, $file, TextBudget::description());
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        /** @var array{walk_s?: int|float, runs: list<array{run: string, steps: list<array{id: string, hands_s?: int|float, wait_s?: int|float|array{int|float, int|float}|null, holds?: list<string>, place?: string}>}>} $data */
        $data = $entry->data;
        $lanes = array_map(
            fn (array $run): Lane => new Lane(
                $run['run'],
                array_map(
                    fn (array $step): Task => new Task(
                        $step['id'],
                        (float) ($step['hands_s'] ?? 0),
                        self::wait($step['wait_s'] ?? null),
                        array_values(array_unique($step['holds'] ?? [])),
                        $step['place'] ?? '',
                    ),
                    $run['steps'],
                ),
            ),
            $data['runs'],
        );

        return new self(Timetable::of($lanes, (float) ($data['walk_s'] ?? 0)), $entry->findings);
    }

    /**
     * Of a shortest and a longest wait the middle is planned with.
     *
     * @param  int|float|array{int|float, int|float}|null  $wait
     */
    private static function wait(int|float|array|null $wait): float
    {
        return is_array($wait) ? (max($wait) + min($wait)) / 2 : (float) $wait;
    }
}
