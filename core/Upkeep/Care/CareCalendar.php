<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Care;

use Burrow\Household\Household;
use Burrow\Text\Words;
use DateTimeImmutable;

/** All that is due beside updates: what the household does by itself, and what the record has a day for. */
final class CareCalendar
{
    /** Days after which a copy is to be brought back again (common practice: twice a year). */
    private const DRILL = 180;

    /** Days before the end of a certificate on which another one has to be there (common practice). */
    private const CERTIFICATE = 14;

    /** Days ahead that are shown. */
    public const AHEAD = 400;

    /** @return list<CareDue> the soonest first; what is further away than AHEAD is not among them */
    public static function of(Household $house): array
    {
        $due = [];
        $add = function (
            string $kind,
            ?string $box,
            string $what,
            DateTimeImmutable $date,
            string $evidence,
            int $id = 0,
        ) use (&$due, $house): void {
            $left = (int) $house->now
                ->setTime(0, 0)
                ->diff($date->setTimezone($house->now->getTimezone())->setTime(0, 0))
                ->format('%r%a');
            $left <= self::AHEAD && ($due[] = new CareDue($kind, $box, $what, $date, $left, $evidence, $id));
        };
        foreach ($house->cares() as $care) {
            $add(
                'own',
                $care->box,
                $care->what,
                // What nobody remembers is due today.
                $care->done === null ? $house->now : $care->done->modify("+{$care->everyDays} days"),
                $care->done === null
                    ? 'nobody knows when it was last done'
                    : "done on {$care->done->format('Y-m-d')}, every ".
                        Words::counted($care->everyDays, 'day'),
                $care->id,
            );
        }
        foreach ($house->copyings() as $one) {
            if ($one->tried !== null) {
                $add(
                    'drill',
                    $one->box,
                    "bring the backup {$one->name} back",
                    $one->tried->modify('+'.self::DRILL.' days'),
                    "brought back on {$one->tried->format('Y-m-d')}",
                );
            }
        }
        foreach ($house->openings() as $one) {
            if ($one->review !== null) {
                $add(
                    'opening',
                    $one->box,
                    "look at the way in at {$one->port}/{$one->protocol} again",
                    $one->review,
                    'its own day in the record',
                );
            }
        }
        foreach ($house->certificates() as $one) {
            if ($one->ends !== null) {
                $add(
                    'certificate',
                    $one->page->box,
                    "another certificate at {$one->page->port->number}",
                    $one->ends->modify('-'.self::CERTIFICATE.' days'),
                    "it ends on {$one->ends->format('Y-m-d')}, seen on {$one->seen->format('Y-m-d')}",
                );
            }
        }
        foreach ($house->waysIn() as $one) {
            if ($one->ends !== null) {
                $add('key', null, "the key of {$one->device} ends", $one->ends, 'its own day in the record');
            }
        }
        foreach ($house->drives() as $one) {
            if ($one->warrantyUntil !== null) {
                $add(
                    'warranty',
                    $one->box,
                    "the warranty of the drive {$one->serial} ends",
                    $one->warrantyUntil,
                    'the register',
                );
            }
        }
        foreach ($house->boxes() as $box) {
            $codename = $house->report($box)?->report->codename;
            $ends = $codename === null ? null : $house->supportEnds($codename);
            if ($ends !== null) {
                $add(
                    'support',
                    $box->name,
                    "{$codename} gets no more updates that mend holes",
                    $ends,
                    'the distribution’s own table',
                );
            }
        }
        usort($due, fn (CareDue $a, CareDue $b): int => [$a->date, $a->what] <=> [$b->date, $b->what]);

        return $due;
    }
}
