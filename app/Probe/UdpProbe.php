<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Household\DoorState;

/**
 * Asks a UDP port something that its protocol answers: a name lookup at 53 (RFC 1035), the time at 123 (RFC 5905).
 * Others are sent one empty datagram. An answer means open; a refusal of the box's own (RFC 792, port unreachable)
 * means closed; nothing means neither, since a service may keep silent to those it does not know, as a tunnel does.
 */
final readonly class UdpProbe
{
    public function __construct(private float $seconds)
    {
    }

    public function ask(Target $target, int $port): DoorState
    {
        $presence = $target->presence();
        if ($presence !== null && (new TcpProbe($this->seconds))->ask($presence) !== DoorState::Open) {
            return DoorState::Silent;
        }
        $socket = @stream_socket_client(
            "udp://{$target->host}:{$target->port}",
            $code,
            $message,
            $this->seconds,
        );
        if ($socket === false) {
            return DoorState::Silent;
        }
        stream_set_blocking($socket, false);
        @fwrite($socket, $this->question($port));
        $until = microtime(true) + $this->seconds;
        $state = DoorState::Silent;
        while (($wait = $until - microtime(true)) > 0 && $state === DoorState::Silent) {
            $read = [$socket];
            $none = null;
            if (! @stream_select($read, $none, $none, (int) $wait, (int) (($wait - (int) $wait) * 1e6))) {
                break;
            }
            // The kernel hands a refusal on as an error of the next read: the socket is readable and holds nothing.
            $came = @stream_socket_recvfrom($socket, 512);
            $state = is_string($came) && $came !== '' ? DoorState::Open : DoorState::Refused;
        }
        fclose($socket);

        return $state;
    }

    private function question(int $port): string
    {
        return match ($port) {
            // The root's own name servers, which every resolver knows, asked without recursion.
            53 => "\x42\x57\x00\x00\x00\x01\x00\x00\x00\x00\x00\x00\x00\x00\x02\x00\x01",
            // Client, version 4.
            123 => "\x23".str_repeat("\0", 47),
            default => "\0",
        };
    }
}
