<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

/** An entry of a known_hosts file that is about one of our boxes. */
final readonly class KnownKey
{
    /**
     * @param  string  $name  of the box, under which it is kept there
     * @param  string  $type  of the key
     * @param  string  $sha256  its fingerprint
     * @param  ?bool  $same  whether it is the one that the household keeps; null while none is kept
     */
    public function __construct(
        public string $box,
        public string $name,
        public string $type,
        public string $sha256,
        public ?bool $same,
    ) {
    }

    /** Takes this one entry out, the same on the three desk systems; names of boxes need no quotes. */
    public function removal(): string
    {
        return 'ssh-keygen -R '.
            (preg_match('/^[A-Za-z0-9.:-]+$/D', $this->name) === 1 ? $this->name : "\"{$this->name}\"");
    }
}
