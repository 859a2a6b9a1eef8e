<?php

declare(strict_types=1);

namespace App\Probe;

use RuntimeException;

/** Why something could not be fetched, in words that somebody is shown. */
final class NotFetched extends RuntimeException
{
}
