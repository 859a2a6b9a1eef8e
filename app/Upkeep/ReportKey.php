<?php

declare(strict_types=1);

namespace App\Upkeep;

use phpseclib3\Crypt\Common\PrivateKey;
use phpseclib3\Crypt\EC;
use phpseclib3\Crypt\PublicKeyLoader;
use RuntimeException;

/**
 * The key by which this application fetches reports. It lies in a file that only its account reads, in no backup and in
 * no record, and opens the one command that boxes tie it to.
 */
final class ReportKey
{
    public static function private(): PrivateKey
    {
        $file = storage_path('report-key');
        // It lay among the files that backups take along.
        is_file($file) || @rename(storage_path('app/report-key'), $file);
        if (! is_file($file)) {
            $key = EC::createKey('Ed25519')->toString('OpenSSH');
            $part = $file.'.'.bin2hex(random_bytes(6));
            $old = umask(0077);
            $whole = @file_put_contents($part, $key) === strlen($key);
            umask($old);
            // Of two who make one at once the first one counts.
            $whole && @link($part, $file);
            @unlink($part);
            if (! is_file($file)) {
                throw new RuntimeException('The key for reports cannot be written.');
            }
        }
        $key = PublicKeyLoader::load((string) file_get_contents($file));

        return $key instanceof PrivateKey
            ? $key
            : throw new RuntimeException('The key for reports is damaged.');
    }

    /** One line, as authorized_keys has it. */
    public static function public(): string
    {
        return self::private()
            ->getPublicKey()
            ->toString('OpenSSH', ['comment' => 'keen-burrow']);
    }

    private function __construct()
    {
    }
}
