<?php

declare(strict_types=1);

namespace Bench\Programs;

/** rsync between disks of one board: what one holds the other holds afterwards. To other machines it says nothing. */
final class Copies implements Program
{
    public function names(): array
    {
        return ['rsync'];
    }

    public function run(Call $call): Said
    {
        [$from, $to] = [...array_slice($call->plain(), -2), '', ''];
        $source = $call->board->mountedAt($from);
        $target = $call->board->mountedAt($to);
        if ($source === null || $target === null) {
            return Said::ok();
        }
        if ($call->has('--dry-run')) {
            return Said::ok($source->holds === $target->holds ? '' : ">f+++++++++ {$source->holds}\n");
        }
        if ($target->readOnly) {
            return Said::failed("rsync: [receiver] mkstemp \"{$to}\" failed: Read-only file system (30)", 23);
        }
        $target->holds = $source->holds;

        return Said::ok();
    }
}
