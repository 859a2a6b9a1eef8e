<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Plan\Fit\AddOnFit;
use Burrow\Plan\Fit\Availability;
use Burrow\Plan\Fit\Company;
use Burrow\Plan\Fit\DeskCheck;
use Burrow\Plan\Fit\ImageFit;
use Burrow\Plan\Fit\LinkFit;
use Burrow\Plan\Fit\MemoryFit;
use Burrow\Plan\Fit\ProcessorFit;
use Burrow\Plan\Fit\SpaceFit;
use Burrow\Plan\Fit\StorageFit;
use Burrow\Plan\Money\PayBack;
use Burrow\Plan\Money\RunningCost;
use Burrow\Plan\Power\BusBudget;
use Burrow\Plan\Power\Heat;
use Burrow\Plan\Power\HoldUp;
use Burrow\Plan\Power\SharedSupply;
use Burrow\Plan\Power\SupplyFit;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Plan\Speed\LineCopy;
use Burrow\Plan\Speed\TunnelRate;
use Burrow\Plan\Time\CopyTime;
use Burrow\Plan\Time\ImageTime;
use Burrow\Plan\Time\InstallTime;
use Burrow\Plan\Wear\CardWear;
use Burrow\Plan\Wear\DriveWear;

/** Every part of the planner, in the order in which the sheet says them. A new one is one class and one line here. */
final class PlannerParts
{
    /** Judged by what a plan is made of: another part could change it. */
    public const OF_PARTS = [
        ProcessorFit::class,
        ImageFit::class,
        MemoryFit::class,
        SupplyFit::class,
        BusBudget::class,
        SharedSupply::class,
        AddOnFit::class,
        Availability::class,
        Heat::class,
        SpaceFit::class,
        CardWear::class,
        StorageFit::class,
        DriveWear::class,
        LinkFit::class,
    ];

    /** What the household wants and has, and what all of it comes to. */
    private const OF_THE_HOUSE = [
        Company::class,
        CopyRate::class,
        CopyTime::class,
        RunningCost::class,
        HoldUp::class,
        LineCopy::class,
        TunnelRate::class,
        ImageTime::class,
        InstallTime::class,
        DeskCheck::class,
        PayBack::class,
    ];

    /** @return list<class-string<PlannerPart>> */
    public static function all(): array
    {
        return [Usage::class, ...self::OF_PARTS, ...self::OF_THE_HOUSE];
    }
}
