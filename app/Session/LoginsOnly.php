<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Session\FileSessionHandler;

/** Sessions as files, of those who are logged in: a stranger's visit leaves nothing on the disk. */
final class LoginsOnly extends FileSessionHandler
{
    /** @param  string  $sessionId */
    public function write($sessionId, $data): bool
    {
        // The login of a session stands under this key; see SessionGuard::getName().
        if (! str_contains($data, 'login_web_')) {
            return $this->destroy($sessionId);
        }

        return parent::write($sessionId, $data);
    }
}
