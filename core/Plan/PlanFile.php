<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Job\School;
use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Shelf;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Plan\Power\Feed;
use Burrow\Plan\Speed\Calibration;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Money;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;
use Symfony\Component\Yaml\Yaml;

/** A plan written down as YAML: names of catalogue entries, and what is so in the household. */
final readonly class PlanFile
{
    private function __construct(public ?PlanInput $input, public Findings $findings)
    {
    }

    /** @param  string  $schema plan.schema.json, as text */
    public static function read(string $yaml, string $schema, string $file, Shelf $shelf): self
    {
        $entry = YamlEntry::read($yaml, $schema, $file, lines: true);
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        /**
         * @var array{jobs: non-empty-list<string>, schools?: array<string, string>, board: string, supply: string, cable: string, disk?: string, link: string, image: string, image_from?: string, card: string, case: string, starts_from?: string, hub?: string, cooling?: string, addon?: string, along?: list<array{name: string, amps: int|float}>, desk?: array{name: string, disks: string, usb: string, card_slot: bool, local_names: bool, login_client: bool, plain_editor: bool, file_copier: bool, administrator: bool, sleeps: bool, restarts: bool, hours: int|float, watts: int|float}, measured?: array{on: string, limits?: array<string, int|float>, kelvin_per_watt?: int|float}, room_celsius?: int|float, price_per_kwh?: int|float, copy_gb?: int|float, on?: string, used_from?: string, down_mbit?: int|float, up_mbit?: int|float, battery_wh?: int|float, subscription_a_month?: int|float, daily_gb?: int|float, away_days?: int|float, far_down_mbit?: int|float, relay_mbit?: int|float, stream_mbit?: int|float, plugged?: list<array{what: string, plug: string, amps: int|float, feeds_back?: bool}>} $data
         */
        $data = $entry->data;
        $lines = new YamlLines($yaml);
        $hubs = array_column($shelf->small->hubs(), null, 'id');
        $findings = $entry->findings;
        foreach (
            [
                'board' => $shelf->boards,
                'supply' => $shelf->supplies,
                'cable' => $shelf->cables,
                'disk' => $shelf->drives,
                'image' => $shelf->images,
                'card' => $shelf->cards,
                'case' => $shelf->cases,
                'hub' => $hubs,
                'cooling' => $shelf->coolings,
                'addon' => $shelf->addOns,
            ] as $name => $known
        ) {
            if (isset($data[$name]) && ! isset($known[$data[$name]])) {
                $findings = $findings->and([
                    PlanFindings::unknownPart(
                        $name,
                        $data[$name],
                        array_keys($known),
                        Place::file($file, $lines->locate([$name])),
                    ),
                ]);
            }
        }
        foreach ($data['jobs'] as $index => $job) {
            if (! isset($shelf->jobs[$job])) {
                $findings = $findings->and([
                    PlanFindings::unknownPart(
                        'job',
                        $job,
                        array_keys($shelf->jobs),
                        Place::file($file, $lines->locate(['jobs', $index])),
                    ),
                ]);
            }
        }
        foreach ($data['schools'] ?? [] as $job => $school) {
            $known = array_map(fn (School $one): string => $one->id, $shelf->jobs[$job]->schools ?? []);
            if (! in_array($job, $data['jobs'], true)) {
                $findings = $findings->and([
                    PlanFindings::schoolWithoutJob(
                        $job,
                        $data['jobs'],
                        Place::file($file, $lines->locate(['schools', $job])),
                    ),
                ]);
            } elseif (! in_array($school, $known, true)) {
                $findings = $findings->and([
                    PlanFindings::unknownPart(
                        "school of {$job}",
                        $school,
                        $known,
                        Place::file($file, $lines->locate(['schools', $job])),
                    ),
                ]);
            }
        }
        if ($findings->blocks()) {
            return new self(null, $findings);
        }

        return new self(
            new PlanInput(
                jobs: array_map(fn (string $job): Job => $shelf->jobs[$job], $data['jobs']),
                board: $shelf->boards[$data['board']],
                supply: $shelf->supplies[$data['supply']],
                cable: $shelf->cables[$data['cable']],
                drive: $shelf->drives[$data['disk'] ?? ''] ?? null,
                link: LinkKind::from($data['link']),
                image: $shelf->images[$data['image']],
                card: $shelf->cards[$data['card']],
                case: $shelf->cases[$data['case']],
                small: $shelf->small,
                circumstances: new Circumstances(
                    (float) ($data['room_celsius'] ?? 24),
                    (float) ($data['price_per_kwh'] ?? 0.3),
                    isset($data['copy_gb']) ? Bytes::giga($data['copy_gb']) : null,
                    Duty::from($data['on'] ?? 'always'),
                    (float) ($data['down_mbit'] ?? 50),
                    (float) ($data['up_mbit'] ?? 10),
                    (float) ($data['battery_wh'] ?? 0),
                    isset($data['subscription_a_month']) ? Money::of($data['subscription_a_month']) : null,
                    $data['used_from'] ?? '',
                    isset($data['daily_gb']) ? Bytes::giga($data['daily_gb']) : null,
                    (float) ($data['away_days'] ?? 7),
                    (float) ($data['far_down_mbit'] ?? 50),
                    (float) ($data['relay_mbit'] ?? 0),
                    (float) ($data['stream_mbit'] ?? 40),
                ),
                hub: $hubs[$data['hub'] ?? ''] ?? null,
                cooling: $shelf->coolings[$data['cooling'] ?? ''] ?? null,
                addOn: $shelf->addOns[$data['addon'] ?? ''] ?? null,
                schools: new SchoolChoice($data['schools'] ?? []),
                imageFrom: ImageOrigin::from($data['image_from'] ?? 'author'),
                desk: isset($data['desk']) ? self::desk($data['desk']) : null,
                along: array_map(
                    fn (array $one): Feed => new Feed($one['name'], Amps::of($one['amps'])),
                    $data['along'] ?? [],
                ),
                calibration: new Calibration(
                    array_map(floatval(...), $data['measured']['limits'] ?? []),
                    isset($data['measured']['kelvin_per_watt'])
                        ? (float) $data['measured']['kelvin_per_watt']
                        : null,
                    $data['measured']['on'] ?? '',
                ),
                plugged: array_map(
                    fn (array $one): Peripheral => new Peripheral(
                        $one['what'],
                        $one['plug'],
                        Amps::of($one['amps']),
                        $one['feeds_back'] ?? false,
                    ),
                    $data['plugged'] ?? [],
                ),
                startFrom: StartFrom::from($data['starts_from'] ?? 'card'),
            ),
            $findings,
        );
    }

    /** What read() reads back as the same plan. */
    public static function write(PlanInput $plan): string
    {
        $so = $plan->circumstances;
        $desk = $plan->desk;
        $measured = array_filter([
            'limits' => $plan->calibration->factors,
            'kelvin_per_watt' => $plan->calibration->kelvinPerWatt,
        ]);

        return Yaml::dump(
            array_filter(
                [
                    'jobs' => array_map(fn (Job $job): string => $job->id, $plan->jobs),
                    'schools' => array_combine(
                        array_map(fn (Job $job): string => $job->id, $plan->jobs),
                        array_map(fn (Job $job): string => $plan->school($job)->id, $plan->jobs),
                    ),
                    'board' => $plan->board->id,
                    'supply' => $plan->supply->id,
                    'cable' => $plan->cable->id,
                    'disk' => $plan->drive?->id,
                    'link' => $plan->link->value,
                    'image' => $plan->image->id,
                    'image_from' => $plan->imageFrom->value,
                    'card' => $plan->card->id,
                    'starts_from' => $plan->startFrom->value,
                    'case' => $plan->case->id,
                    'hub' => $plan->hub?->id,
                    'cooling' => $plan->cooling?->id,
                    'addon' => $plan->addOn?->id,
                    'plugged' => array_map(
                        fn (Peripheral $one): array => [
                            'what' => $one->what,
                            'plug' => $one->plug,
                            'amps' => $one->current->amps,
                            'feeds_back' => $one->feedsBack,
                        ],
                        $plan->plugged,
                    ) ?:
                        null,
                    'along' => array_map(
                        fn (Feed $feed): array => ['name' => $feed->name, 'amps' => $feed->peak->amps],
                        $plan->along,
                    ) ?:
                        null,
                    'desk' => $desk === null
                            ? null
                            : [
                                'name' => $desk->name,
                                'disks' => $desk->system->value,
                                'usb' => $desk->usbPlug,
                                'card_slot' => $desk->cardSlot,
                                'local_names' => $desk->localNames,
                                'login_client' => $desk->loginClient,
                                'plain_editor' => $desk->plainEditor,
                                'file_copier' => $desk->fileCopier,
                                'administrator' => $desk->administrator,
                                'sleeps' => $desk->sleeps,
                                'restarts' => $desk->restarts,
                                'hours' => $desk->hours,
                                'watts' => $desk->watts,
                            ],
                    'measured' => $measured === [] ? null : ['on' => $plan->calibration->from] + $measured,
                    'on' => $so->duty->value,
                    'used_from' => $so->client === '' ? null : $so->client,
                    'room_celsius' => $so->roomCelsius,
                    'price_per_kwh' => $so->pricePerKilowattHour,
                    'copy_gb' => $so->copy->count / 1e9,
                    'down_mbit' => $so->downMegabits,
                    'up_mbit' => $so->upMegabits,
                    'battery_wh' => $so->batteryWattHours,
                    'subscription_a_month' => ($so->subscription->cents ?? 0) / 100,
                    'daily_gb' => $so->dailyChange->count / 1e9,
                    'away_days' => $so->awayDays,
                    'far_down_mbit' => $so->farDownMegabits,
                    'relay_mbit' => $so->relayMegabits,
                    'stream_mbit' => $so->streamMegabits,
                ],
                fn (mixed $value): bool => $value !== null,
            ),
            4,
            2,
        );
    }

    /**
     * @param  array{name: string, disks: string, usb: string, card_slot: bool, local_names: bool, login_client: bool, plain_editor: bool, file_copier: bool, administrator: bool, sleeps: bool, restarts: bool, hours: int|float, watts: int|float}  $desk
     */
    private static function desk(array $desk): DeskComputer
    {
        return new DeskComputer(
            $desk['name'],
            DeskSystem::from($desk['disks']),
            $desk['usb'],
            $desk['card_slot'],
            $desk['local_names'],
            $desk['login_client'],
            $desk['plain_editor'],
            $desk['file_copier'],
            $desk['administrator'],
            $desk['sleeps'],
            $desk['restarts'],
            (float) $desk['hours'],
            (float) $desk['watts'],
        );
    }
}
