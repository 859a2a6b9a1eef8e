<?php

declare(strict_types=1);

namespace Bench\Programs;

/** Long jobs that run on by themselves, and their words in the journal. On the bench they are over at once. */
final class Detached implements Program
{
    /** What a build prints in its last line. */
    private const BUILT = 'recorder_4.3-1_arm64.deb';

    public function names(): array
    {
        return ['systemd-run', 'journalctl'];
    }

    public function run(Call $call): Said
    {
        $unit = (string) preg_replace('/\.service$/', '', $call->option('--unit', '-u') ?? 'run-1');
        if ($call->words[0] === 'journalctl') {
            return Said::ok($call->board->machine->detached[$unit] ?? '-- No entries --');
        }
        $builds = str_contains(implode(' ', $call->words), 'source');
        if ($builds) {
            $call->board->machine->write(self::BUILT, "a package\n");
        }
        $call->board->machine->detached[$unit] =
            ($builds ? "dpkg-deb: building package 'recorder' in '../".self::BUILT."'.\n" : '').
            "{$unit}.service: Deactivated successfully.";

        return Said::noting("Running as unit: {$unit}.service");
    }
}
