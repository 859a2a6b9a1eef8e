<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;
use Bench\Net\PackageIndex;

/** The package index, and bringing the system up to what it has. */
final readonly class AptGet implements Program
{
    public function __construct(private PackageIndex $index)
    {
    }

    public function answers(string $command): bool
    {
        return preg_match('/^apt-get (?:update|--yes full-upgrade)\b/', $command) === 1;
    }

    public function run(Board $board, string $command): string
    {
        return str_starts_with($command, 'apt-get update') ? $this->aptUpdate($board) : $this->aptUpgrade($board);
    }

    private function aptUpdate(Board $board): string
    {
        $board->pending = isset($board->system['upgraded']) ? 0 : count($this->index->pending());

        return "Get:1 bench stable InRelease [151 kB]\nGet:2 bench stable/main Packages [8,693 kB]\nFetched 8,844 kB in 4s\nReading package lists... Done";
    }

    private function aptUpgrade(Board $board): string
    {
        $names = $board->pending > 0 ? $this->index->pending() : [];
        $count = count($names);
        $board->pending = 0;
        if ($count > 0) {
            $board->system['upgraded'] = 'yes';
        }
        $list = $count === 0 ? '' : "The following packages will be upgraded:\n  ".implode(' ', $names)."\n";
        $scroll = implode("\n", array_map(fn (string $name): string => "Setting up {$name} ...", $names));

        return rtrim(
            "Reading package lists... Done\nBuilding dependency tree... Done\n{$list}{$count} upgraded, 0 newly installed, 0 to remove and 0 not upgraded.\n{$scroll}",
        );
    }
}
