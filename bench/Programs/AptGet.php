<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Net\PackageIndex;
use Bench\Services\Services;

/** The package index, bringing the system up to it, and installing from it. */
final readonly class AptGet implements Program
{
    private const NAME = '/^[a-z0-9][a-z0-9+.-]{1,60}$/D';

    private const NOTHING = '0 upgraded, 0 newly installed, 0 to remove and 0 not upgraded.';

    public function __construct(private PackageIndex $index)
    {
    }

    public function names(): array
    {
        return ['apt-get', 'apt'];
    }

    public function run(Call $call): Said
    {
        if (! $call->root) {
            return Said::failed(
                "E: Could not open lock file /var/lib/dpkg/lock-frontend - open (13: Permission denied)\nE: Unable to acquire the dpkg frontend lock (/var/lib/dpkg/lock-frontend), are you root?",
                100,
            );
        }
        $words = $call->plain();

        return match ($words[0] ?? '') {
            'update' => $this->update($call),
            'full-upgrade', 'upgrade' => $this->upgrade($call),
            'install' => $this->install($call, array_slice($words, 1)),
            'build-dep', 'autoremove', 'clean' => Said::ok("Reading package lists... Done\n".self::NOTHING),
            default => Said::failed('E: Invalid operation '.($words[0] ?? ''), 100),
        };
    }

    private function update(Call $call): Said
    {
        if ($call->board->rate <= 0) {
            return Said::ok(
                "Err:1 bench stable InRelease\n  Temporary failure resolving 'bench'\nReading package lists... Done\n".
                    "W: Failed to fetch bench/InRelease  Temporary failure resolving 'bench'\n".
                    'W: Some index files failed to download. They have been ignored, or old ones used instead.',
            );
        }
        $call->board->pending = $call->board->machine->upgraded ? 0 : count($this->index->pending());

        return Said::ok(
            "Get:1 bench stable InRelease [151 kB]\nGet:2 bench stable/main Packages [8,693 kB]\n".
                self::fetched($call, 8844).
                "\nReading package lists... Done",
        );
    }

    private function upgrade(Call $call): Said
    {
        $names = $call->board->pending > 0 ? $this->index->pending() : [];
        $count = count($names);
        if ($count > 0 && $call->board->rate <= 0) {
            return self::notFetched($names[0]);
        }
        $call->board->pending = 0;
        $call->board->machine->upgraded = $call->board->machine->upgraded || $count > 0;
        $list =
            $count === 0 ? '' : "The following packages will be upgraded:\n  ".implode(' ', $names)."\n";

        return Said::ok(
            rtrim(
                "Reading package lists... Done\nBuilding dependency tree... Done\n{$list}{$count} upgraded, 0 newly installed, 0 to remove and 0 not upgraded.\n".
                    $this->settingUp($names),
            ),
        );
    }

    /** @param  list<string>  $names  packages, and package files as ./name.deb */
    private function install(Call $call, array $names): Said
    {
        $machine = $call->board->machine;
        foreach ($names as $name) {
            if (str_starts_with($name, './') && $machine->read(substr($name, 2)) === null) {
                return Said::failed("E: Unsupported file {$name} given on commandline", 100);
            }
            if (! str_starts_with($name, './') && preg_match(self::NAME, $name) !== 1) {
                return Said::failed(
                    "Reading package lists... Done\nE: Unable to locate package {$name}",
                    100,
                );
            }
        }
        $named = array_map(fn (string $name): string => basename(explode('_', $name)[0]), $names);
        $new = array_values(array_diff($named, $machine->packages));
        if ($new !== [] && $call->board->rate <= 0 && ! self::areFiles($names)) {
            return self::notFetched($new[0]);
        }
        foreach ($new as $name) {
            $machine->packages[] = $name;
            // A service of the distribution is switched on and started by its package.
            foreach (Services::of($name) as $service) {
                $machine->enable($service->unit());
                $service->problem($call->board) === null && $machine->activate($service->unit());
            }
        }
        $list =
            $new === []
                ? ''
                : "The following NEW packages will be installed:\n  ".implode(' ', $new)."\n";
        $count = count($new);

        return Said::ok(
            rtrim(
                "Reading package lists... Done\n{$list}0 upgraded, {$count} newly installed, 0 to remove and 0 not upgraded.\n".
                    $this->settingUp($new),
            ),
        );
    }

    /** @param  list<string>  $names */
    private static function areFiles(array $names): bool
    {
        return array_filter($names, fn (string $name): bool => ! str_starts_with($name, './')) === [];
    }

    private static function notFetched(string $name): Said
    {
        return Said::failed(
            "E: Failed to fetch bench/{$name}.deb  Temporary failure resolving 'bench'\n".
                'E: Unable to fetch some archives, maybe run apt-get update or try with --fix-missing?',
            100,
        );
    }

    /** How long so many kB take on the house's line. */
    private static function fetched(Call $call, int $kB): string
    {
        $seconds = max(1, (int) ceil(($kB * 8) / ($call->board->rate * 1000)));

        return 'Fetched '.
            number_format($kB).
            " kB in {$seconds}s (".
            number_format(intdiv($kB, $seconds)).
            ' kB/s)';
    }

    /** @param  list<string>  $names */
    private function settingUp(array $names): string
    {
        return implode("\n", array_map(fn (string $name): string => "Setting up {$name} ...", $names));
    }
}
