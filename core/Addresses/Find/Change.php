<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

/** Card and board are separate things: which of them changed is told by host key and hardware address. */
enum Change
{
    /** The same hardware address shows another host key. */
    case Card;

    /** Another hardware address shows the same host key. */
    case Board;

    case Both;

    /** Null while neither changed, or one of them was not known before. */
    public static function of(?string $macBefore, ?string $mac, ?string $keyBefore, ?string $key): ?self
    {
        $board = $macBefore !== null && $mac !== null && $macBefore !== $mac;
        $card = $keyBefore !== null && $key !== null && $keyBefore !== $key;

        return match (true) {
            $board && $card => self::Both,
            $board => $key === null ? null : self::Board,
            $card => self::Card,
            default => null,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Card => 'another card in the same board, or the card written anew',
            self::Board => 'the same card in another board',
            self::Both => 'another card in another board',
        };
    }
}
