<?php

declare(strict_types=1);

namespace App\Probe;

use Socket;

/**
 * Asks machines for an echo (RFC 792), all at once, where the system lets a program without rights do so: Linux gives
 * such sockets to the groups of net.ipv4.ping_group_range, and looks after the identifier itself. Where it does not,
 * nothing was asked, and that is what is said. Boards on the bench are not asked: on loopback the kernel echoes in the
 * name of everybody.
 */
final readonly class PingProbe
{
    private const AT_ONCE = 256;

    private const ECHO_REQUEST = 8;

    private const ECHO_REPLY = 0;

    public function __construct(private float $timeout)
    {
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Target>  $targets
     * @return array<K, bool> who answered, under the same keys; those that could not be asked are left out
     */
    public function askAll(array $targets): array
    {
        $answered = [];
        $real = array_filter($targets, fn (Target $one): bool => $one->presence() === null);
        foreach (array_chunk($real, self::AT_ONCE, true) as $chunk) {
            $hosts = $this->echoes(
                array_values(array_unique(array_map(fn (Target $one): string => $one->host, $chunk))),
            );
            foreach ($chunk as $key => $target) {
                if (isset($hosts[$target->host])) {
                    $answered[$key] = $hosts[$target->host];
                }
            }
        }

        return $answered;
    }

    /**
     * @param  list<string>  $hosts  IPv4 addresses, no more than the sequence numbers of one burst
     * @return array<string, bool> who answered in time; without those that nothing could be sent to (no way there, a
     *                             full queue), so without anybody where this system does not let us ask
     */
    public function echoes(array $hosts): array
    {
        // Refused with a warning where it is not allowed; the return value says the same.
        $socket = @socket_create(AF_INET, SOCK_DGRAM, getprotobyname('icmp') ?: 1);
        if ($socket === false) {
            return [];
        }
        try {
            socket_set_nonblock($socket);
            $asked = [];
            foreach ($hosts as $sequence => $host) {
                $packet = pack('C2n3', self::ECHO_REQUEST, 0, 0, 0, $sequence & 0xFFFF).'keen burrow asks';
                if (@socket_sendto($socket, $packet, strlen($packet), 0, $host, 0) !== false) {
                    $asked[$host] = $sequence & 0xFFFF;
                }
            }

            return $this->heard($socket, $asked);
        } finally {
            socket_close($socket);
        }
    }

    /**
     * @param  array<string, int>  $asked  sequence number by host
     * @return array<string, bool>
     */
    private function heard(Socket $socket, array $asked): array
    {
        $answered = array_map(fn (): bool => false, $asked);
        $until = microtime(true) + $this->timeout;
        while (in_array(false, $answered, true) && ($left = $until - microtime(true)) > 0) {
            $read = [$socket];
            $write = $except = null;
            $ready = @socket_select($read, $write, $except, (int) $left, (int) (fmod($left, 1) * 1e6));
            if ($ready === false) {
                break;
            }
            if ($ready > 0 && @socket_recvfrom($socket, $bytes, 1500, 0, $from, $port) !== false) {
                $head =
                    strlen((string) $bytes) >= 8
                        ? unpack('Ctype/Ccode/nsum/nid/nsequence', (string) $bytes)
                        : false;
                if (
                    $head !== false &&
                    $head['type'] === self::ECHO_REPLY &&
                    ($asked[$from] ?? null) === $head['sequence']
                ) {
                    $answered[$from] = true;
                }
            }
        }

        return $answered;
    }
}
