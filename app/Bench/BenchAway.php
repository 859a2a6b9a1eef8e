<?php

declare(strict_types=1);

namespace App\Bench;

use RuntimeException;

/** The bench does not run or does not do what it was asked; the message can be shown. */
final class BenchAway extends RuntimeException
{
}
