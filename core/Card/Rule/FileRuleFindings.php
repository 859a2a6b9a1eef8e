<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\OwnText;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\Words;

/** What is found of a card's files as such: their form, their names, the kernel's line and the firmware's settings. */
final class FileRuleFindings
{
    public static function allCommented(OwnText $form, Place $place): Finding
    {
        return Finding::stop(
            'card.all_commented',
            "{$form->file} says nothing: every line begins with #.",
            'The image starts with its own defaults, without network where it needs Wi-Fi.',
            'Take the # away from the lines that are yours.',
            $place,
        );
    }

    public static function bom(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.bom',
            "{$name} begins with an invisible mark (BOM).",
            'The first line is then not what it seems, and the file is ignored.',
            'Save it as UTF-8 without BOM.',
            $place,
        );
    }

    public static function bomInYaml(string $name, Place $place): Finding
    {
        return Finding::note(
            'card.bom',
            "{$name} begins with an invisible mark (BOM).",
            'YAML takes it here; before user-data the whole file would be ignored.',
            'Save it as UTF-8 without BOM.',
            $place,
        );
    }

    public static function cgroupMissing(Place $place): Finding
    {
        return Finding::warn(
            'card.cgroup_missing',
            'Containers cannot be held to a memory limit.',
            'On some images the account of memory is off; a container that grows takes the whole box down.',
            'Add “cgroup_memory=1 cgroup_enable=memory” to the one line.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $values */
    public static function cmdlineContradicts(string $name, array $values, Place $place): Finding
    {
        return Finding::stop(
            'card.cmdline_contradicts',
            "{$name}= stands there twice: ".implode(' and ', $values).'.',
            'Which of the two wins depends on the reader.',
            'Leave one.',
            $place,
        );
    }

    public static function cmdlineDoubled(string $name, Place $place): Finding
    {
        return Finding::note(
            'card.cmdline_doubled',
            "{$name}= stands there twice, with the same value.",
            'It does no harm, and shows that the line was edited twice.',
            'Leave one.',
            $place,
        );
    }

    /** @param  non-empty-array<int<0, max>, string>  $lines */
    public static function cmdlineLines(array $lines, Place $place): Finding
    {
        return Finding::stop(
            'card.cmdline_lines',
            'cmdline.txt has '.Words::counted(count($lines), 'line').'.',
            'Only the first is read; what stands below is lost, often the root partition.',
            'Join them with spaces into one line.',
            $place,
        );
    }

    public static function crlf(string $name, Place $place): Finding
    {
        return Finding::warn(
            'card.crlf',
            "{$name} has line ends of another desk system (CRLF).",
            'Some readers take the extra character for part of the value.',
            'Save it with LF line ends.',
            $place,
        );
    }

    public static function crlfInYaml(string $name, Place $place): Finding
    {
        return Finding::note(
            'card.crlf',
            "{$name} has line ends of another desk system (CRLF).",
            'YAML takes them; the files beside it do not, and the same editor made them.',
            'Save it with LF line ends.',
            $place,
        );
    }

    public static function firmware32Bit(Place $place): Finding
    {
        return Finding::stop(
            'card.firmware_32_bit',
            'arm_64bit=0 starts the 32-bit kernel.',
            'A job on this box wants 64 bits; its programs do not start.',
            'Set it to 1, or take the line away on a 64-bit image.',
            $place,
        );
    }

    public static function firmwareContradicts(Place $place): Finding
    {
        return Finding::warn(
            'card.firmware_contradicts',
            'arm_64bit is set to 0 and to 1.',
            'The last one wins, and the next edit may change which that is.',
            'Leave one.',
            $place,
        );
    }

    public static function firmwareSection(string $section, Place $place): Finding
    {
        return Finding::warn(
            'card.firmware_section',
            "dtoverlay=dwc2 stands under [{$section}].",
            'It is read by the boards of that section only.',
            'Put it under [all].',
            $place,
        );
    }

    public static function markerExtension(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.marker_extension',
            "“{$name}” is not the file “ssh”.",
            'Remote login stays off: the box looks for that name without extension and without a dot.',
            'Rename it; the file manager may hide the extension.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $markers */
    public static function markerNone(array $markers, Place $place): Finding
    {
        return Finding::stop(
            'card.marker_none',
            'No marker file says what is to start.',
            'The image starts nothing of its own; it waits for exactly one of: '.
                implode(', ', $markers).
                '.',
            'Put one of them there, empty and without extension.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $there */
    public static function markerSeveral(array $there, Place $place): Finding
    {
        return Finding::stop(
            'card.marker_several',
            'Several marker files: '.implode(', ', $there).'.',
            'The image wants exactly one; which of them wins is chance.',
            'Leave one, and move the others into a side folder.',
            $place,
        );
    }

    public static function modulesPlace(Place $place): Finding
    {
        return Finding::warn(
            'card.modules_place',
            'modules-load=dwc2,… does not stand right after rootwait.',
            'Elsewhere it is often passed over, and the USB cable carries no network (common practice).',
            'Move it there.',
            $place,
        );
    }

    public static function nameExtension(string $name, string $right, Place $place): Finding
    {
        return Finding::stop(
            'card.name_extension',
            "“{$name}” is not the file “{$right}”.",
            'It is not looked at: the name must be exact.',
            'Rename it; the file manager may hide the extension.',
            $place,
        );
    }

    public static function usbHalf(Place $place): Finding
    {
        return Finding::stop(
            'card.usb_half',
            'The kernel\'s line asks for a network over USB, and config.txt does not switch the socket over.',
            'The board is seen as nothing at all on the USB cable.',
            'Add “dtoverlay=dwc2” to config.txt, under [all].',
            $place,
        );
    }

    public static function schoolNotRead(ImageKind $image, string $file, Place $place): Finding
    {
        return Finding::stop(
            'card.school_not_read',
            "{$image->label} does not read {$file}.",
            'It belongs to another way of giving first settings; what it says does not happen.',
            "It understands: {$image->schools[0]->label()}.",
            $place,
        );
    }
}
