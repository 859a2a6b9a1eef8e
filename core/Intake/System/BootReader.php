<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;

/** How long the last start took, from `systemd-analyze` and `systemd-analyze blame`. */
final class BootReader implements Reader
{
    public function kind(): string
    {
        return 'boot';
    }

    public function summary(): string
    {
        return 'systemd-analyze, systemd-analyze blame';
    }

    public function sign(): string
    {
        return '/^Startup finished in |^ *(?:\d+(?:\.\d+)?(?:ms|s|min|h) ?)+ \S+\.(?:service|device|mount|target)$/m';
    }

    public function read(string $text): Reading
    {
        $facts = $totals = [];
        foreach (explode("\n", $text) as $line) {
            if (
                preg_match(
                    '/^ *((?:\d{1,12}(?:\.\d{1,9})?(?:us|ms|s|min|h) ?)+) (\S{1,200}\.[a-z]+)$/',
                    $line,
                    $m,
                ) === 1
            ) {
                $seconds = Span::seconds($m[1]);
                $seconds === null || ($facts[] = new BootFact($m[2], $seconds));
            } elseif (preg_match('/^Startup finished in (.{1,300})$/', $line, $m) === 1) {
                foreach (explode(' + ', $m[1]) as $part) {
                    [$part, $all] = [...explode(' = ', $part), null];
                    if (
                        preg_match(
                            '/^(.+) \((kernel|userspace|initrd|firmware|loader)\)$/',
                            trim((string) $part),
                            $n,
                        ) === 1
                    ) {
                        $totals["{$n[2]}_seconds"] = Span::seconds($n[1]);
                    }
                    if ($all !== null) {
                        $totals['total_seconds'] = Span::seconds(trim($all));
                    }
                }
            }
        }

        return $facts === [] && $totals === []
            ? new Reading($this->kind(), [], Findings::of(IntakeFindings::notThis($this->kind(), $this->summary())))
            : new Reading($this->kind(), $facts, Findings::of(), $totals);
    }
}
