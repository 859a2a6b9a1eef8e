<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\KernelLine;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** `config.txt`: settings that contradict each other, stand under a filter, or are only half of what they need. */
final class FirmwareRule implements CardRule
{
    private const FILE = 'config.txt';

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has(self::FILE)) {
            return Findings::of();
        }
        $section = 'all';
        $bits = $usb = [];
        foreach ($folder->lines(self::FILE) as $index => $raw) {
            $line = trim($raw);
            if (preg_match('/^\[(.+)\]$/', $line, $match) === 1) {
                $section = strtolower($match[1]);
            } elseif (preg_match('/^arm_64bit=(\d)$/', $line, $match) === 1) {
                $bits[] = ['value' => $match[1], 'line' => $index + 1, 'section' => $section];
            } elseif (preg_match('/^dtoverlay=dwc2\b/', $line) === 1) {
                $usb[] = ['line' => $index + 1, 'section' => $section];
            }
        }

        return $this->bits($bits, $context)->and($this->usb($usb, $folder));
    }

    /** @param  list<array{value: string, line: int, section: string}>  $bits */
    private function bits(array $bits, CardContext $context): Findings
    {
        $all = array_values(array_filter($bits, fn (array $one): bool => $one['section'] === 'all'));
        $last = end($all);
        $findings =
            count(array_unique(array_column($all, 'value'))) > 1
                ? Findings::of(
                    Finding::warn(
                        'card.firmware_contradicts',
                        'arm_64bit is set to 0 and to 1.',
                        'The last one wins, and the next edit may change which that is.',
                        'Leave one.',
                        Place::file(self::FILE, $all[count($all) - 1]['line']),
                    ),
                )
                : Findings::of();

        return $context->sixtyFour && $last !== false && $last['value'] === '0'
            ? $findings->and([
                Finding::stop(
                    'card.firmware_32_bit',
                    'arm_64bit=0 starts the 32-bit kernel.',
                    'A job on this box wants 64 bits; its programs do not start.',
                    'Set it to 1, or take the line away on a 64-bit image.',
                    Place::file(self::FILE, $last['line']),
                ),
            ])
            : $findings;
    }

    /** @param  list<array{line: int, section: string}>  $usb */
    private function usb(array $usb, CardFolder $folder): Findings
    {
        if (! $folder->has('cmdline.txt')) {
            return Findings::of();
        }
        $modules =
            preg_grep('/\bg_ether\b/', KernelLine::parse($folder->text('cmdline.txt'))->values('modules-load')) ?:
            [];

        return match (true) {
            $modules !== [] && $usb === [] => Findings::of(
                Finding::stop(
                    'card.usb_half',
                    'The kernel\'s line asks for a network over USB, and config.txt does not switch the socket over.',
                    'The board is seen as nothing at all on the USB cable.',
                    'Add “dtoverlay=dwc2” to config.txt, under [all].',
                    Place::file(self::FILE),
                ),
            ),
            $modules !== [] && ! in_array('all', array_column($usb, 'section'), true) => Findings::of(
                Finding::warn(
                    'card.firmware_section',
                    "dtoverlay=dwc2 stands under [{$usb[0]['section']}].",
                    'It is read by the boards of that section only.',
                    'Put it under [all].',
                    Place::file(self::FILE, $usb[0]['line']),
                ),
            ),
            default => Findings::of(),
        };
    }
}
