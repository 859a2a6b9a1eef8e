<?php

declare(strict_types=1);

namespace Bench\Net;

use InvalidArgumentException;
use React\EventLoop\Loop;
use React\Socket\ConnectionInterface;
use React\Socket\SocketServer;
use RuntimeException;

/** The listening sockets of one board. Closing them all is what a board without power does. */
final class Doors
{
    /** @var array<string, SocketServer|resource> */
    private array $open = [];

    public function __construct(private readonly int $offset)
    {
    }

    /** @param  callable(ConnectionInterface): void  $serve */
    public function tcp(string $address, int $port, callable $serve): void
    {
        $key = "tcp {$address} {$port}";
        if (isset($this->open[$key])) {
            return;
        }
        try {
            $server = new SocketServer("tcp://{$address}:".($port + $this->offset));
        } catch (RuntimeException|InvalidArgumentException $problem) {
            fwrite(STDERR, "bench: {$problem->getMessage()}\n");

            return;
        }
        $server->on('connection', function (ConnectionInterface $connection) use ($serve): void {
            Loop::addTimer(5, $connection->close(...));
            $serve($connection);
        });
        $this->open[$key] = $server;
    }

    /** Answers every packet with its own content: enough to tell an open port from a closed one. */
    public function udp(string $address, int $port): void
    {
        $socket = @stream_socket_server(
            "udp://{$address}:".($port + $this->offset),
            $code,
            $message,
            STREAM_SERVER_BIND,
        );
        if ($socket === false) {
            fwrite(STDERR, "bench: udp {$address}:{$port}: {$message}\n");

            return;
        }
        stream_set_blocking($socket, false);
        Loop::addReadStream($socket, function ($socket): void {
            $packet = stream_socket_recvfrom($socket, 1500, 0, $peer);
            if (is_string($packet) && is_string($peer)) {
                stream_socket_sendto($socket, $packet, 0, $peer);
            }
        });
        $this->open["udp {$address} {$port}"] = $socket;
    }

    public function close(): void
    {
        foreach ($this->open as $door) {
            if ($door instanceof SocketServer) {
                $door->close();
            } else {
                Loop::removeReadStream($door);
                fclose($door);
            }
        }
        $this->open = [];
    }
}
