<?php

declare(strict_types=1);

namespace Burrow\Intake\Own;

use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Mac;
use JsonSerializable;

/** An address that the machine has itself, with its way out and whom it asks for names. */
final readonly class OwnAddress implements JsonSerializable
{
    /**
     * @param  ?string  $interface  null where only a list of name servers was there
     * @param  ?int  $prefix  bits of the network
     * @param  ?int  $metric  of the way out; the smaller goes first
     * @param  list<string>  $dns  name servers, in their order
     * @param  ?bool  $dhcp  whether it was handed out; null unsaid
     */
    public function __construct(
        public ?string $interface,
        public Ipv4|Ipv6|null $address,
        public ?int $prefix,
        public Ipv4|Ipv6|null $gateway,
        public ?int $metric,
        public array $dns,
        public ?Mac $mac,
        public ?bool $dhcp,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'interface' => $this->interface,
            'address' => $this->address === null ? null : (string) $this->address,
            'prefix' => $this->prefix,
            'gateway' => $this->gateway === null ? null : (string) $this->gateway,
            'metric' => $this->metric,
            'dns' => $this->dns,
            'mac' => $this->mac === null ? null : (string) $this->mac,
            'dhcp' => $this->dhcp,
        ];
    }
}
