<?php

declare(strict_types=1);

namespace Bench\Net;

use React\Socket\ConnectionInterface;

/**
 * The part of an SSH server that a stranger at the door gets to see: greeting, key exchange and the host key
 * with a valid signature (RFC 4253, RFC 8731, RFC 8709). Nobody gets in; what happens after the login is played
 * by the console.
 */
final class SshDoor
{
    private const GREETING = 'SSH-2.0-Bench_1.0';

    private const KEXINIT = 20;

    private const NEWKEYS = 21;

    private const ECDH_INIT = 30;

    private const ECDH_REPLY = 31;

    private const LONGEST = 35000;

    private string $buffer = '';

    private ?string $clientGreeting = null;

    private ?string $clientKexInit = null;

    private readonly string $kexInit;

    private function __construct(
        private readonly ConnectionInterface $connection,
        /** @var non-empty-string */
        private readonly string $secretKey,
    ) {
        $lists = [
            'curve25519-sha256,curve25519-sha256@libssh.org',
            'ssh-ed25519',
            'aes128-ctr',
            'aes128-ctr',
            'hmac-sha2-256',
            'hmac-sha2-256',
            'none',
            'none',
            '',
            '',
        ];
        $this->kexInit =
            chr(self::KEXINIT).
            random_bytes(16).
            implode('', array_map(self::string(...), $lists)).
            "\0".
            pack('N', 0);
    }

    /** @param  non-empty-string  $secretKey an Ed25519 secret key as sodium makes it, 64 bytes */
    public static function open(ConnectionInterface $connection, string $secretKey): void
    {
        $door = new self($connection, $secretKey);
        $connection->write(self::GREETING."\r\n");
        $connection->on('data', $door->receive(...));
    }

    /**
     * The public half as SSH writes it (RFC 8709 section 4).
     *
     * @param  non-empty-string  $secretKey
     */
    public static function publicBlob(string $secretKey): string
    {
        return self::string('ssh-ed25519').self::string(sodium_crypto_sign_publickey_from_secretkey($secretKey));
    }

    private function receive(string $data): void
    {
        $this->buffer .= $data;
        if (strlen($this->buffer) > self::LONGEST) {
            $this->connection->close();

            return;
        }
        if ($this->clientGreeting === null) {
            $end = strpos($this->buffer, "\n");
            if ($end === false) {
                return;
            }
            $this->clientGreeting = rtrim(substr($this->buffer, 0, $end), "\r\n");
            $this->buffer = substr($this->buffer, $end + 1);
            $this->send($this->kexInit);
        }
        while (($payload = $this->nextPacket()) !== null) {
            $this->answer($payload);
        }
    }

    private function nextPacket(): ?string
    {
        if (strlen($this->buffer) < 6) {
            return null;
        }
        $length = (int) hexdec(bin2hex(substr($this->buffer, 0, 4)));
        if ($length < 2 || $length > self::LONGEST) {
            $this->connection->close();

            return null;
        }
        if (strlen($this->buffer) < 4 + $length) {
            return null;
        }
        $padding = ord($this->buffer[4]);
        $payload = substr($this->buffer, 5, max(0, $length - $padding - 1));
        $this->buffer = substr($this->buffer, 4 + $length);

        return $payload;
    }

    private function answer(string $payload): void
    {
        $kind = $payload === '' ? 0 : ord($payload[0]);
        if ($kind === self::KEXINIT && $this->clientKexInit === null) {
            $this->clientKexInit = $payload;
        } elseif ($kind === self::ECDH_INIT && $this->clientKexInit !== null && strlen($payload) === 37) {
            $this->exchange(substr($payload, 5));
        } else {
            $this->connection->end();
        }
    }

    private function exchange(string $theirs): void
    {
        $secret = random_bytes(32);
        $ours = sodium_crypto_scalarmult_base($secret);
        try {
            $shared = sodium_crypto_scalarmult($secret, $theirs);
        } catch (\SodiumException) {
            $this->connection->close();

            return;
        }
        $blob = self::publicBlob($this->secretKey);
        $hash = hash(
            'sha256',
            self::string((string) $this->clientGreeting).
                self::string(self::GREETING).
                self::string((string) $this->clientKexInit).
                self::string($this->kexInit).
                self::string($blob).
                self::string($theirs).
                self::string($ours).
                self::mpint($shared),
            true,
        );
        $signature =
            self::string('ssh-ed25519').self::string(sodium_crypto_sign_detached($hash, $this->secretKey));
        $this->send(chr(self::ECDH_REPLY).self::string($blob).self::string($ours).self::string($signature));
        $this->send(chr(self::NEWKEYS));
        $this->connection->removeAllListeners('data');
        $this->connection->on('data', fn () => null);
    }

    private function send(string $payload): void
    {
        $padding = 8 - ((strlen($payload) + 5) % 8);
        $padding += $padding < 4 ? 8 : 0;
        $this->connection->write(
            pack('N', strlen($payload) + $padding + 1).chr($padding).$payload.random_bytes($padding),
        );
    }

    private static function string(string $bytes): string
    {
        return pack('N', strlen($bytes)).$bytes;
    }

    /** RFC 4251 section 5: no leading zeros, one more when the top bit is set. */
    private static function mpint(string $bytes): string
    {
        $bytes = ltrim($bytes, "\0");

        return self::string($bytes !== '' && ord($bytes[0]) > 127 ? "\0".$bytes : $bytes);
    }
}
