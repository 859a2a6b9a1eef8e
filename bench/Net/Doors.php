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

    /**
     * @param  callable(ConnectionInterface): mixed  $serve
     * @param  bool  $tls  with a certificate that the bench makes for itself
     */
    public function tcp(string $address, int $port, callable $serve, bool $tls = false): void
    {
        $key = "tcp {$address} {$port}";
        if (isset($this->open[$key])) {
            return;
        }
        try {
            $server = new SocketServer(
                ($tls ? 'tls' : 'tcp')."://{$address}:".($port + $this->offset),
                $tls ? ['tls' => ['local_cert' => Certificate::file()]] : [],
            );
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

    /**
     * @param  ?callable(string): ?string  $answer  none: every packet comes back with its own content, which is
     *         enough to
     *         tell an open port from a closed one
     */
    public function udp(string $address, int $port, ?callable $answer = null): void
    {
        if (isset($this->open["udp {$address} {$port}"])) {
            return;
        }
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
        Loop::addReadStream($socket, function ($socket) use ($answer): void {
            $packet = stream_socket_recvfrom($socket, 1500, 0, $peer);
            $said = is_string($packet) && $answer !== null ? $answer($packet) : $packet;
            if (is_string($said) && is_string($peer)) {
                stream_socket_sendto($socket, $said, 0, $peer);
            }
        });
        $this->open["udp {$address} {$port}"] = $socket;
    }

    /** @param  list<string>  $wanted  "tcp 127.22.8.16 80"; all others are shut */
    public function keep(array $wanted): void
    {
        foreach (array_diff(array_keys($this->open), $wanted) as $key) {
            $door = $this->open[$key];
            if ($door instanceof SocketServer) {
                $door->close();
            } else {
                Loop::removeReadStream($door);
                fclose($door);
            }
            unset($this->open[$key]);
        }
    }

    public function close(): void
    {
        $this->keep([]);
    }
}
