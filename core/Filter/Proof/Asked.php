<?php

declare(strict_types=1);

namespace Burrow\Filter\Proof;

use Burrow\Household\NameExpected;
use Burrow\Net\NameAnswer;

/** One name asked of one resolver over UDP and over TCP: both have to say what they should (RFC 7766 5). */
final readonly class Asked
{
    private function __construct(public bool $held, public string $said)
    {
    }

    public static function of(NameExpected $expected, NameAnswer $udp, NameAnswer $tcp): self
    {
        $held = $expected->isMetBy($udp) && $expected->isMetBy($tcp);

        return new self(
            $held,
            $udp->words() === $tcp->words()
                ? $udp->words()
                : "over UDP {$udp->words()}; over TCP {$tcp->words()}",
        );
    }
}
