<?php

declare(strict_types=1);

namespace Burrow\Intake\Listening;

use Burrow\Intake\Lines;
use Burrow\Intake\UnreadLines;
use Burrow\Net\Protocol;

/** `lsof -i` with and without -n and -P (lsof(8)): the name of a program is cut at nine characters. */
final class LsofForm implements ListeningForm
{
    public function sign(): string
    {
        return '/^COMMAND +PID +(?:TID +TASKCMD +)?USER +FD|^\S+ +\d+ +\S+ +\d+\w* +IPv[46] +\S+ +\S+ +(?:TCP|UDP) /m';
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $facts = [];
        foreach (Lines::of($text) as $number => $line) {
            if (
                trim($line) === '' ||
                str_starts_with($line, 'COMMAND') ||
                str_starts_with($line, 'lsof: WARNING')
            ) {
                continue;
            }
            if (
                preg_match(
                    '/^(\S{1,64}) +(\d{1,10}) .{1,160}? (IPv[46]) .{1,80}? (TCP|UDP) (\S{3,160})(?: \((\w+)\))?$/',
                    $line,
                    $m,
                ) !== 1
            ) {
                $unread->add($number, 'no socket stands in it');

                continue;
            }
            $protocol = Protocol::from(strtolower($m[4]));
            if (str_contains($m[5], '->') || ($protocol === Protocol::Tcp && ($m[6] ?? '') !== 'LISTEN')) {
                continue;
            }
            if (str_ends_with($m[5], ':*')) {
                continue;
            }
            $local = Local::of($protocol, $m[5], $m[3] === 'IPv4' ? '0.0.0.0' : '::');
            if ($local === null) {
                $unread->add($number, 'its local address cannot be read');

                continue;
            }
            $name = (string) preg_replace_callback(
                '/\\\\x([0-9a-f]{2})/',
                fn (array $hex): string => chr((int) hexdec($hex[1])),
                $m[1],
            );
            $facts[] = $local->listener($protocol, mb_scrub($name), (int) $m[2]);
        }

        return $facts;
    }
}
