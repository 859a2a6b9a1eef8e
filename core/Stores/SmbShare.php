<?php

declare(strict_types=1);

namespace Burrow\Stores;

use InvalidArgumentException;

/** A share section of smb.conf(5): one path, one account, no guests. */
final readonly class SmbShare
{
    /**
     * @throws InvalidArgumentException for a name, path or user that the file cannot hold, or a share
     *         named like its user
     */
    public function __construct(private string $name, private string $path, private string $user)
    {
        if (
            preg_match('/^[A-Za-z0-9][A-Za-z0-9_ -]{0,31}$/D', $name) !== 1 ||
            in_array(strtolower($name), ['global', 'homes', 'printers'], true)
        ) {
            throw new InvalidArgumentException("Not a name for a share: {$name}.");
        }
        if (strcasecmp($name, $user) === 0) {
            throw new InvalidArgumentException(
                "A share named like its user collides with the automatic home shares: {$name}.",
            );
        }
        if (! str_starts_with($path, '/') || preg_match('/[\x00-\x1f\x7f;#%]/', $path) === 1) {
            throw new InvalidArgumentException("Not a path for a share: {$path}.");
        }
        if (preg_match('/^[a-z_][a-z0-9_-]{0,31}$/D', $user) !== 1) {
            throw new InvalidArgumentException("Not a user name: {$user}.");
        }
    }

    public function __toString(): string
    {
        return <<<CONF
        [{$this->name}]
           path = {$this->path}
           browseable = yes
           read only = no
           guest ok = no
           valid users = {$this->user}
           create mask = 0660
           directory mask = 0770
        CONF;
    }
}
