<?php

declare(strict_types=1);

namespace Bench\Net;

use Bench\Board\Board;
use React\Socket\ConnectionInterface;

/** Where the boards' addresses stand on this machine, and which of their doors are open. */
final class Wall
{
    /** Tells a board that refuses from one that is not there; see app/Probe/Target.php. */
    private const PRESENCE = 7;

    /** @var array<string, Doors> by board */
    private array $doors = [];

    public function __construct(private readonly int $offset)
    {
    }

    /** The board has its address now. False when the bench has no place for that. */
    public function appear(Board $board): bool
    {
        $at = $this->loopback((string) $board->address);
        if ($at === null) {
            return false;
        }
        $this->doorsOf($board)->tcp($at, self::PRESENCE, fn (ConnectionInterface $c) => null);

        return true;
    }

    /** Without power nothing answers. */
    public function close(Board $board): void
    {
        ($this->doors[$board->id] ?? null)?->close();
        unset($this->doors[$board->id]);
    }

    public function clear(): void
    {
        $this->doors = [];
    }

    /** What the board listens on by now. */
    public function open(Board $board): void
    {
        if ($board->address === null || $board->phase !== 'up') {
            return;
        }
        $doors = $this->doorsOf($board);
        $at = $this->loopback($board->address);
        if ($at === null) {
            return;
        }
        $key = $board->hostKey();
        if (($board->files === [] || ($board->boot->remoteLogin ?? false)) && $this->answers($board, 22)) {
            $doors->tcp($at, 22, fn (ConnectionInterface $c) => SshDoor::open($c, $key));
        }
        if ($board->shareWorks() && $this->answers($board, 445)) {
            $doors->tcp($at, 445, fn (ConnectionInterface $c) => null);
        }
        foreach ($board->services as $service) {
            if ($service['protocol'] === 'udp') {
                $doors->udp($at, $service['port']);
            } elseif ($service['port'] !== 22 && $this->answers($board, $service['port'])) {
                $doors->tcp(
                    $at,
                    $service['port'],
                    fn (ConnectionInterface $c) => $c->end(
                        "HTTP/1.0 200 OK\r\nContent-Type: text/plain\r\n\r\n{$board->id}\n",
                    ),
                );
            }
        }
    }

    private function answers(Board $board, int $port): bool
    {
        return $board->fault?->opens($port) ?? true;
    }

    private function doorsOf(Board $board): Doors
    {
        return $this->doors[$board->id] ??= new Doors($this->offset);
    }

    /**
     * Where an address stands on this machine; null for IPv6, and for what would fall on the machine's own
     * 127.0.0.0/24.
     */
    private function loopback(string $address): ?string
    {
        $place =
            filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) === false
                ? '127.0.0.1'
                : '127.'.explode('.', $address, 2)[1];

        return str_starts_with($place, '127.0.0.') ? null : $place;
    }
}
