<?php

declare(strict_types=1);

namespace Burrow\Intake\Keys;

use Burrow\Net\SshPublicKey;
use JsonSerializable;

/** A host key as a text holds it: whole, or only its fingerprint. */
final readonly class KeySeen implements JsonSerializable
{
    /**
     * @param  ?string  $host  name or address, "[name]:port" for another port; the hash where it is hidden; null for a
     *                         key without one
     * @param  ?string  $sha256  "SHA256:" and the digest in base64 without padding, as ssh-keygen prints it; null where the
     *                           text has another digest only
     * @param  bool  $hashed  the host is hidden behind a hash (sshd(8), SSH_KNOWN_HOSTS FILE FORMAT)
     * @param  bool  $changed  the text says that it is another one than before
     * @param  ?string  $mark  "revoked" or "cert-authority"
     * @param  ?int  $line  of the known_hosts file, where the text tells it
     */
    public function __construct(
        public ?string $host,
        public ?string $type,
        public ?string $sha256,
        public bool $hashed = false,
        public bool $changed = false,
        public ?SshPublicKey $key = null,
        public ?string $mark = null,
        public ?string $file = null,
        public ?int $line = null,
    ) {
    }

    /** Whether it is kept for this host: by its name in plain, or by HMAC-SHA1 with the salt of the entry. */
    public function isFor(string $host): bool
    {
        if ($this->host === null) {
            return false;
        }
        if (! $this->hashed) {
            return strtolower($this->host) === strtolower($host);
        }
        [, , $salt, $hash] = [...explode('|', $this->host), '', '', '', ''];

        return hash_equals(
            (string) base64_decode($hash, true),
            hash_hmac('sha1', strtolower($host), (string) base64_decode($salt, true), true),
        );
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'host' => $this->host,
            'type' => $this->type,
            'sha256' => $this->sha256,
            'hashed' => $this->hashed,
            'changed' => $this->changed,
            'key' => $this->key?->base64,
            'mark' => $this->mark,
            'file' => $this->file,
            'line' => $this->line,
        ];
    }
}
