<?php

declare(strict_types=1);

namespace App\Upkeep;

use RuntimeException;

/** What a person is told instead of a change; nothing was changed. */
final class RoundTold extends RuntimeException
{
}
