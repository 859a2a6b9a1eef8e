<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;

/** What one family of commands does on a board, and what it prints. */
interface Program
{
    /** How its commands begin; without "sudo". */
    public function answers(string $command): bool;

    /** What it prints; null when it fails without a word, as test(1) does. */
    public function run(Board $board, string $command): ?string;
}
