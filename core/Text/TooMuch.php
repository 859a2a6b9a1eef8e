<?php

declare(strict_types=1);

namespace Burrow\Text;

/** Why a text is not read: words that go on “it was not looked at, because …”. */
final readonly class TooMuch
{
    /** @param  ?int  $line  from 1, where one line is to blame */
    public function __construct(public string $because, public ?int $line)
    {
    }
}
