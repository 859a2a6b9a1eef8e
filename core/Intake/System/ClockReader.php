<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/** The clock, from `timedatectl`, as a table or with `show`. */
final class ClockReader implements Reader
{
    public function kind(): string
    {
        return 'clock';
    }

    public function summary(): string
    {
        return 'timedatectl';
    }

    public function sign(): string
    {
        return '/^\s*(?:Time zone: |System clock synchronized: |Timezone=)/m';
    }

    public function read(string $text): Reading
    {
        $zone =
            preg_match(
                '~^\s*(?:Time zone: |Timezone=)([A-Za-z0-9_+/-]{1,60})(?: \([A-Za-z0-9+-]{1,8}, ([+-])(\d\d)(\d\d)\))?~m',
                $text,
                $m,
            ) === 1
                ? $m[1]
                : null;
        $offset = ($m[4] ?? '') === '' ? null : ($m[2] === '-' ? -1 : 1) * ((int) $m[3] * 3600 + (int) $m[4] * 60);
        $set =
            preg_match(
                '/^\s*(?:System clock synchronized: |NTP synchronized: |NTPSynchronized=)(yes|no)/m',
                $text,
                $n,
            ) === 1
                ? $n[1] === 'yes'
                : null;

        return $zone === null && $set === null
            ? new Reading($this->kind(), [], Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())))
            : new Reading($this->kind(), [new ClockFact($zone, $set, $offset)], Findings::of());
    }
}
