<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

use Burrow\BringUp\Change;
use Burrow\BringUp\Kind\StepKinds;
use Burrow\BringUp\Step\Circumstance;
use Burrow\BringUp\Step\Step;
use Burrow\Quantity\Duration;
use InvalidArgumentException;

/** Turns playbooks' YAML, once their JSON Schema has passed it, into steps; shared parts are put in by their id. */
final readonly class PlaybookReader
{
    /**
     * @param  array<string, array{per?: string, steps: list<array<string, mixed>>}>  $parts  shared steps by the part's
     *         id; those of a part that is played for each job anew carry the job's name in theirs
     * @param  array{arrive: list<string>, again: list<string>, close: list<string>}  $usual  parts where a playbook
     *         names none of its own
     */
    public function __construct(private array $parts, private array $usual)
    {
    }

    /**
     * @param  array<string, mixed>  $entry  valid under playbook.schema.json
     *
     * @throws InvalidArgumentException for a part that is not known, and for two steps of one id
     */
    public function playbook(array $entry): Playbook
    {
        /**
         * @var array{id: string, job: string, school: string, releases?: list<int>, confirmed?: string, values?: array<string, string>, arrive?: list<string>, again?: list<string>, steps: list<array<string, mixed>>, close?: list<string>} $entry
         */
        if ($entry['id'] !== "{$entry['job']}.{$entry['school']}") {
            throw new InvalidArgumentException(
                "its id must be “{$entry['job']}.{$entry['school']}”, for its job and school.",
            );
        }
        $values = $entry['values'] ?? [];
        $common = [
            'job' => $entry['job'],
            'releases' => $entry['releases'] ?? [],
            'confirmed' => $entry['confirmed'] ?? '',
        ];
        $own = $this->steps($entry['steps'], $values, $common);
        $ids = array_map(fn (Step $step): string => $step->id, $own);
        if (count($ids) !== count(array_unique($ids))) {
            throw new InvalidArgumentException('two of its steps have one id.');
        }

        return new Playbook(
            $entry['job'],
            $entry['school'],
            $this->parts($entry['arrive'] ?? $this->usual['arrive'], $values),
            $this->parts($entry['again'] ?? $this->usual['again'], $values),
            $own,
            $this->parts($entry['close'] ?? $this->usual['close'], $values),
        );
    }

    /** In the place of a playbook that nobody has written yet: what every box goes through. */
    public function bare(string $job, string $school): Playbook
    {
        return new Playbook(
            $job,
            $school,
            $this->parts($this->usual['arrive'], []),
            $this->parts($this->usual['again'], []),
            [],
            $this->parts($this->usual['close'], []),
        );
    }

    /** The steps that change a box which is up. */
    public function change(Change $change): Playbook
    {
        return new Playbook('', $change->value, [], $this->parts([$change->value], []), [], []);
    }

    /** The steps of a shared part, as those of a job that nobody has: after all jobs' own, before what closes. */
    public function part(string $id): Playbook
    {
        return new Playbook('', $id, [], [], $this->parts([$id], []), []);
    }

    /** In the place of a step that was begun and whose playbook has changed since. */
    public static function gone(string $id): Step
    {
        return self::step(
            [
                'id' => $id,
                'kind' => 'hand',
                'title' => "“{$id}”, a step that its playbook no longer has",
                'text' => 'The playbook was changed or taken away while this run was under way. What was done before stays written down.',
                'hands_s' => 0,
                'caution' => 'This step cannot be told any more. Put the playbook back, or pass the step over with a reason.',
            ],
            [],
            ['job' => ''],
        );
    }

    /**
     * @param  list<string>  $ids
     * @param  array<string, string>  $values
     * @return list<Step>
     */
    private function parts(array $ids, array $values): array
    {
        return $this->steps(array_map(fn (string $id): array => ['part' => $id], $ids), $values, [
            'job' => '',
        ]);
    }

    /**
     * @param  list<array<string, mixed>>  $entries  steps, and parts by their id
     * @param  array<string, string>  $values
     * @param  array{job: string, releases?: list<int>, confirmed?: string}  $common  what is so of all of them
     * @return list<Step>
     */
    private function steps(array $entries, array $values, array $common): array
    {
        $steps = [];
        foreach ($entries as $entry) {
            $name = $entry['part'] ?? null;
            if (! is_string($name)) {
                $steps[] = [self::step($entry, $values, $common)];

                continue;
            }
            $part =
                $this->parts[$name] ??
                throw new InvalidArgumentException(
                    "there is no shared part “{$name}”; there are ".
                        implode(', ', array_keys($this->parts)).
                        '.',
                );
            $own = ($part['per'] ?? '') === 'job' && $common['job'] !== '';
            $theirs = array_map(
                fn (array $step): array => $own ? self::renamed($step, $common['job']) : $step,
                $part['steps'],
            );
            $steps[] = $this->steps($theirs, $values, $common);
        }

        return array_merge(...$steps);
    }

    /**
     * @param  array<string, mixed>  $step
     * @return array<string, mixed> the same under a name of the job's own
     */
    private static function renamed(array $step, string $job): array
    {
        return isset($step['part'])
            ? $step
            : ['id' => "{$job}-".(is_string($step['id'] ?? null) ? $step['id'] : '')] + $step;
    }

    /**
     * @param  array<string, mixed>  $entry
     * @param  array<string, string>  $values
     * @param  array{job: string, releases?: list<int>, confirmed?: string}  $common
     */
    private static function step(array $entry, array $values, array $common): Step
    {
        /**
         * @var array{id: string, kind: string, title: string, text: string, command?: string, expect?: string, hands_s: int, wait_s?: array{int, int}, meanwhile?: string, if_longer?: string, caution?: string, only?: list<string>, unless?: list<string>} $entry
         */
        return new Step(
            id: $entry['id'],
            kind: StepKinds::of($entry['kind']),
            title: $entry['title'],
            text: trim($entry['text']),
            command: rtrim($entry['command'] ?? ''),
            expect: trim($entry['expect'] ?? ''),
            hands: Duration::seconds($entry['hands_s']),
            waitFrom: isset($entry['wait_s']) ? Duration::seconds($entry['wait_s'][0]) : null,
            waitTo: isset($entry['wait_s']) ? Duration::seconds($entry['wait_s'][1]) : null,
            meanwhile: trim($entry['meanwhile'] ?? ''),
            ifLonger: trim($entry['if_longer'] ?? ''),
            caution: trim($entry['caution'] ?? ''),
            values: $values,
            only: array_map(Circumstance::from(...), $entry['only'] ?? []),
            unless: array_map(Circumstance::from(...), $entry['unless'] ?? []),
            more: DetailsReader::details($entry, $common),
        );
    }
}
