<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Burrow\Upkeep\DebianVersion;
use Illuminate\Console\Command;

final class VersionsCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:versions {a : a version of a package} {b : another} {--json : as JSON}';

    protected $description = 'Which of two versions is the newer one, in Debian\'s order: <, = or >';

    public function handle(): int
    {
        $versions = [];
        foreach (['a', 'b'] as $which) {
            $said = (string) $this->argument($which);
            $version = DebianVersion::tryParse($said);
            if ($version === null) {
                return $this->wrong(
                    "“{$said}” is no version: [epoch:]upstream[-revision], as in 2:4.17.12+dfsg-0+deb12u1.",
                );
            }
            $versions[] = $version;
        }
        $order = $versions[0]->compare($versions[1]);
        $sign = $order < 0 ? '<' : ($order > 0 ? '>' : '=');
        if ($this->option('json')) {
            return $this->json(
                ['a' => (string) $versions[0], 'b' => (string) $versions[1], 'order' => $sign],
                0,
            );
        }
        $this->line($sign);

        return 0;
    }
}
