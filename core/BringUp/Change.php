<?php

declare(strict_types=1);

namespace Burrow\BringUp;

/** What a run of a box that is up may change; each has a shared part of steps by its name. */
enum Change: string
{
    case Address = 're-address';

    case Name = 'rename';
}
