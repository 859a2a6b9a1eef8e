<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Board\BoardClass;
use Burrow\Board\Cable;
use Burrow\Board\Drive;
use Burrow\Board\LinkKind;
use Burrow\Board\Supply;
use Burrow\Intake\YamlEntry;
use Burrow\Role\Role;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** A plan written down as YAML: six names of catalogue entries. */
final readonly class PlanFile
{
    private function __construct(
        public ?PlanInput $input,
        public Findings $findings,
    ) {
    }

    /**
     * @param  string  $schema  plan.schema.json, as text
     * @param  array<string, Role>  $roles  by id, as are the others
     * @param  array<string, BoardClass>  $boards
     * @param  array<string, Supply>  $supplies
     * @param  array<string, Cable>  $cables
     * @param  array<string, Drive>  $drives
     */
    public static function read(string $yaml, string $schema, string $file, array $roles, array $boards, array $supplies, array $cables, array $drives): self
    {
        $entry = YamlEntry::read($yaml, $schema, $file);
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        /** @var array{job: string, board: string, supply: string, cable: string, disk?: string, link: string} $data */
        $data = $entry->data;
        $known = ['job' => $roles, 'board' => $boards, 'supply' => $supplies, 'cable' => $cables, 'disk' => $drives];
        $findings = $entry->findings;
        foreach ($known as $name => $choices) {
            if (isset($data[$name]) && ! isset($choices[$data[$name]])) {
                $findings = $findings->and([Finding::stop('plan.unknown_part', "There is no {$name} “{$data[$name]}” in the catalogue.", 'A plan names entries by their id.', 'Known: '.implode(', ', array_keys($choices)).'.', Place::file($file, self::lineOf($yaml, $name)))]);
            }
        }
        if ($findings->blocks()) {
            return new self(null, $findings);
        }

        return new self(new PlanInput(
            $roles[$data['job']],
            $boards[$data['board']],
            $supplies[$data['supply']],
            $cables[$data['cable']],
            isset($data['disk']) ? $drives[$data['disk']] : null,
            LinkKind::from($data['link']),
        ), $findings);
    }

    private static function lineOf(string $yaml, string $key): ?int
    {
        foreach (explode("\n", $yaml) as $index => $line) {
            if (str_starts_with($line, $key.':')) {
                return $index + 1;
            }
        }

        return null;
    }
}
