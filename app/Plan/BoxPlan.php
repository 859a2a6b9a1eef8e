<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use Burrow\Board\LinkKind;
use Burrow\Plan\PlanInput;
use Burrow\Role\Role;

/** The plan that a box was made from, as far as its record and the catalogue still hold its parts. */
final class BoxPlan
{
    public static function of(Box $box, Catalogue $catalogue): ?PlanInput
    {
        $roles = array_values(array_filter($box->jobs->map(fn (BoxJob $job): ?Role => $catalogue->role($job->role))->all()));
        $board = $catalogue->boards()[$box->board] ?? null;
        $supply = $catalogue->supplies()[$box->supply ?? ''] ?? null;
        $cable = $catalogue->cables()[$box->cable ?? ''] ?? null;
        $image = $catalogue->images()[$box->image ?? 'server-64'] ?? null;
        $card = $catalogue->cards()[$box->card ?? 'card-32-a1'] ?? null;
        $case = $catalogue->cases()[$box->case ?? 'vented'] ?? null;
        if ($roles === [] || $board === null || $supply === null || $cable === null || $image === null || $card === null || $case === null) {
            return null;
        }

        return new PlanInput($roles, $board, $supply, $cable, $catalogue->drives()[$box->drive ?? ''] ?? null, LinkKind::from($box->link), $image, $card, $case);
    }
}
