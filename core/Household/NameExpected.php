<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Net\Ipv4;
use Burrow\Net\NameAnswer;

/** What a resolver of the house should say of a name. */
enum NameExpected: string
{
    case Refused = 'refused';
    case Answered = 'answered';
    case Local = 'local';

    public function label(): string
    {
        return match ($this) {
            self::Refused => 'refused',
            self::Answered => 'answered',
            self::Local => 'its own address in the house',
        };
    }

    /** A name of the house leads to an address that is not routed outside (RFC 1918). */
    public function isMetBy(NameAnswer $answer): bool
    {
        return match ($this) {
            self::Refused => $answer->isRefused(),
            self::Answered => $answer->isAnswered(),
            self::Local => array_filter(
                $answer->addresses,
                fn (string $one): bool => Ipv4::tryParse($one)?->isPrivate() === true,
            ) !== [],
        };
    }
}
