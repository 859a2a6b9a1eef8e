<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Net\Address;
use DateTimeImmutable;

/** A certificate as a page shows it (RFC 5280), read from its PEM form. */
final readonly class ShownCertificate
{
    private const LONGEST = 160;

    /** Names of one certificate; more are not kept. */
    private const MOST = 50;

    /**
     * @param  string  $sha256  of its DER form, 64 hexadecimal digits
     * @param  list<string>  $names  names and addresses it is for; its holder's common name where it lists none
     */
    private function __construct(
        public string $sha256,
        public string $holder,
        public string $issuer,
        public array $names,
        public ?DateTimeImmutable $starts,
        public ?DateTimeImmutable $ends,
    ) {
    }

    /** Null when the text is none. */
    public static function ofPem(string $pem): ?self
    {
        $certificate = $pem === '' ? false : @openssl_x509_read($pem);
        $told = $certificate === false ? false : openssl_x509_parse($certificate);
        $sha256 = $certificate === false ? false : openssl_x509_fingerprint($certificate, 'sha256');
        if (! is_array($told) || ! is_string($sha256)) {
            return null;
        }
        $extensions = is_array($told['extensions'] ?? null) ? $told['extensions'] : [];
        $holder = is_array($told['subject'] ?? null) ? $told['subject'] : [];
        $names = self::names($extensions['subjectAltName'] ?? null);
        $common = self::text($holder['CN'] ?? null);

        return new self(
            $sha256,
            self::whole($holder),
            self::whole(is_array($told['issuer'] ?? null) ? $told['issuer'] : []),
            $names === [] && $common !== '' ? [$common] : $names,
            self::time($told['validFrom_time_t'] ?? null),
            self::time($told['validTo_time_t'] ?? null),
        );
    }

    /** @return list<string> of "DNS:larder.home.arpa, IP Address:172.22.8.20" */
    private static function names(mixed $said): array
    {
        $names = [];
        foreach (explode(', ', is_string($said) ? $said : '') as $one) {
            [$kind, $name] = [...explode(':', trim($one), 2), ''];
            if ($kind === 'DNS' || $kind === 'IP Address') {
                $names[] = mb_substr(mb_scrub(Address::standard($name) ?? $name, 'UTF-8'), 0, self::LONGEST);
            }
        }

        return array_slice(array_values(array_filter($names)), 0, self::MOST);
    }

    /** @param  array<mixed>  $parts */
    private static function whole(array $parts): string
    {
        $words = [];
        foreach ($parts as $key => $value) {
            $words[] = "{$key} = ".self::text($value);
        }

        return mb_strimwidth(implode(', ', $words) ?: 'nobody', 0, self::LONGEST, '…');
    }

    private static function text(mixed $said): string
    {
        $said = is_array($said) ? implode(' + ', array_filter($said, is_string(...))) : $said;

        return is_string($said)
            ? trim((string) preg_replace('/\p{C}+/u', ' ', mb_scrub($said, 'UTF-8')))
            : '';
    }

    private static function time(mixed $said): ?DateTimeImmutable
    {
        return is_int($said) && $said > 0 && $said < 253_402_300_800
            ? new DateTimeImmutable("@{$said}")
            : null;
    }
}
