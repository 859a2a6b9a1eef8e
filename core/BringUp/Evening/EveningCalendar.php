<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

use DateTimeZone;
use Sabre\VObject\Component\VCalendar;

/** When hands are needed, as a calendar file (RFC 5545). */
final class EveningCalendar
{
    /** @param  callable(Slot): string  $title  of a step, for people */
    public static function write(Evening $evening, callable $title): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Keen Burrow//Evening//EN']);
        $utc = new DateTimeZone('UTC');
        foreach ($evening->needed() as $number => $time) {
            $lines = array_map(fn (Slot $slot): string => "{$slot->run}: {$title($slot)}", $time['slots']);
            $calendar->add('VEVENT', [
                'UID' => 'evening-'.$evening->now->getTimestamp()."-{$number}@keen-burrow",
                'DTSTAMP' => $evening->now->setTimezone($utc),
                'DTSTART' => $evening->at($time['from'])->setTimezone($utc),
                'DTEND' => $evening->at(max($time['to'], $time['from'] + 60))->setTimezone($utc),
                'SUMMARY' => $lines[0].(count($lines) > 1 ? ' and '.(count($lines) - 1).' more' : ''),
                'DESCRIPTION' => implode("\n", $lines),
            ]);
        }

        return $calendar->serialize();
    }
}
