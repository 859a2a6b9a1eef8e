<?php

declare(strict_types=1);

namespace Burrow\Filter\Upstream;

/** Whom a resolver of the house asks what it does not know itself. */
enum Way: string
{
    case Roots = 'roots';
    case Line = 'line';
    case Other = 'other';
    case Tls = 'tls';

    public function label(): string
    {
        return match ($this) {
            self::Roots => 'nobody: from the root servers down',
            self::Line => 'the resolver of the line',
            self::Other => 'another resolver, in clear',
            self::Tls => 'another resolver, encrypted',
        };
    }

    /** Who gets to see the names that a house looks up. */
    public function sees(): string
    {
        return match ($this) {
            self::Roots => 'No single resolver sees all; the servers of each name see the part that is theirs, and your line can read along.',
            self::Line => 'Your line, which sees where you connect to anyway.',
            self::Other => 'The other one, and your line, which can read along.',
            self::Tls => 'The other one alone; your line sees only that you ask it, and where you connect to afterwards.',
        };
    }

    public function costs(): string
    {
        return match ($this) {
            self::Roots => 'The first look-up of a name takes longer, a few tenths of a second; then it is kept. Needs no other, and a clock that is right (DNSSEC).',
            self::Line => 'The shortest way; some lines answer a page of their own for names that do not exist.',
            self::Other => 'One more who has to be up, and trusted.',
            self::Tls => 'A connection more each time it was closed; one more who has to be up, and trusted. A wrong clock stops it.',
        };
    }

    public function standard(): string
    {
        return match ($this) {
            self::Roots => 'RFC 9156, RFC 4033',
            self::Line, self::Other => 'RFC 1035',
            self::Tls => 'RFC 7858, RFC 8310',
        };
    }
}
