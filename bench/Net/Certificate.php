<?php

declare(strict_types=1);

namespace Bench\Net;

use RuntimeException;

/**
 * The certificate of the bench's pages that speak TLS: made at the first need, signed by itself, gone with the
 * process.
 */
final class Certificate
{
    public static function file(): string
    {
        static $file = null;
        if (is_string($file)) {
            return $file;
        }
        $key = openssl_pkey_new(['private_key_type' => OPENSSL_KEYTYPE_EC, 'curve_name' => 'prime256v1']);
        $request = $key === false ? false : openssl_csr_new(['commonName' => 'bench.home.arpa'], $key);
        $made =
            $request instanceof \OpenSSLCertificateSigningRequest && $key !== false
                ? openssl_csr_sign($request, null, $key, 30)
                : false;
        if (
            $key === false ||
            $made === false ||
            ! openssl_x509_export($made, $certificate) ||
            ! openssl_pkey_export($key, $secret)
        ) {
            throw new RuntimeException('The bench could not make a certificate.');
        }
        $file = (string) tempnam(sys_get_temp_dir(), 'bench');
        chmod($file, 0600);
        file_put_contents($file, $certificate.$secret);
        register_shutdown_function(fn () => @unlink($file));

        return $file;
    }
}
