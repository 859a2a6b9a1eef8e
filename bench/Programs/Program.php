<?php

declare(strict_types=1);

namespace Bench\Programs;

/** What a family of commands does on a board, and what it prints. */
interface Program
{
    /** @return list<string> the names it is called by */
    public function names(): array;

    public function run(Call $call): Said;
}
