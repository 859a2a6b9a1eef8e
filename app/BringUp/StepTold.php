<?php

declare(strict_types=1);

namespace App\BringUp;

use RuntimeException;

/**
 * The step was changed meanwhile, in another tab or by somebody else; nothing was overwritten. The message can be
 * shown.
 */
final class StepTold extends RuntimeException
{
}
