<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Net\SshPublicKey;
use phpseclib3\Net\SSH2;
use Throwable;

/** Asks port 22 for the host key: a full key exchange with its signature checked, and no login. */
final class HostKeyProbe
{
    private const SECONDS = 4;

    public function ask(Target $target): ?SshPublicKey
    {
        try {
            $door = new SSH2($target->host, $target->port, self::SECONDS);
            $key = $door->getServerPublicHostKey();
            $door->disconnect();
        } catch (Throwable) {
            return null;
        }

        return is_string($key) ? SshPublicKey::tryParse($key) : null;
    }
}
