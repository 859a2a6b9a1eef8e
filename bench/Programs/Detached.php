<?php

declare(strict_types=1);

namespace Bench\Programs;

/** Long jobs that run on by themselves, and their words in the journal: at work first, over after a while. */
final class Detached implements Program
{
    /** What a build prints in its last line. */
    private const BUILT = 'recorder_4.3-1_arm64.deb';

    /** Seconds of a board's time that a build takes, and any other job. */
    private const BUILDS = 600.0;

    private const RUNS = 90.0;

    public function names(): array
    {
        return ['systemd-run', 'journalctl'];
    }

    public function run(Call $call): Said
    {
        $unit = (string) preg_replace('/\.service$/', '', $call->option('--unit', '-u') ?? 'run-1');
        if ($call->words[0] === 'journalctl') {
            return Said::ok($this->journal($call, $unit));
        }
        $builds = str_contains(implode(' ', $call->words), 'source');
        if ($this->isAtWork($call, $unit)) {
            return Said::failed(
                "Failed to start transient service unit: Unit {$unit}.service was already loaded or has a fragment file.",
            );
        }
        $call->board->began[$unit] = microtime(true);
        $call->board->machine->detached[$unit] =
            ($builds ? "dpkg-deb: building package 'recorder' in '../".self::BUILT."'.\n" : '').
            "{$unit}.service: Deactivated successfully.";

        return Said::noting("Running as unit: {$unit}.service");
    }

    private function isAtWork(Call $call, string $unit): bool
    {
        $says = $call->board->machine->detached[$unit] ?? null;

        return $says !== null &&
            ! $call->board->hasRun(
                $call->board->began[$unit] ?? 0.0,
                str_contains($says, self::BUILT) ? self::BUILDS : self::RUNS,
            );
    }

    private function journal(Call $call, string $unit): string
    {
        $says = $call->board->machine->detached[$unit] ?? null;
        if ($says === null) {
            return '-- No entries --';
        }
        $builds = str_contains($says, self::BUILT);
        if ($this->isAtWork($call, $unit)) {
            return $builds ? "g++ -O2 -c recordings.c\ng++ -O2 -c menuitems.c" : "{$unit}.service: at work";
        }
        // What it makes is there when it is over, and no sooner.
        $builds && $call->board->machine->write(self::BUILT, "a package\n");

        return $says;
    }
}
