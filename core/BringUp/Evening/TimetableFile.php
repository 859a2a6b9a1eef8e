<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

use Burrow\BringUp\Step\BringUpFindings;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

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
        $entry = YamlEntry::read($yaml, $schema, $file, TextBudget::description(), lines: true);
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        /** @var array{walk_s?: int|float, runs: list<array{run: string, steps: list<array{id: string, hands_s?: int|float, wait_s?: int|float|array{int|float, int|float}|null, holds?: list<string>, place?: string}>}>} $data */
        $data = $entry->data;
        $lines = new YamlLines($yaml);
        $found = [];
        foreach ($data['runs'] as $r => $run) {
            foreach ($run['steps'] as $s => $step) {
                $wait = $step['wait_s'] ?? null;
                if (is_array($wait) && $wait[0] > $wait[1]) {
                    $found[] = BringUpFindings::waitBackwards(
                        $step['id'],
                        Place::file($file, $lines->locate(['runs', $r, 'steps', $s, 'wait_s'])),
                    );
                }
            }
        }
        if ($found !== []) {
            return new self(null, Findings::of(...$found));
        }
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
                        is_array($step['wait_s'] ?? null) && $step['wait_s'][0] < $step['wait_s'][1]
                            ? [(float) $step['wait_s'][0], (float) $step['wait_s'][1]]
                            : null,
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
        return is_array($wait) ? ($wait[0] + $wait[1]) / 2 : (float) $wait;
    }
}
