<?php

declare(strict_types=1);

namespace Bench\Net;

use InvalidArgumentException;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SocketServer;
use RuntimeException;

/** The listening sockets of one board. Shutting them all is what a board without power does. */
final class Doors
{
    /** Seconds after which a connection is closed, whatever is still said. */
    private const LONGEST = 5;

    /** Connections that fill the queue of a listener whose backlog is none. */
    private const FILL = 2;

    /** @var array<string, SocketServer|RunningLogin|resource|list<resource>> */
    private array $open = [];

    public function __construct(private readonly int $offset)
    {
    }

    /**
     * Opens what is wanted and not open yet, and shuts the rest.
     *
     * @param  list<Door>  $wanted
     */
    public function show(string $address, array $wanted): void
    {
        $byKey = [];
        foreach ($wanted as $door) {
            $byKey["{$door->protocol} {$address}:{$door->port} {$door->since} {$door->drops}"] ??= $door;
        }
        foreach (array_diff_key($this->open, $byKey) as $key => $gone) {
            $this->shut($gone);
            unset($this->open[$key]);
        }
        foreach (array_diff_key($byKey, $this->open) as $key => $door) {
            $opened = match (true) {
                $door->drops => $this->nobody($address, $door),
                $door->login !== null => $door->login->listen($address, $door->port + $this->offset),
                $door->protocol === 'udp' => $this->udp($address, $door),
                default => $this->tcp($address, $door),
            };
            if ($opened !== null) {
                $this->open[$key] = $opened;
            }
        }
    }

    public function close(): void
    {
        array_map($this->shut(...), $this->open);
        $this->open = [];
    }

    private function tcp(string $address, Door $door): ?SocketServer
    {
        try {
            $server = new SocketServer(
                ($door->tls ? 'tls' : 'tcp')."://{$address}:".($door->port + $this->offset),
                $door->tls ? ['tls' => ['local_cert' => Certificate::file()]] : [],
            );
        } catch (RuntimeException|InvalidArgumentException $problem) {
            fwrite(STDERR, "bench: {$problem->getMessage()}\n");

            return null;
        }
        $server->on('connection', function (ConnectionInterface $connection) use ($door): void {
            Loop::addTimer(self::LONGEST, $connection->close(...));
            $door->serve === null || ($door->serve)($connection);
        });

        return $server;
    }

    /**
     * A port whose packets nobody answers: the kernel drops them while the queue of a listener is full, and nobody
     * takes anything out of this one.
     *
     * @return list<resource>
     */
    private function nobody(string $address, Door $door): array
    {
        $at = "{$door->protocol}://{$address}:".($door->port + $this->offset);
        if ($door->protocol === 'udp') {
            return [];
        }
        $held = [
            @stream_socket_server(
                $at,
                $code,
                $message,
                STREAM_SERVER_BIND | STREAM_SERVER_LISTEN,
                stream_context_create(['socket' => ['backlog' => 0]]),
            ),
        ];
        for ($i = 0; $i < self::FILL; $i++) {
            $held[] = @stream_socket_client(
                $at,
                $code,
                $message,
                1,
                STREAM_CLIENT_CONNECT | STREAM_CLIENT_ASYNC_CONNECT,
            );
        }

        return array_values(array_filter($held, is_resource(...)));
    }

    /** @return resource|null */
    private function udp(string $address, Door $door)
    {
        $socket = @stream_socket_server(
            "udp://{$address}:".($door->port + $this->offset),
            $code,
            $message,
            STREAM_SERVER_BIND,
        );
        if ($socket === false) {
            fwrite(STDERR, "bench: udp {$address}:{$door->port}: {$message}\n");

            return null;
        }
        stream_set_blocking($socket, false);
        Loop::addReadStream($socket, function ($socket) use ($door): void {
            $packet = stream_socket_recvfrom($socket, 1500, 0, $peer);
            $said = is_string($packet) && $door->answer !== null ? ($door->answer)($packet) : $packet;
            if (is_string($said) && is_string($peer)) {
                stream_socket_sendto($socket, $said, 0, $peer);
            }
        });

        return $socket;
    }

    /** @param  SocketServer|RunningLogin|resource|list<resource>  $door */
    private function shut($door): void
    {
        if ($door instanceof SocketServer) {
            $door->close();
        } elseif ($door instanceof RunningLogin) {
            $door->stop();
        } elseif (is_array($door)) {
            array_map(fclose(...), $door);
        } else {
            Loop::removeReadStream($door);
            fclose($door);
        }
    }
}
