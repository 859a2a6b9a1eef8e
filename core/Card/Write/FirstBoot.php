<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Net\Hostname;
use Burrow\Net\SshPublicKey;
use InvalidArgumentException;

/** The typed values that every first-boot writer takes. A password comes only as its hash. */
final readonly class FirstBoot
{
    /**
     * @param  string  $instance  new for every card; the box takes its settings again when it changes
     * @param  list<string>  $packages
     * @param  list<WifiNetwork>  $wifis  the first choice first
     * @param  ?string  $country  ISO 3166-1 alpha-2, for the radio
     * @param  ?StaticAddress  $static  null when the router hands the address out
     * @param  bool  $wired  the static address is for the socket, not for the radio
     *
     * @throws InvalidArgumentException when nobody could log in
     */
    public function __construct(
        public Hostname $name,
        public string $domain,
        public string $instance,
        public string $user,
        public ?SshPublicKey $key,
        #[\SensitiveParameter] public ?string $passwordHash,
        public string $timeZone,
        public string $keyboard,
        public array $packages,
        public array $wifis = [],
        public ?string $country = null,
        public ?StaticAddress $static = null,
        public bool $wired = true,
        public bool $remoteLogin = true,
    ) {
        if ($key === null && $passwordHash === null) {
            throw new InvalidArgumentException('Nobody could log in: neither a key nor a password.');
        }
    }
}
