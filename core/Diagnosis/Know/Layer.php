<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Know;

/** Where between the socket in the wall and the person a cause bites. What bites earlier hides what comes after it. */
enum Layer: string
{
    case Power = 'power';
    case Start = 'start';
    case Link = 'link';
    case Address = 'address';
    case Desk = 'desk';
    case Login = 'login';
    case Service = 'service';
    case Use = 'use';

    public function depth(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
