<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Plan\PlanInput;
use Burrow\Plan\SchoolChoice;

/** The plan that a box was made from, as far as its record and the catalogue still hold its parts. */
final class BoxPlan
{
    public static function of(Box $box, Catalogue $catalogue): ?PlanInput
    {
        $shelf = $catalogue->shelf();
        $jobs = array_values(array_filter($box->jobs->map(fn (BoxJob $job): ?Job => $catalogue->job($job->job))->all()));
        $board = $shelf->boards[$box->board] ?? null;
        $supply = $shelf->supplies[$box->supply ?? ''] ?? null;
        $cable = $shelf->cables[$box->cable ?? ''] ?? null;
        $image = $shelf->images[$box->image ?? 'server-64'] ?? null;
        $card = $shelf->cards[$box->card ?? 'card-32-a1'] ?? null;
        $case = $shelf->cases[$box->case ?? 'vented'] ?? null;
        if ($jobs === [] || $board === null || $supply === null || $cable === null || $image === null || $card === null || $case === null) {
            return null;
        }

        return new PlanInput(
            $jobs,
            $board,
            $supply,
            $cable,
            $shelf->drives[$box->drive ?? ''] ?? null,
            LinkKind::tryFrom($box->link) ?? LinkKind::Wired,
            $image,
            $card,
            $case,
            $shelf->small,
            hub: array_column($shelf->small->hubs(), null, 'id')[$box->hub ?? ''] ?? null,
            cooling: $shelf->coolings[$box->cooling ?? ''] ?? null,
            addOn: $shelf->addOns[$box->addon ?? ''] ?? null,
            schools: new SchoolChoice(array_filter($box->jobs->pluck('school', 'job')->all(), is_string(...))),
            imageFrom: ImageOrigin::tryFrom($box->image_from ?? '') ?? ImageOrigin::Author,
            plugged: array_values(array_intersect_key(SheetFields::peripherals($catalogue), array_flip(explode(',', $box->plugged ?? '')))),
        );
    }
}
