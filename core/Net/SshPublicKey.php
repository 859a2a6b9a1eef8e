<?php

declare(strict_types=1);

namespace Burrow\Net;

use JsonSerializable;

/** An SSH public key (RFC 4253 section 6.6): of a box, or of somebody who may log in. */
final readonly class SshPublicKey implements JsonSerializable
{
    private function __construct(public string $type, public string $base64, public string $comment)
    {
    }

    /** Null when the text does not decode, or decodes to another type than it says. */
    public static function tryOf(string $type, string $base64, string $comment = ''): ?self
    {
        $blob = base64_decode($base64, true);
        if ($blob === false || strlen($blob) < 8 || preg_match('/^[a-z0-9@.-]{3,64}$/D', $type) !== 1) {
            return null;
        }
        $length = (int) hexdec(bin2hex(substr($blob, 0, 4)));

        return substr($blob, 4, $length) === $type
            ? new self($type, $base64, (string) preg_replace('/[^\x20-\x7E]/', '', $comment))
            : null;
    }

    /** One line "type base64 comment", as in a .pub file. */
    public static function tryParse(string $line): ?self
    {
        $words = preg_split('/\s+/', trim($line), 3) ?: [];

        return self::tryOf($words[0] ?? '', $words[1] ?? '', $words[2] ?? '');
    }

    /** Whole fields to its end, and a key of the short kind has its 32 bytes (RFC 4253 6.6, RFC 8709 4). */
    public function isWhole(): bool
    {
        $blob = (string) base64_decode($this->base64);
        $fields = [];
        for ($at = 0; $at < strlen($blob) && count($fields) < 8;) {
            $length = (int) hexdec(bin2hex(substr($blob, $at, 4)));
            $fields[] = $length;
            $at += 4 + $length;
        }

        return $at === strlen($blob) &&
            count($fields) >= 2 &&
            ($this->type !== 'ssh-ed25519' || $fields === [11, 32]);
    }

    /** Bits of the modulus of an RSA key (RFC 4253 section 6.6: name, e, n); null for another kind. */
    public function rsaBits(): ?int
    {
        if ($this->type !== 'ssh-rsa') {
            return null;
        }
        $blob = (string) base64_decode($this->base64);
        $fields = [];
        for ($at = 0; $at + 4 <= strlen($blob) && count($fields) < 3; $at += 4 + strlen(end($fields) ?: '')) {
            $fields[] = substr($blob, $at + 4, (int) hexdec(bin2hex(substr($blob, $at, 4))));
        }
        $modulus = ltrim($fields[2] ?? '', "\0");

        return $modulus === '' ? 0 : 8 * (strlen($modulus) - 1) + strlen(decbin(ord($modulus[0])));
    }

    /** As `ssh-keygen -l` prints it: SHA256 and unpadded base64. */
    public function fingerprint(): string
    {
        return 'SHA256:'.rtrim(base64_encode(hash('sha256', (string) base64_decode($this->base64), true)), '=');
    }

    /** @return array{type: string, fingerprint: string, key: string} */
    public function jsonSerialize(): array
    {
        return ['type' => $this->type, 'fingerprint' => $this->fingerprint(), 'key' => $this->base64];
    }

    public function __toString(): string
    {
        return trim("{$this->type} {$this->base64} {$this->comment}");
    }
}
