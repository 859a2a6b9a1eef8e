<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Board\BoardClass;
use Burrow\Board\Cable;
use Burrow\Board\CardKind;
use Burrow\Board\Drive;
use Burrow\Board\Enclosure;
use Burrow\Board\ImageKind;
use Burrow\Board\LinkKind;
use Burrow\Board\Supply;
use Burrow\Intake\YamlEntry;
use Burrow\Intake\YamlLines;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use Burrow\Role\Role;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** A plan written down as YAML: names of catalogue entries, and what is so in the household. */
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
     * @param  array<string, ImageKind>  $images
     * @param  array<string, CardKind>  $cards
     * @param  array<string, Enclosure>  $cases
     */
    public static function read(string $yaml, string $schema, string $file, array $roles, array $boards, array $supplies, array $cables, array $drives, array $images, array $cards, array $cases): self
    {
        $entry = YamlEntry::read($yaml, $schema, $file);
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        /** @var array{jobs: non-empty-list<string>, board: string, supply: string, cable: string, disk?: string, link: string, image: string, card: string, case: string, room_celsius?: int|float, price_per_kwh?: int|float, copy_gb?: int|float, on?: string, used_from?: string, down_mbit?: int|float, up_mbit?: int|float, battery_wh?: int|float, subscription_a_month?: int|float} $data */
        $data = $entry->data;
        $findings = $entry->findings;
        foreach (['board' => $boards, 'supply' => $supplies, 'cable' => $cables, 'disk' => $drives, 'image' => $images, 'card' => $cards, 'case' => $cases] as $name => $known) {
            if (isset($data[$name]) && ! isset($known[$data[$name]])) {
                $findings = $findings->and([self::unknown($name, $data[$name], array_keys($known), Place::file($file, YamlLines::locate($yaml, [$name])))]);
            }
        }
        foreach ($data['jobs'] as $index => $job) {
            if (! isset($roles[$job])) {
                $findings = $findings->and([self::unknown('job', $job, array_keys($roles), Place::file($file, YamlLines::locate($yaml, ['jobs', $index])))]);
            }
        }
        if ($findings->blocks()) {
            return new self(null, $findings);
        }

        return new self(new PlanInput(
            array_map(fn (string $job): Role => $roles[$job], $data['jobs']),
            $boards[$data['board']],
            $supplies[$data['supply']],
            $cables[$data['cable']],
            isset($data['disk']) ? $drives[$data['disk']] : null,
            LinkKind::from($data['link']),
            $images[$data['image']],
            $cards[$data['card']],
            $cases[$data['case']],
            new Circumstances(
                (float) ($data['room_celsius'] ?? 24),
                (float) ($data['price_per_kwh'] ?? 0.30),
                isset($data['copy_gb']) ? Bytes::giga($data['copy_gb']) : null,
                Duty::from($data['on'] ?? 'always'),
                (float) ($data['down_mbit'] ?? 50),
                (float) ($data['up_mbit'] ?? 10),
                (float) ($data['battery_wh'] ?? 0),
                isset($data['subscription_a_month']) ? Money::of($data['subscription_a_month']) : null,
                $data['used_from'] ?? 'desktop',
            ),
        ), $findings);
    }

    /** @param  list<string>  $known */
    private static function unknown(string $kind, string $typed, array $known, Place $place): Finding
    {
        return Finding::stop('plan.unknown_part', "There is no {$kind} “{$typed}” in the catalogue.", 'A plan names entries by their id.', 'Known: '.implode(', ', $known).'.', $place);
    }
}
