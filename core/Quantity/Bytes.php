<?php

declare(strict_types=1);

namespace Burrow\Quantity;

use InvalidArgumentException;

/**
 * An amount of data in whole bytes, 0 and up.
 *
 * Decimal prefixes are powers of 1000 (SI), binary ones powers of 1024 (IEC 80000-13).
 */
final readonly class Bytes
{
    private const DECIMAL = ['B', 'kB', 'MB', 'GB', 'TB', 'PB'];

    private const BINARY = ['B', 'KiB', 'MiB', 'GiB', 'TiB', 'PiB'];

    private function __construct(public int $count)
    {
    }

    /** @throws InvalidArgumentException when negative */
    public static function of(int $count): self
    {
        if ($count < 0) {
            throw new InvalidArgumentException("An amount of data cannot be negative: {$count} bytes.");
        }

        return new self($count);
    }

    public static function giga(float $gigabytes): self
    {
        return self::of((int) round($gigabytes * 1e9));
    }

    public static function tera(float $terabytes): self
    {
        return self::of((int) round($terabytes * 1e12));
    }

    public static function mebi(float $mebibytes): self
    {
        return self::of((int) round($mebibytes * 1024 ** 2));
    }

    public function plus(self $other): self
    {
        return new self($this->count + $other->count);
    }

    /** What is left after taking the other amount away; zero when it is more than there is. */
    public function less(self $other): self
    {
        return new self(max(0, $this->count - $other->count));
    }

    public function isMoreThan(self $other): bool
    {
        return $this->count > $other->count;
    }

    /** As drives are sold: "3.0 TB". */
    public function decimal(): string
    {
        return $this->format(1000, self::DECIMAL);
    }

    /** As systems show it: "2.7 TiB". */
    public function binary(): string
    {
        return $this->format(1024, self::BINARY);
    }

    /** @param  list<string>  $units */
    private function format(int $base, array $units): string
    {
        $value = (float) $this->count;
        $step = 0;
        while ($value >= $base && $step < count($units) - 1) {
            $value /= $base;
            $step++;
        }

        return ($step === 0 || $value >= 100 ? (string) round($value) : number_format($value, 1, '.', '')).
            ' '.
            $units[$step];
    }
}
