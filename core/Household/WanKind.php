<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/** What the world sees of a house's connection, which decides who can come in and how. */
enum WanKind: string
{
    case Fixed = 'fixed';
    case Changing = 'changing';
    /** The router's own outside address is a private one: another router stands before it. */
    case BehindRouter = 'behind-router';
    /** The provider shares one address between many houses (RFC 6598). */
    case CarrierNat = 'carrier-nat';

    public function label(): string
    {
        return match ($this) {
            self::Fixed => 'a fixed public address',
            self::Changing => 'a public address that changes',
            self::BehindRouter => 'a router behind a router',
            self::CarrierNat => 'an address shared by the provider',
        };
    }

    /** What the outside address alone tells; null where it is a public one, which may be fixed or not. */
    public static function ofAddress(?Ipv4 $outside): ?self
    {
        return match (true) {
            $outside === null => null,
            Prefix::parse('100.64.0.0/10')->contains($outside) => self::CarrierNat,
            $outside->isPrivate() => self::BehindRouter,
            default => null,
        };
    }

    /** A forwarded port leads in from the world. */
    public function lets(): bool
    {
        return $this === self::Fixed || $this === self::Changing;
    }
}
