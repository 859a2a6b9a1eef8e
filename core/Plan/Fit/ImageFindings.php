<?php

declare(strict_types=1);

namespace Burrow\Plan\Fit;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\School;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Bytes;

/** What is found of an image: on this board, for these jobs, in this memory, and who packed it. */
final class ImageFindings
{
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

    public static function applianceShared(): Finding
    {
        return Finding::warn(
            'plan.appliance_shared',
            'A second job on a ready-made image.',
            'Its updates come as a whole and may undo what was added.',
            'A plain image with both jobs on it, or two boxes.',
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

    public static function school64Bit(Job $job, School $school): Finding
    {
        return Finding::warn(
            'plan.school_64_bit',
            ucfirst($job->label).", {$school->label}: made for 64 bits.",
            'The 32-bit kind is no longer made for most of them, or months behind.',
            'Another school, or a 64-bit image.',
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
}
