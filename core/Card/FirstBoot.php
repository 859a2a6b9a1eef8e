<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Net\Hostname;
use Burrow\Net\SshPublicKey;
use InvalidArgumentException;

/** The typed values that every first-boot writer takes. A password comes only as its hash. */
final readonly class FirstBoot
{
    /**
     * @param  string  $instance  new for every card; the box takes its settings again when it changes
     * @param  list<string>  $packages
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
    ) {
        if ($key === null && $passwordHash === null) {
            throw new InvalidArgumentException('Nobody could log in: neither a key nor a password.');
        }
    }
}
