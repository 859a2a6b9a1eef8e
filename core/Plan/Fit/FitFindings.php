<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\School;
use Burrow\Catalogue\Part\AddOn;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Rate;

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

    public static function applianceShared(): Finding
    {
        return Finding::warn(
            'plan.appliance_shared',
            'A second job on a ready-made image.',
            'Its updates come as a whole and may undo what was added.',
            'A plain image with both jobs on it, or two boxes.',
        );
    }

    public static function bootOrder(BoardClass $board): Finding
    {
        return Finding::note(
            'plan.boot_order',
            "The {$board->label} looks at its card first".
                ($board->startsFromDrive() === 'drive' ? '.' : ", and starts from a {$board->startsFromDrive()}."),
            'A throw-away card changes the order once: ten seconds, harmless to repeat.',
            'Take that card out afterwards; a forgotten stick or card may start instead.',
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

    public static function cardHolds(Bytes $needed, Bytes $holds): Finding
    {
        return Finding::fine(
            'plan.card_holds',
            "Space used on the card: {$needed->decimal()} of {$holds->decimal()}.",
        );
    }

    public static function cardTooSmall(Bytes $holds, Bytes $needed): Finding
    {
        return Finding::stop(
            'plan.card_too_small',
            "The card holds {$holds->decimal()}, and {$needed->decimal()} are needed.",
            'A full card stops updates first and everything else after.',
            'Take a larger card.',
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

    public static function copySlow(CopyRate $copy): Finding
    {
        return Finding::note(
            'plan.copy_slow',
            "Copies run at {$copy->rate()}.",
            'Fine for archive and backup, useless for editing video (common practice).',
            "Without the {$copy->limit()->name} as the limit it would be {$copy->next()->rate}.",
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

    public static function diskNotNeeded(Drive $drive): Finding
    {
        return Finding::note(
            'plan.disk_not_needed',
            'No job here needs a disk of its own.',
            "The plan has one: {$drive->label}, {$drive->price}.",
            'Leave it out, unless the box is to start from it or plans are to grow.',
        );
    }

    public static function diskTooSmall(Bytes $amount, Drive $drive): Finding
    {
        return Finding::stop(
            'plan.disk_too_small',
            "{$amount->decimal()} are to go onto a disk of {$drive->capacity->decimal()}.",
            'The copy ends when the disk is full.',
            'A larger disk, or less to copy.',
        );
    }

    public static function image32On64(): Finding
    {
        return Finding::note(
            'plan.image_32_on_64',
            'A 32-bit image on a 64-bit board.',
            'Some take it for a light job; containers and newer programs want 64 bits.',
            'Take 64 bits where it runs.',
        );
    }

    public static function imageBits(ImageKind $image, BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.image_bits',
            "A {$image->kernelBits}-bit image does not start the {$board->label}.",
            "Its processor has {$board->processor->bits} bits.",
            "Take the {$board->processor->bits}-bit image.",
        );
    }

    public static function imageBringsAJob(ImageKind $image): Finding
    {
        return Finding::stop(
            'plan.image_brings_a_job',
            "{$image->label}: it brings a job along that this plan does not take.",
            'What else is installed on it may be undone by its own updates.',
            'A plain image, or the ready-made school.',
        );
    }

    public static function imageFromStranger(): Finding
    {
        return Finding::stop(
            'plan.image_from_stranger',
            'The image was re-packed by somebody unknown.',
            'It can carry a miner or a back door, and a checksum from the same place proves nothing.',
            'Take the image from its author, or from a packager whom the author names.',
        );
    }

    public static function imageMemoryLow(ImageKind $image, Bytes $has): Finding
    {
        return Finding::warn(
            'plan.image_memory_low',
            "{$image->label} wants {$image->memoryWanted->binary()}; the board has {$has->binary()}.",
            'It starts, stutters, and the keyboard goes dead at times (common practice).',
            'Take the plain server image, with a light desktop on it if you need one.',
        );
    }

    public static function imageMemoryShort(ImageKind $image, Bytes $has): Finding
    {
        return Finding::stop(
            'plan.image_memory_short',
            "{$image->label}: it wants {$image->memoryLeast->binary()} at the very least, and the board has {$has->binary()}.",
            'It fails while starting (common practice).',
            'Take the plain server image.',
        );
    }

    public static function imageMemoryUnusable(ImageKind $image, Bytes $has): Finding
    {
        return Finding::stop(
            'plan.image_memory_unusable',
            "{$image->label} starts and is unusable with {$has->binary()}.",
            'It stutters, and the keyboard goes dead (common practice).',
            'Take the plain server image, with a light desktop on it if you need one.',
        );
    }

    public static function imageMixedBits(): Finding
    {
        return Finding::note(
            'plan.image_mixed_bits',
            'A 64-bit kernel under 32-bit programs.',
            'It tells programs that it has 64 bits, and containers then fetch the kind that does not run.',
            'Take the plain 64-bit image where it runs.',
        );
    }

    public static function imageOfAnotherJob(ImageKind $image): Finding
    {
        return Finding::stop(
            'plan.image_of_another_job',
            "{$image->label}: it is made for another job.",
            'Nothing of this job is on it.',
            'Take the ready-made image of the job, or another school.',
        );
    }

    public static function imageTooOld(ImageKind $image, BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.image_too_old',
            "An image of {$image->year} does not start a board of {$board->year}.",
            'It does not know the board\'s parts; the other way round works.',
            'Take a newer image.',
        );
    }

    public static function imageVouched(): Finding
    {
        return Finding::note(
            'plan.image_vouched',
            'The image was packed by somebody its author vouches for.',
            'Its checksum comes from the packager, so both are trusted.',
            'Compare the checksum with the one on the author\'s own page if there is one.',
        );
    }

    public static function imageWithoutUpdates(PlanInput $plan): Finding
    {
        return Finding::warn(
            'plan.image_without_updates',
            "{$plan->image->label}: its release gets no updates any more.",
            'Holes that become known stay open, and packages can no longer be fetched from where they were.',
            'Take a newer image; an old board often starts a 32-bit one.',
        );
    }

    public static function imageWizard(ImageKind $image): Finding
    {
        return Finding::stop(
            'plan.image_wizard',
            "{$image->label}: it waits for answers on a screen.",
            'A box without screen and keyboard never gets past its first start.',
            'Take an image that reads its settings from the card.',
        );
    }

    public static function linkSlow(float $wanted, PlanInput $plan, Rate $brings): Finding
    {
        return Finding::warn(
            'plan.link_slow',
            "The jobs want {$wanted} Mb/s, and the {$plan->link->label()} brings ".
                round(($brings->bytesPerSecond * 8) / 1e6).
                ' Mb/s.',
            'Pictures stop, and whoever waits thinks the box is down.',
            'A faster link or another board.',
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

    public static function noDisk(): Finding
    {
        return Finding::stop(
            'plan.no_disk',
            'A job needs a disk and the plan has none.',
            'Files on the card wear it out and go when it goes.',
            'Choose a disk.',
        );
    }

    public static function noStartFromDrive(BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.no_start_from_drive',
            "The {$board->label} does not start from a drive.",
            'Its first program looks at the card only.',
            'Let it start from the card, with the files on the drive.',
        );
    }

    public static function noSuchLink(PlanInput $plan): Finding
    {
        return Finding::stop(
            'plan.no_such_link',
            "The {$plan->board->label} has no {$plan->link->label()} of its own.",
            'A USB adapter hangs on the disk\'s bus and shares it.',
            'Choose another link, an adapter or another board.',
        );
    }

    public static function nothingToStartFrom(BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.nothing_to_start_from',
            "The {$board->label} starts from a drive, and the plan has none.",
            $board->startsFromCard() ? 'It was chosen so.' : 'It takes no card.',
            'Choose a drive; the one that is in it already counts.',
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

    public static function plainBeforeDesktop(): Finding
    {
        return Finding::note(
            'plan.plain_before_desktop',
            'No job here has a screen, and the image brings a desktop.',
            'A plain server image is written faster and leaves several hundred MB of memory free (common practice).',
            'Take the plain image; a light desktop can be put on it later.',
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

    public static function school64Bit(Job $job, School $school): Finding
    {
        return Finding::warn(
            'plan.school_64_bit',
            ucfirst($job->label).", {$school->label}: made for 64 bits.",
            'The 32-bit kind is no longer made for most of them, or months behind.',
            'Another school, or a 64-bit image.',
        );
    }

    public static function schoolWantsImage(ImageKind $image): Finding
    {
        return Finding::stop(
            'plan.school_wants_image',
            'The ready-made school comes as an image of its own.',
            "{$image->label} has nothing of it.",
            'Take a ready-made image, or another school.',
        );
    }

    public static function startDriveHolds(Bytes $needed, Bytes $holds): Finding
    {
        return Finding::fine(
            'plan.start_drive_holds',
            "Space the system uses on the drive: {$needed->decimal()} of {$holds->decimal()}.",
        );
    }

    public static function startDriveTooSmall(Bytes $holds, Bytes $needed): Finding
    {
        return Finding::stop(
            'plan.start_drive_too_small',
            "The drive holds {$holds->decimal()}, and the system with its jobs needs {$needed->decimal()}.",
            'A full drive stops updates first and everything else after.',
            'Take a larger drive.',
        );
    }

    public static function wiredBeforeWireless(): Finding
    {
        return Finding::note(
            'plan.wired_before_wireless',
            'Wired is the better choice for anything always on.',
            'Wi-Fi works, and is slower and drops out at times (common practice).',
            'Use a cable if one can reach.',
        );
    }
}
