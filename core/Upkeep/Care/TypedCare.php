<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Care;

use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\UpkeepFindings;
use DateTimeImmutable;

/** Something that is done again and again, as somebody typed it, with what speaks against it at its field. */
final readonly class TypedCare
{
    public const FIELDS = ['care_what', 'care_box', 'care_every', 'care_done'];

    private function __construct(
        public string $what,
        public string $box,
        public int $everyDays,
        public string $done,
        public Findings $findings,
    ) {
    }

    /** @param  array<string, string>  $typed  by field */
    public static function of(Household $house, array $typed): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        if ($said('care_what') === '' || mb_strlen($said('care_what')) > 80) {
            $found[] = UpkeepFindings::careWants('care_what', 'What is done? Up to 80 letters.');
        }
        $every = preg_match('/^\d{1,4}$/D', $said('care_every')) === 1 ? (int) $said('care_every') : 0;
        if ($every < 1 || $every > 3650) {
            $found[] = UpkeepFindings::careWants('care_every', 'Every how many days? 1 to 3650.');
        }
        $names = array_map(fn (Box $box): string => $box->name, $house->boxes());
        if ($said('care_box') !== '' && ! in_array($said('care_box'), $names, true)) {
            $found[] = UpkeepFindings::careWants('care_box', 'There is no such box.');
        }
        $done = $said('care_done');
        $isDay =
            preg_match('/^(\d{4})-(\d\d)-(\d\d)$/D', $done, $m) === 1 &&
            checkdate((int) $m[2], (int) $m[3], (int) $m[1]) &&
            $done <= $house->now->format('Y-m-d') &&
            new DateTimeImmutable($done) > new DateTimeImmutable('1990-01-01');
        if ($done !== '' && ! $isDay) {
            $found[] = UpkeepFindings::careWants(
                'care_done',
                'A day that was, written as 2026-11-26, or nothing.',
            );
        }

        return new self($said('care_what'), $said('care_box'), $every, $done, Findings::of(...$found));
    }
}
