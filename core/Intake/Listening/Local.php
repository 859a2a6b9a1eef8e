<?php

declare(strict_types=1);

namespace Burrow\Intake\Listening;

use Burrow\Net\Address;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Net\RegisteredNames;

/** The local end of a socket as tools write it: address, perhaps an interface, and a port by number or name. */
final readonly class Local
{
    private function __construct(public string $address, public Port $port, public ?string $interface)
    {
    }

    /**
     * "0.0.0.0:22", "[::]:22", ":::22", "*:ssh", "127.0.0.53%lo:53", "[fe80::1]%eth0:546"; with $dot also "*.22" and
     * "fe80::1%en0.53", as the BSDs write it.
     *
     * @param  string  $any  the address that a star stands for
     */
    public static function of(Protocol $protocol, string $said, string $any, bool $dot = false): ?self
    {
        $form = $dot
            ? '/^(\*|[0-9a-f:.]{2,45}?)(?:%([\w.-]{1,15}))?\.([\w*-]{1,32})$/Di'
            : '/^\[?(\*|[0-9a-f:.]{2,45}?)?\]?(?:%([\w.-]{1,15}))?\]?:([\w*-]{1,32})$/Di';
        // The one name that tools put in place of a number and that is known here.
        $said = (string) preg_replace(
            '/^(?:localhost|ip6-localhost)(?=:)/',
            $any === '::' ? '[::1]' : '127.0.0.1',
            $said,
        );
        if (preg_match($form, $said, $m) !== 1) {
            return null;
        }
        $port = RegisteredNames::port($protocol, $m[3]);
        $address = $m[1] === '*' || $m[1] === '' ? $any : Address::standard($m[1]);

        return $port === null || $address === null
            ? null
            : new self($address, $port, $m[2] === '' ? null : $m[2]);
    }

    public function listener(Protocol $protocol, ?string $process = null, ?int $pid = null): Listener
    {
        return new Listener(
            $protocol->value,
            $this->address,
            $this->port->number,
            $process,
            $pid,
            $this->interface,
        );
    }
}
