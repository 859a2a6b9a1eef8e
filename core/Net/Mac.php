<?php

declare(strict_types=1);

namespace Burrow\Net;

use InvalidArgumentException;

/** A 48-bit hardware address (IEEE 802 MAC-48), written in lower case with colons. */
final readonly class Mac
{
    private function __construct(private string $text)
    {
    }

    /** The standard form of any of the three spellings, without making an object of it; null for anything else. */
    public static function standard(string $text): ?string
    {
        // Most are written so already.
        return preg_match('/^[0-9a-f]{2}(?::[0-9a-f]{2}){5}$/D', $text) === 1
            ? $text
            : self::tryParse($text)?->text;
    }

    /** Reads the three usual spellings: 02:4b:1e:90:0a:77, 02-4B-1E-90-0A-77 and 024b.1e90.0a77. */
    public static function tryParse(string $text): ?self
    {
        $shape =
            '/^(?:[0-9a-f]{2}(?::[0-9a-f]{2}){5}|[0-9a-f]{2}(?:-[0-9a-f]{2}){5}|[0-9a-f]{4}(?:\.[0-9a-f]{4}){2})$/Di';
        if (preg_match($shape, $text) !== 1) {
            return null;
        }

        return new self(implode(':', str_split(strtolower(str_replace([':', '-', '.'], '', $text)), 2)));
    }

    /** As some desk systems print it, without leading zeros: 2:4b:1e:90:a:77. */
    public static function tryShort(string $text): ?self
    {
        if (preg_match('/^[0-9a-f]{1,2}(?::[0-9a-f]{1,2}){5}$/Di', $text) !== 1) {
            return null;
        }

        return new self(
            implode(
                ':',
                array_map(
                    fn (string $part): string => str_pad(strtolower($part), 2, '0', STR_PAD_LEFT),
                    explode(':', $text),
                ),
            ),
        );
    }

    /** Stands for several machines: broadcast and multicast (the group bit of IEEE 802). */
    public function isGroup(): bool
    {
        return ((int) hexdec(substr($this->text, 0, 2)) & 1) !== 0;
    }

    public function equals(self $other): bool
    {
        return $this->text === $other->text;
    }

    /** @throws InvalidArgumentException when the text is no hardware address */
    public static function parse(string $text): self
    {
        return self::tryParse($text) ?? throw new InvalidArgumentException("Not a hardware address: {$text}.");
    }

    public function __toString(): string
    {
        return $this->text;
    }
}
