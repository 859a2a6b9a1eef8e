<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Services\FileUnit;
use Bench\Services\Registry;
use Bench\Services\Services;

/** The container engine: images fetched from the bench's own registry, containers listed. */
final class Containers implements Program
{
    public function names(): array
    {
        return ['podman', 'podman-compose'];
    }

    public function run(Call $call): Said
    {
        $words = $call->plain();

        return match ($words[0] ?? '') {
            'pull' => $this->pull($call, $words[1] ?? ''),
            'ps' => Said::ok($this->listed($call)),
            'run' => $this->once($call),
            default => Said::ok(),
        };
    }

    private function pull(Call $call, string $image): Said
    {
        if (Registry::image($image) === null) {
            return Said::failed(Registry::unknown($image), 125);
        }
        $call->board->machine->images[] = $image;

        return Said::noting(
            "Trying to pull {$image}...\nWriting manifest to image destination",
            hash('sha256', $image)."\n",
        );
    }

    /** Without rights a container takes no low port. */
    private function once(Call $call): Said
    {
        $port = (int) ($call->option('--publish', '-p') ?? 0);

        return ! $call->root && $port > 0 && $port < 1024
            ? Said::failed(
                "Error: rootlessport cannot expose privileged port {$port}, you can add 'net.ipv4.ip_unprivileged_port_start={$port}' to /etc/sysctl.conf (currently 1024), or choose a larger port number (>= 1024): listen tcp 0.0.0.0:{$port}: bind: permission denied",
                126,
            )
            : Said::ok("started\n");
    }

    private function listed(Call $call): string
    {
        $lines = ['CONTAINER ID  IMAGE       COMMAND     CREATED         STATUS             PORTS       NAMES'];
        foreach ($call->board->machine->active as $unit) {
            if (Services::find($call->board, $unit) instanceof FileUnit && str_starts_with($unit, 'box-')) {
                $name = substr($unit, 4, -8);
                $lines[] = "1f2e3d4c5b6a  (image)                 20 seconds ago  Up 20 seconds ago              {$name}_{$name}_1";
            }
        }

        return implode("\n", $lines)."\n";
    }
}
