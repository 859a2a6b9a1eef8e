<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/** An account as cloud-init would make it of a cloud-config. */
final readonly class CloudAccount
{
    /**
     * @param  string  $name  empty for the image's own standard account
     * @param  list<array{mixed, list<int|string>}>  $keys  public keys as they stand there, and where
     * @param  list<CloudPassword>  $passwords
     * @param  bool  $locked  no password lets anybody in
     * @param  bool  $imports  its keys are fetched from somewhere else
     */
    public function __construct(
        public string $name,
        public bool $standard,
        public array $keys = [],
        public array $passwords = [],
        public bool $locked = true,
        public bool $imports = false,
    ) {
    }

    /** What this one says, and where it is silent what the other says. */
    public function over(self $other, ?bool $locked = null): self
    {
        return new self(
            $this->name !== '' ? $this->name : $other->name,
            $this->standard,
            $this->keys === [] ? $other->keys : $this->keys,
            $this->passwords === [] ? $other->passwords : $this->passwords,
            $locked ?? $this->locked,
            $this->imports || $other->imports,
        );
    }

    public function hasPassword(): bool
    {
        return $this->passwords !== [] && ! $this->locked;
    }

    /** @param  list<array{mixed, list<int|string>}>  $keys */
    public function withKeys(array $keys): self
    {
        return new self(
            $this->name,
            $this->standard,
            [...$this->keys, ...$keys],
            $this->passwords,
            $this->locked,
            $this->imports,
        );
    }

    /** chpasswd(8) writes the whole field anew, and a lock is a mark in that field. */
    public function withPassword(CloudPassword $password): self
    {
        return new self(
            $this->name,
            $this->standard,
            $this->keys,
            [...$this->passwords, $password],
            false,
            $this->imports,
        );
    }
}
