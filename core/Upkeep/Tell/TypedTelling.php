<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Tell;

use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Upkeep\UpkeepFindings;

/** Whom the house tells and by which way, as it was typed: only addresses of the house itself, or of this machine. */
final readonly class TypedTelling
{
    public const FIELDS = ['mail_to', 'mail_server', 'hook'];

    private const MAIL = '/^[A-Za-z0-9.!#$%&\'*+\/=?^_`{|}~-]{1,64}@[A-Za-z0-9](?:[A-Za-z0-9.-]{0,250}[A-Za-z0-9])?$/D';

    private function __construct(
        public string $to,
        public ?Ipv4 $server,
        public int $port,
        public string $hook,
        public Findings $findings,
    ) {
    }

    /** @param  array<string, string>  $typed  by field */
    public static function of(array $typed, LocalNetwork $house): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        if ($said('mail_to') !== '' && preg_match(self::MAIL, $said('mail_to')) !== 1) {
            $found[] = UpkeepFindings::telling(
                'mail_to',
                'That is no address of mail.',
                'One address: warden@example.org.',
            );
        }
        [$server, $port] = self::place(
            $said('mail_server') === '' ? '127.0.0.1:25' : $said('mail_server'),
            $house,
        );
        if ($said('mail_to') !== '' && $server === null) {
            $found[] = UpkeepFindings::telling(
                'mail_server',
                'A mail server of the house is wanted.',
                'Its address in the house, a colon and its port: 127.0.0.1:25.',
            );
        }
        $hook = $said('hook');
        if ($hook !== '') {
            $isOne =
                preg_match(
                    '~^(https?)://(\d{1,3}(?:\.\d{1,3}){3})(?::(\d{1,5}))?(/[\x21-\x7e]{0,200})?$~D',
                    $hook,
                    $m,
                ) === 1;
            $port2 = $isOne ? ($m[3] ?? '' ?: ($m[1] === 'https' ? '443' : '80')) : '';
            if (! $isOne || self::place("{$m[2]}:{$port2}", $house)[0] === null) {
                $found[] = UpkeepFindings::telling(
                    'hook',
                    'This leads nowhere in the house.',
                    'http:// or https://, an address of the house by number, perhaps a port and a path.',
                );
            }
        }

        return new self($said('mail_to'), $server, $port, $hook, Findings::of(...$found));
    }

    /** @return array{?Ipv4, int} null where it is none of the house or of this machine */
    private static function place(string $typed, LocalNetwork $house): array
    {
        if (preg_match('/^([\d.]{7,15}):(\d{1,5})$/D', $typed, $m) !== 1) {
            return [null, 0];
        }
        $address = Ipv4::tryParse($m[1]);
        $port = (int) $m[2];
        $isOurs =
            $address !== null &&
            ($house->prefix->contains($address) || str_starts_with((string) $address, '127.'));

        return $isOurs && $port > 0 && $port < 65_536 ? [$address, $port] : [null, 0];
    }
}
