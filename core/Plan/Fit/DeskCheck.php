<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;

/** What the desk computer lacks for the evening: checked before it, not during it. */
final readonly class DeskCheck implements PlannerPart
{
    use SilentPart;

    private function __construct(private PlanInput $plan)
    {
    }

    public static function findings(PlanInput $plan): Findings
    {
        $desk = $plan->desk;
        if ($desk === null) {
            return Findings::of();
        }
        $name = ucfirst($desk->name);
        $lacking = array_filter([
            $desk->administrator ? null : FitFindings::deskNoRights($name),
            $desk->loginClient ? null : FitFindings::deskNoLoginClient($name),
            $plan->needsReader() && $plan->small->cheapest(AdapterKind::Reader, $desk->usbPlug) === null
                ? FitFindings::deskNoReader($name, $desk)
                : null,
            $desk->localNames ? null : FitFindings::deskNoLocalNames($name),
            $desk->plainEditor ? null : FitFindings::deskNoEditor($name),
            $desk->fileCopier ? null : FitFindings::deskNoCopier($name),
        ]);

        return $lacking === []
            ? Findings::of(FitFindings::deskFits($name))
            : Findings::of(...array_values($lacking));
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function judge(): Findings
    {
        return self::findings($this->plan);
    }
}
