<?php

declare(strict_types=1);

namespace Burrow\BringUp;

use Burrow\Judgement\Finding;
use Burrow\Net\Ipv4;

/** What a TCP probe met: each of the three means something else. */
enum DoorState: string
{
    case Open = 'open';
    case Refused = 'refused';
    case Silent = 'silent';

    public function finding(Ipv4 $address, int $port): Finding
    {
        return match ($this) {
            self::Open => Finding::fine('bringup.port_open', "Port {$port} at {$address} is open."),
            self::Refused => Finding::warn(
                'bringup.port_refused',
                "Port {$port} at {$address} is refused.",
                'The box is there and running; the service is not started, or listens on another port.',
                $port === 22
                    ? 'Remote login was probably not switched on: look over user-data.'
                    : 'Look at the service on the box: systemctl status.',
            ),
            self::Silent => Finding::warn(
                'bringup.port_silent',
                "Port {$port} at {$address} is silent.",
                'Nobody has this address, the box is still starting, or a firewall swallows the question.',
                'Wait for the usual time, then look at the lights and the cable.',
            ),
        };
    }
}
