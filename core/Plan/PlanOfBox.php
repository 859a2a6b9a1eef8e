<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Shelf;
use Burrow\Household\BoxParts;
use Burrow\Household\HeldJob;

/** The plan that a box was made from, as far as its record and the catalogue still hold its parts. */
final class PlanOfBox
{
    /** @param  list<HeldJob>  $held */
    public static function of(array $held, BoxParts $parts, Shelf $shelf): ?PlanInput
    {
        $jobs = array_map(fn (HeldJob $one): Job => $one->job, $held);
        $board = $shelf->boards[$parts->board ?? ''] ?? null;
        $supply = $shelf->supplies[$parts->supply ?? ''] ?? null;
        $cable = $shelf->cables[$parts->cable ?? ''] ?? null;
        $image = $shelf->images[$parts->image ?? 'server-64'] ?? null;
        $card = $shelf->cards[$parts->card ?? 'card-32-a1'] ?? null;
        $case = $shelf->cases[$parts->case ?? 'vented'] ?? null;
        if (
            $jobs === [] ||
            $board === null ||
            $supply === null ||
            $cable === null ||
            $image === null ||
            $card === null ||
            $case === null
        ) {
            return null;
        }
        $schools = [];
        foreach ($held as $one) {
            $schools[$one->job->id] = $one->school;
        }

        return new PlanInput(
            jobs: $jobs,
            board: $board,
            supply: $supply,
            cable: $cable,
            drive: $shelf->drives[$parts->drive ?? ''] ?? null,
            link: LinkKind::tryFrom($parts->link ?? '') ?? LinkKind::Wired,
            image: $image,
            card: $card,
            case: $case,
            small: $shelf->small,
            hub: array_column($shelf->small->hubs(), null, 'id')[$parts->hub ?? ''] ?? null,
            cooling: $shelf->coolings[$parts->cooling ?? ''] ?? null,
            addOn: $shelf->addOns[$parts->addOn ?? ''] ?? null,
            schools: new SchoolChoice(array_filter($schools, fn (string $school): bool => $school !== '')),
            imageFrom: ImageOrigin::tryFrom($parts->imageFrom ?? '') ?? ImageOrigin::Author,
            plugged: array_values(array_intersect_key(self::peripherals($shelf), array_flip($parts->plugged))),
            startFrom: StartFrom::tryFrom($parts->startFrom ?? '') ?? StartFrom::Card,
        );
    }

    /** @return array<string, Peripheral> by name: everything that any job of the catalogue has plugged in */
    public static function peripherals(Shelf $shelf): array
    {
        $known = [];
        foreach ($shelf->jobs as $job) {
            foreach ($job->peripherals as $peripheral) {
                $known[$peripheral->what] ??= $peripheral;
            }
        }

        return $known;
    }
}
