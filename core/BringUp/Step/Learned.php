<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Net\SshPublicKey;

/** What a step that is over lets be written into the box's record. */
final readonly class Learned
{
    /**
     * @param  ?string  $mac  hardware address it was met with
     * @param  ?SshPublicKey  $hostKey  the key to keep
     * @param  bool  $pinned  it answered at its own address, by the router's reservation
     * @param  bool  $cardWritten  its card was written from an image, so that its keys are new ones
     * @param  bool  $updated  its system was brought up to date
     * @param  array<string, array<string, string>>  $answers  job => value => what was answered; kept with the box's
     *         job
     * @param  ?array{label: string, mount_point: string, share: string, uuid: string, serial: string, bytes: int}  $store  a store that it has now
     */
    public function __construct(
        public ?string $mac = null,
        public ?SshPublicKey $hostKey = null,
        public bool $pinned = false,
        public bool $updated = false,
        public ?array $store = null,
        public array $answers = [],
        public bool $cardWritten = false,
    ) {
    }

    public function with(self $other): self
    {
        return new self(
            $other->mac ?? $this->mac,
            $other->hostKey ?? $this->hostKey,
            $other->pinned || $this->pinned,
            $other->updated || $this->updated,
            $other->store ?? $this->store,
            array_replace_recursive($this->answers, $other->answers),
            $other->cardWritten || $this->cardWritten,
        );
    }
}
