<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\AddOn;
use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Bytes;

/** What is said of parts and jobs that fit or do not, each with its one text; sources: docs/formulas/plan.md. */
final class FitFindings
{
    public static function addonCase(AddOn $addOn, PlanInput $plan): Finding
    {
        return Finding::warn(
            'plan.addon_case',
            "{$addOn->label}: the {$plan->case->label} does not close over it.",
            'An add-on board no longer fits the plain case (common practice).',
            'A case with room for it.',
        );
    }

    public static function addonHeader(AddOn $addOn, PlanInput $plan): Finding
    {
        return Finding::stop(
            'plan.addon_header',
            "{$addOn->label}: it wants a {$addOn->pins}-pin header, and the {$plan->board->label} has ".
                ($plan->board->headerPins === 0 ? 'none.' : "one of {$plan->board->headerPins} pins."),
            'It cannot be plugged on.',
            'Another add-on, one on USB, or another board.',
        );
    }

    public static function builtInAudio(): Finding
    {
        return Finding::note(
            'plan.built_in_audio',
            'The built-in audio output is poor.',
            'A USB converter, an add-on with analogue sockets and one with digital sockets each cost and sound differently (common practice).',
            'Choose an add-on, or try it first and add one later.',
        );
    }

    public static function companyOfAFilter(string $pair, Job $other, Job $job): Finding
    {
        return Finding::warn(
            'plan.company_of_a_filter',
            $pair,
            "When the {$other->label} is restarted or overloaded, the whole house is without {$job->servesAll}.",
            'Give the filter a box of its own; the smallest board will do.',
        );
    }

    public static function companyOfAPrinter(string $pair): Finding
    {
        return Finding::warn(
            'plan.company_of_a_printer',
            $pair,
            'A print stutters when something else takes the processor.',
            'Give the printer a board of its own.',
        );
    }

    public static function companyOfFiles(string $pair): Finding
    {
        return Finding::warn(
            'plan.company_of_files',
            $pair,
            'What can be reached from outside should not hold the household\'s files.',
            'Two small boxes instead of one.',
        );
    }

    /** @param  non-empty-list<string>  $labels */
    public static function companyOfPorts(array $labels, string $port, bool $mayMove, int $free): Finding
    {
        return Finding::warn(
            'plan.company_of_ports',
            ucfirst(implode(' and ', $labels))." both want {$port}.",
            'One address, protocol and port can be held once; the second service does not start.',
            $mayMove
                ? "Move one of them to {$free} when you install it, or give it a box of its own."
                : 'Clients ask at this port and no other: leave one of them out, or give it a box of its own.',
        );
    }

    public static function deskFits(string $name): Finding
    {
        return Finding::fine('plan.desk_fits', "{$name} has what the evening needs.");
    }

    public static function deskNoCopier(string $name): Finding
    {
        return Finding::note(
            'plan.desk_no_copier',
            "{$name} has no program that copies files to a box.",
            'The first files then go in through the share only.',
            'Its login client usually brings one: try scp.',
        );
    }

    public static function deskNoEditor(string $name): Finding
    {
        return Finding::note(
            'plan.desk_no_editor',
            "{$name} has no plain editor.",
            'Others change line ends or add an extension to a file.',
            'Take the files as they are written here; do not edit them by hand.',
        );
    }

    public static function deskNoLocalNames(string $name): Finding
    {
        return Finding::note(
            'plan.desk_no_local_names',
            "{$name} does not find names that end in .local.",
            'The box is found by its address instead.',
            'Look the address up in the router\'s list.',
        );
    }

    public static function deskNoLoginClient(string $name): Finding
    {
        return Finding::warn(
            'plan.desk_no_login_client',
            "{$name} has no login client.",
            'The box has no screen; without one nobody gets in.',
            'Install the OpenSSH client before the evening.',
        );
    }

    public static function deskNoReader(string $name, DeskComputer $desk): Finding
    {
        return Finding::warn(
            'plan.desk_no_reader',
            "{$name} has no card slot, and the catalogue no reader for its {$desk->usbPlug} sockets.",
            'The card cannot be written there.',
            'Add a reader to the catalogue and to the list.',
        );
    }

    public static function deskNoRights(string $name): Finding
    {
        return Finding::warn(
            'plan.desk_no_rights',
            "{$name}: no administrator rights.",
            'Writing a card writes to a disk as a whole, and that is refused without them.',
            'Somebody who has them, or another desk computer.',
        );
    }

    public static function memoryFits(float $spare): Finding
    {
        return Finding::fine('plan.memory_fits', "Memory: {$spare} % to spare when busy.");
    }

    public static function memoryShort(string $shortBy, Bytes $needed, Bytes $has, string $more): Finding
    {
        return Finding::stop(
            'plan.memory_short',
            "The memory is short by {$shortBy}.",
            "{$needed->binary()} are needed and the board has {$has->binary()}.",
            $more,
        );
    }

    public static function memorySwaps(string $shortBy, string $more): Finding
    {
        return Finding::stop(
            'plan.memory_swaps',
            "The memory is short by {$shortBy}.",
            'It starts, and then spends its time moving memory to the disk and back.',
            $more,
        );
    }

    public static function memoryTight(float $spare, string $shortBy, string $more): Finding
    {
        return Finding::warn(
            'plan.memory_tight',
            $spare >= 0
                ? "Only {$spare} % of the memory stays free."
                : "When busy, the memory is short by {$shortBy}.",
            $spare >= 0
                ? 'It runs slowly: files are read from the disk again each time.'
                : 'It runs slowly: at its peaks it moves memory to the card and back.',
            $more,
        );
    }

    public static function needs64Bit(Job $job): Finding
    {
        return Finding::stop(
            'plan.needs_64_bit',
            ucfirst($job->label).' needs 64 bits.',
            'Its programs are made for nothing else any more.',
            'Take a 64-bit board and a 64-bit image.',
        );
    }

    public static function notToBeHad(string $label): Finding
    {
        return Finding::warn(
            'plan.not_to_be_had',
            "{$label} is not to be had at the moment.",
            'A plan that waits for a part is no plan.',
            'The next best is among the ways out.',
        );
    }

    public static function peripheralUnknown(PlanInput $plan, string $what): Finding
    {
        return Finding::warn(
            'plan.peripheral_unknown',
            "{$plan->image->label} does not know the {$what}.",
            'The newest image is not always the richest: support comes late, or has ended.',
            'Another image, or another '.$what.'.',
        );
    }

    public static function processorFits(string $what): Finding
    {
        return Finding::fine('plan.processor_fits', "Processor: fast enough for {$what}.");
    }

    public static function processorSlow(string $what, string $board): Finding
    {
        return Finding::warn(
            'plan.processor_slow',
            ucfirst($what)." on the {$board}: slow.",
            'Pages take their time, and long work makes others wait.',
            'Choose a faster board.',
        );
    }

    public static function processorTooWeak(string $what, string $board): Finding
    {
        return Finding::stop(
            'plan.processor_too_weak',
            ucfirst($what)." on the {$board}: it does not run.",
            'It is many times slower than what the job wants.',
            'Choose a faster board.',
        );
    }

    public static function processorWeak(string $what, string $board): Finding
    {
        return Finding::stop(
            'plan.processor_weak',
            ucfirst($what)." on the {$board}: it starts and is unusable.",
            'It is several times slower than what the job wants.',
            'Choose a faster board.',
        );
    }
}
