<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Write;

use Burrow\Files\TypedFile;
use Burrow\Text\Moment;
use Burrow\Upkeep\Plan\UpkeepPlanFindings;
use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;

/** A calendar file (RFC 5545) from moments with a title; times in UTC, which every calendar shows in its own zone. */
final class CalendarFile extends TypedFile
{
    public function kind(): string
    {
        return 'ics';
    }

    public function summary(): string
    {
        return 'a calendar file: when somebody is needed, and for what';
    }

    public function schema(): string
    {
        return 'core/Upkeep/schema/calendar.schema.json';
    }

    /** A line break is written as a letter of its own (RFC 5545, 3.3.11). */
    protected function holdsLines(): bool
    {
        return true;
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        /** @var array{name: string, made?: int|string, events: list<array{id?: string, start: int|string, end: int|string, title: string, text?: string}>} $said */
        $said = $data;
        $calendar = new VCalendar([
            'PRODID' => '-//Keen Burrow//Upkeep//EN',
            'X-WR-CALNAME' => $said['name'],
        ]);
        $utc = new DateTimeZone('UTC');
        foreach ($said['events'] as $i => $event) {
            $start = Moment::tryParse($event['start']);
            $end = Moment::tryParse($event['end']);
            foreach (['start' => $start, 'end' => $end] as $key => $moment) {
                $moment ??
                    ($found[] = UpkeepPlanFindings::notATime((string) $event[$key], $at('events', $i, $key)));
            }
            if ($start !== null && $end !== null && $end < $start) {
                $found[] = UpkeepPlanFindings::endsBefore($event['title'], $at('events', $i, 'end'));
            }
            if ($start === null || $end === null) {
                continue;
            }
            $made = Moment::tryParse($said['made'] ?? $event['start']) ?? $start;
            $calendar->add('VEVENT', [
                'UID' => ($event['id'] ?? "{$start}-{$i}").'@keen-burrow',
                'DTSTAMP' => new DateTimeImmutable("@{$made}", $utc),
                'DTSTART' => new DateTimeImmutable("@{$start}", $utc),
                'DTEND' => new DateTimeImmutable("@{$end}", $utc),
                'SUMMARY' => $event['title'],
                'DESCRIPTION' => $event['text'] ?? '',
            ]);
        }

        return $calendar->serialize();
    }
}
