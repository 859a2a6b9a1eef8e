<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\KernelLine;
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
                    FileRuleFindings::firmwareContradicts(Place::file(self::FILE, $all[count($all) - 1]['line'])),
                )
                : Findings::of();

        return $context->sixtyFour && $last !== false && $last['value'] === '0'
            ? $findings->and([FileRuleFindings::firmware32Bit(Place::file(self::FILE, $last['line']))])
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
            $modules !== [] && $usb === [] => Findings::of(FileRuleFindings::usbHalf(Place::file(self::FILE))),
            $modules !== [] && ! in_array('all', array_column($usb, 'section'), true) => Findings::of(
                FileRuleFindings::firmwareSection($usb[0]['section'], Place::file(self::FILE, $usb[0]['line'])),
            ),
            default => Findings::of(),
        };
    }
}
