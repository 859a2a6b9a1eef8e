<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use Burrow\BringUp\Told\AskedKind;
use InvalidArgumentException;

/**
 * A compose file of one service (the Compose specification): its image, the time zone of this house, its data folder
 * beside the file, and one published port or the host's own network.
 */
final readonly class ComposeFile
{
    /**
     * @param  ?int  $outer  port on the box; null where the service takes the host's network, as discovery needs it
     * @param  bool  $names  it answers names as well, on port 53 over both transports
     *
     * @throws InvalidArgumentException for what the file or the engine cannot hold
     */
    public function __construct(
        private string $service,
        private string $image,
        private string $zone,
        private string $folder,
        private ?int $outer = null,
        private ?int $inner = null,
        private bool $names = false,
    ) {
        $fits =
            preg_match('/^[a-z][a-z0-9-]{0,39}$/D', $service) === 1 &&
            AskedKind::Image->normal($image) === $image &&
            AskedKind::Folder->normal($folder) === $folder &&
            preg_match('~^[A-Za-z0-9_+-]+(?:/[A-Za-z0-9_+-]+){0,2}$~D', $zone) === 1;
        foreach ([$outer, $inner] as $port) {
            $fits = $fits && ($port === null || ($port >= 1 && $port <= 65535));
        }
        if (! $fits || ($outer === null) !== ($inner === null)) {
            throw new InvalidArgumentException('Not a service that a compose file can hold.');
        }
    }

    public function __toString(): string
    {
        $ports = [
            ...$this->names ? ['53:53/tcp', '53:53/udp'] : [],
            ...$this->outer === null ? [] : ["{$this->outer}:{$this->inner}"],
        ];
        $network =
            $ports === []
                ? '    network_mode: host'
                : "    ports:\n".implode("\n", array_map(fn (string $port): string => "      - \"{$port}\"", $ports));

        return <<<YAML
        services:
          {$this->service}:
            image: {$this->image}
            restart: unless-stopped
            environment:
              TZ: {$this->zone}
        {$network}
            volumes:
              - ./data:{$this->folder}
        YAML;
    }
}
