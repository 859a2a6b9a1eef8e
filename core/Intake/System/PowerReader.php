<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/**
 * Flags with which a board says that its supply was too weak or that it slowed itself down, as a number in hex; and the
 * alarm that the kernel's sensor of the supply has (hwmon sysfs interface, in0_lcrit_alarm).
 */
final class PowerReader implements Reader
{
    private const FLAGS = '/(?:(?:^|\bthrottled=)\s*0x|get_throttled:\s*(?:0x)?)([0-9a-f]{1,8})\b/im';

    public function kind(): string
    {
        return 'power';
    }

    public function summary(): string
    {
        return 'throttling flags of a board, as throttled=0x…, or the alarm of its supply';
    }

    public function sign(): string
    {
        return '/\bthrottled=0x[0-9a-f]{1,8}\b|get_throttled:(?:0x)?[0-9a-f]{1,8}\b|in0_lcrit_alarm:[01]\b/i';
    }

    public function read(string $text): Reading
    {
        preg_match_all(self::FLAGS, $text, $flags);
        preg_match_all('/in0_lcrit_alarm:\s*([01])\b/i', $text, $alarms);
        if ($flags[1] === [] && $alarms[1] === []) {
            return new Reading(
                $this->kind(),
                [],
                Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())),
            );
        }
        $told = (int) hexdec($flags[1][count($flags[1]) - 1] ?? '0');
        $has = fn (int $bit): bool => (($told >> $bit) & 1) === 1;
        $alarm = ($alarms[1][count($alarms[1]) - 1] ?? '0') === '1';

        return new Reading(
            $this->kind(),
            [new PowerFact($has(0) || $alarm, $has(16), $has(2), $has(18))],
            Findings::of(),
        );
    }
}
