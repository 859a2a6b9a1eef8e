<?php

declare(strict_types=1);

namespace Burrow\Stores\Arrays;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;

/**
 * What an arrangement of disks holds, what it wastes, and what a rebuild takes and risks. An array takes as much
 * of each disk as of its smallest (mdadm(8)).
 */
final readonly class Arrangement
{
    /** Share of an ext4 file system that is kept for the administrator unless said otherwise (mkfs.ext4(8), -m). */
    private const RESERVED = 0.05;

    /**
     * @param  non-empty-list<int>  $disks  bytes of each, the smallest first
     * @param  float  $rate  bytes a second of one disk
     * @param  ?float  $bus  bytes a second of a bus that all of them share; null where each has its own way
     * @param  int  $bitsPerError  bits that are read for one that cannot be, as the data sheet has it
     */
    private function __construct(
        public Level $level,
        public array $disks,
        private float $rate,
        private ?float $bus,
        private int $bitsPerError,
    ) {
    }

    /**
     * @param  non-empty-list<int>  $disks
     * @return ?self  null with too few disks, or an odd number where they stand in pairs
     */
    public static function of(
        Level $level,
        array $disks,
        float $rate = 150e6,
        ?float $bus = null,
        int $bitsPerError = 100_000_000_000_000,
    ): ?self {
        sort($disks);
        $odd = $level === Level::Mirrors && count($disks) % 2 === 1;

        return count($disks) < $level->least() || $odd
            ? null
            : new self($level, $disks, $rate, $bus, $bitsPerError);
    }

    public function usable(): Bytes
    {
        [$n, $min] = [count($this->disks), $this->disks[0]];

        return Bytes::of(
            match ($this->level) {
                Level::Apart => (int) array_sum($this->disks),
                Level::Mirror => $min,
                Level::Parity => ($n - 1) * $min,
                Level::DoubleParity => ($n - 2) * $min,
                Level::Mirrors => intdiv($n * $min, 2),
            },
        );
    }

    /** What of larger disks nothing uses. */
    public function wasted(): Bytes
    {
        return Bytes::of(
            $this->level === Level::Apart
                ? 0
                : (int) array_sum($this->disks) - count($this->disks) * $this->disks[0],
        );
    }

    /** What files can have of an ext4 file system on it that keeps its usual share back. */
    public function forFiles(): Bytes
    {
        return Bytes::of((int) ($this->usable()->count * (1 - self::RESERVED)));
    }

    /** Bytes that are read to fill one new disk. */
    private function read(): float
    {
        $min = (float) $this->disks[0];

        return match ($this->level) {
            Level::Apart => 0.0,
            Level::Mirror, Level::Mirrors => $min,
            Level::Parity => (count($this->disks) - 1) * $min,
            // With one disk gone, one of the two parities is enough.
            Level::DoubleParity => (count($this->disks) - 2) * $min,
        };
    }

    public function rebuild(): Duration
    {
        $alone = $this->disks[0] / $this->rate;
        $shared = $this->bus === null ? 0.0 : ($this->read() + $this->disks[0]) / $this->bus;

        return Duration::seconds($this->level === Level::Apart ? 0.0 : max($alone, $shared));
    }

    /**
     * Odds, 0 to 1, that a sector cannot be read while everything is read that the rebuild needs, and that it
     * is then lost.
     */
    public function risk(): float
    {
        return $this->hasSpare() ? 0.0 : -expm1(8 * $this->read() * log1p(-1 / $this->bitsPerError));
    }

    /** With two parities, or a third mirror, what one disk cannot tell another can; apart nothing is rebuilt. */
    private function hasSpare(): bool
    {
        return match ($this->level) {
            Level::Apart, Level::DoubleParity => true,
            Level::Mirror => count($this->disks) > 2,
            Level::Parity, Level::Mirrors => false,
        };
    }

    public function working(): Working
    {
        $n = count($this->disks);
        $min = Bytes::of($this->disks[0])->decimal();
        $read = Bytes::of((int) $this->read());

        return Working::of(
            'stores.array',
            ucfirst($this->level->label()),
            $this->usable()->decimal(),
            Source::standard('md(4), mdadm(8); error rate: data sheets'),
            Line::computed(
                'usable',
                $this->formula($n, $min),
                "{$this->usable()->decimal()} = {$this->usable()->binary()}",
            ),
            Line::given('of larger disks unused', $this->wasted()->decimal()),
            Line::computed(
                'for files, 5 % kept back',
                "{$this->usable()->decimal()} × 0.95",
                $this->forFiles()->decimal(),
            ),
            Line::computed(
                'a rebuild takes at least',
                match (true) {
                    $this->level === Level::Apart => 'nothing is rebuilt',
                    $this->bus === null => "{$min} ÷ ".round($this->rate / 1e6).' MB/s',
                    default => "max({$min} ÷ ".
                        round($this->rate / 1e6).
                        " MB/s; ({$read->decimal()} + {$min}) ÷ ".
                        round($this->bus / 1e6).
                        ' MB/s)',
                },
                (string) $this->rebuild(),
            ),
            Line::computed(
                'chance of a sector that cannot be read',
                match (true) {
                    $this->level === Level::Apart => 'nothing is rebuilt',
                    $this->hasSpare() => 'what one disk cannot tell, another one can',
                    default => '1 − (1 − 1 ÷ 10^'.
                        round(log10($this->bitsPerError)).
                        ")^(8 × {$read->decimal()})",
                },
                number_format(100 * $this->risk(), 1).' %',
            ),
        );
    }

    private function formula(int $n, string $min): string
    {
        return match ($this->level) {
            Level::Apart => 'the sum of all',
            Level::Mirror => $min,
            Level::Parity => "({$n} − 1) × {$min}",
            Level::DoubleParity => "({$n} − 2) × {$min}",
            Level::Mirrors => "{$n} × {$min} ÷ 2",
        };
    }
}
