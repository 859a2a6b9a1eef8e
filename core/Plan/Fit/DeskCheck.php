<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Judgement\Finding;
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
            $desk->administrator
                ? null
                : Finding::warn(
                    'plan.desk_no_rights',
                    "{$name}: no administrator rights.",
                    'Writing a card writes to a disk as a whole, and that is refused without them.',
                    'Somebody who has them, or another desk computer.',
                ),
            $desk->loginClient
                ? null
                : Finding::warn(
                    'plan.desk_no_login_client',
                    "{$name} has no login client.",
                    'The box has no screen; without one nobody gets in.',
                    'Install the OpenSSH client before the evening.',
                ),
            $plan->needsReader() && $plan->small->cheapest(AdapterKind::Reader, $desk->usbPlug) === null
                ? Finding::warn(
                    'plan.desk_no_reader',
                    "{$name} has no card slot, and the catalogue no reader for its {$desk->usbPlug} sockets.",
                    'The card cannot be written there.',
                    'Add a reader to the catalogue and to the list.',
                )
                : null,
            $desk->localNames
                ? null
                : Finding::note(
                    'plan.desk_no_local_names',
                    "{$name} does not find names that end in .local.",
                    'The box is found by its address instead.',
                    'Look the address up in the router\'s list.',
                ),
            $desk->plainEditor
                ? null
                : Finding::note(
                    'plan.desk_no_editor',
                    "{$name} has no plain editor.",
                    'Others change line ends or add an extension to a file.',
                    'Take the files as they are written here; do not edit them by hand.',
                ),
            $desk->fileCopier
                ? null
                : Finding::note(
                    'plan.desk_no_copier',
                    "{$name} has no program that copies files to a box.",
                    'The first files then go in through the share only.',
                    'Its login client usually brings one: try scp.',
                ),
        ]);

        return $lacking === []
            ? Findings::of(Finding::fine('plan.desk_fits', "{$name} has what the evening needs."))
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
