<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Door;

/** Every service that a board can have. A new one is one class and one line here; own units come from their files. */
final class Services
{
    /** @return list<Service> */
    private static function packaged(): array
    {
        return [
            new FileShare(),
            new Resolver(),
            new Tunnel(),
            new MediaLibrary(),
            new AudioPlayer(),
            new Web(),
            new Plain('cockpit.socket', 'cockpit', 9090, 'Console', true),
            new Plain('ssh.service', 'openssh-server'),
            new Plain('unattended-upgrades.service', 'unattended-upgrades'),
            new Plain('avahi-daemon.service', 'avahi-daemon'),
            new Plain('podman.socket', 'podman'),
            new Plain('lightdm.service', 'lightdm'),
            new Plain('vdr.service', 'vdr', 6419),
            new Plain('nfs-server.service', 'nfs-kernel-server', 2049),
            new Plain('hd-idle.service', 'hd-idle'),
        ];
    }

    /** The unit of that name, if the board has it: from a package that is installed, or from a file. */
    public static function find(Board $board, string $unit): ?Service
    {
        $unit = str_contains($unit, '.') ? $unit : "{$unit}.service";
        $file = $board->machine->read("/etc/systemd/system/{$unit}");
        if ($file !== null) {
            return new FileUnit($unit, $file);
        }
        foreach (self::packaged() as $service) {
            if ($service->unit() === $unit && $board->machine->has($service->package())) {
                return $service;
            }
        }

        return null;
    }

    /** @return list<Service> that a package brings */
    public static function of(string $package): array
    {
        return array_values(
            array_filter(self::packaged(), fn (Service $service): bool => $service->package() === $package),
        );
    }

    /** Units that start with the system start, as far as they can. */
    public static function boot(Board $board): void
    {
        $board->machine->active = [];
        foreach ($board->machine->enabled as $unit) {
            $service = self::find($board, $unit);
            if (
                $service?->problem($board) === null &&
                ($service === null || self::taken($board, $service) === null)
            ) {
                $board->machine->activate($unit);
            }
        }
    }

    /** Seconds of a board's time from a start to the first answer: a unit is “active” before its port is open. */
    public const SETTLES = 3.0;

    /** @return list<Door> of everything that runs and has settled */
    public static function doors(Board $board): array
    {
        $doors = [];
        foreach ($board->machine->active as $unit) {
            if (! $board->hasRun($board->machine->startedAt[$unit] ?? 0.0, self::SETTLES)) {
                continue;
            }
            $start = $board->machine->starts[$unit] ?? 0;
            foreach (self::find($board, $unit)?->doors($board) ?? [] as $door) {
                $doors[] = $door->since($start);
            }
        }

        return $doors;
    }

    /** A port that the service wants and another one that runs has; null when none. */
    public static function taken(Board $board, Service $service): ?int
    {
        foreach ($board->machine->active as $unit) {
            foreach (
                $unit === $service->unit() ? [] : self::find($board, $unit)?->doors($board) ?? [] as $held
            ) {
                foreach ($service->doors($board) as $wanted) {
                    if ($wanted->isAt($held)) {
                        return $held->port;
                    }
                }
            }
        }

        return null;
    }
}
