<?php

declare(strict_types=1);

namespace Bench\Net;

use Closure;
use React\Socket\ConnectionInterface;

/** A port that a service holds open, and how it answers there. */
final readonly class Door
{
    /**
     * @param  ?Closure(ConnectionInterface): mixed  $serve  for TCP; null: it accepts and says nothing
     * @param  bool  $drops  packets to it are thrown away without a word
     * @param  ?RemoteLogin  $login  the machine's own sshd answers there
     * @param  ?Closure(string): ?string  $answer  for UDP; null: it sends back what came
     */
    public function __construct(
        public int $port,
        public string $protocol = 'tcp',
        public ?Closure $serve = null,
        public ?Closure $answer = null,
        public bool $tls = false,
        public int $since = 0,
        public bool $drops = false,
        public ?RemoteLogin $login = null,
    ) {
    }

    /** The same, of that start of its service: with the next one it is opened anew, with the files as they are then. */
    public function since(int $start): self
    {
        return new self(
            $this->port,
            $this->protocol,
            $this->serve,
            $this->answer,
            $this->tls,
            $start,
            $this->drops,
        );
    }

    /** The same, with its packets thrown away. */
    public function silent(): self
    {
        return new self($this->port, $this->protocol, drops: true);
    }

    public function isAt(self $other): bool
    {
        return $this->port === $other->port && $this->protocol === $other->protocol;
    }
}
