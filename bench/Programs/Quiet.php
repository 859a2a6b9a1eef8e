<?php

declare(strict_types=1);

namespace Bench\Programs;

/** Commands that say nothing when all is well. */
final class Quiet implements Program
{
    public function names(): array
    {
        return ['mkdir', 'chown', 'chmod', 'sync', 'sysctl', 'nft'];
    }

    public function run(Call $call): Said
    {
        return Said::ok();
    }
}
