<?php

declare(strict_types=1);

namespace Bench\Programs;

/** A command taken apart at its blanks. */
final class Words
{
    /** @return non-empty-list<string> */
    public static function of(string $command): array
    {
        return preg_split('/\s+/', trim($command)) ?: [''];
    }
}
