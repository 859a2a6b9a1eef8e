<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Net\SshPublicKey;
use phpseclib3\Net\SSH2;
use Throwable;

/** Asks port 22 for the host key: a full key exchange with its signature checked, and no login. */
final readonly class HostKeyProbe
{
    /** An honest exchange takes a few kilobytes. */
    private const MOST_BYTES = 96 * 1024;

    public function __construct(private float $seconds = 4)
    {
    }

    public function ask(Target $target): ?SshPublicKey
    {
        try {
            $door = new SSH2(BudgetedStream::open($target->host, $target->port, $this->seconds, self::MOST_BYTES));
            $door->setTimeout((int) ceil($this->seconds));
            $key = $door->getServerPublicHostKey();
            $door->disconnect();
        } catch (Throwable) {
            return null;
        }

        return is_string($key) ? SshPublicKey::tryParse($key) : null;
    }
}
