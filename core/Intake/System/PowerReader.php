<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/** Flags with which a board says that its supply was too weak or that it slowed itself down, as a number in hex. */
final class PowerReader implements Reader
{
    public function kind(): string
    {
        return 'power';
    }

    public function summary(): string
    {
        return 'throttling flags of a board, as throttled=0x…';
    }

    public function sign(): string
    {
        return '/\bthrottled=0x[0-9a-f]{1,8}\b/i';
    }

    public function read(string $text): Reading
    {
        if (preg_match_all('/(?:^|\bthrottled=)\s*0x([0-9a-f]{1,8})\b/im', $text, $found) < 1) {
            return new Reading(
                $this->kind(),
                [],
                Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())),
            );
        }
        $flags = (int) hexdec($found[1][count($found[1]) - 1]);
        $has = fn (int $bit): bool => (($flags >> $bit) & 1) === 1;

        return new Reading($this->kind(), [new PowerFact($has(0), $has(16), $has(2), $has(18))], Findings::of());
    }
}
