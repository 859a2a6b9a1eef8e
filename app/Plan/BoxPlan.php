<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use App\Household\Rows\BoxRows;
use App\Models\Box;
use App\Models\BoxJob;
use Burrow\Household\HeldJob;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlanOfBox;

/** The plan that a box was made from, as far as its record and the catalogue still hold its parts. */
final class BoxPlan
{
    public static function of(Box $box, Catalogue $catalogue): ?PlanInput
    {
        $held = $box->jobs->map(function (BoxJob $one) use ($catalogue): ?HeldJob {
            $job = $catalogue->job($one->job);

            return $job === null ? null : new HeldJob($job, $one->school ?? '', $one->finished_at !== null);
        });

        return PlanOfBox::of(
            array_values(array_filter($held->all())),
            BoxRows::parts($box->getAttributes()),
            $catalogue->shelf(),
        );
    }
}
