<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Judgement\Finding;
use RuntimeException;

/** Something could not be asked; the finding says what and what to do. */
final class NotAsked extends RuntimeException
{
    public function __construct(public readonly Finding $finding)
    {
        parent::__construct($finding->found);
    }
}
