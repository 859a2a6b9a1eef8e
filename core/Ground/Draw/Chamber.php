<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

/** A box in its place. Coordinates are the chamber's upper left corner; all in picture units. */
final readonly class Chamber
{
    private const ROOMY = 16.0;

    private const DENSE = 13.5;

    private const SMALLEST = 9.5;

    /** Width of a letter as a share of the font's size. */
    private const SHARE = 0.56;

    public function __construct(
        public Dwelling $box,
        public int $column,
        public int $row,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        public bool $dense = false,
    ) {
    }

    public function lampX(): float
    {
        return $this->x + ($this->dense ? 18 : 27);
    }

    public function lampY(): float
    {
        return $this->y + ($this->dense ? 19 : 31);
    }

    public function nameX(): float
    {
        return $this->x + ($this->dense ? 29 : 45);
    }

    /** Where the lines below the name begin. */
    public function textX(): float
    {
        return $this->x + 17;
    }

    /** Of the name, the address and the note. */
    public function lineY(int $line): float
    {
        return $this->y + ($this->dense ? [24, 38, 50][$line] : [36, 57, 76][$line]);
    }

    /** Size of the name: closer chambers write long ones smaller, so that they stand whole. */
    public function nameSize(): float
    {
        $letters = max(1, mb_strwidth($this->box->name));

        return $this->dense
            ? max(self::SMALLEST, min(self::DENSE, ($this->width - 38) / ($letters * self::SHARE)))
            : self::ROOMY;
    }

    public function centreX(): float
    {
        return $this->x + $this->width / 2;
    }

    public function centreY(): float
    {
        return $this->y + $this->height / 2;
    }

    public function bottom(): float
    {
        return $this->y + $this->height;
    }

    /** The last line, cut to what fits: a letter of 13 px is about 6.6 wide. */
    public function note(): string
    {
        return mb_strimwidth(
            $this->box->note,
            0,
            (int) (($this->width - 34) / ($this->dense ? 5.4 : 6.6)),
            '…',
        );
    }

    /** The name in full as long as it fits beside the lamp; a letter of 16 px is about 9 wide. */
    public function name(): string
    {
        $letters = $this->dense
            ? ($this->width - 38) / ($this->nameSize() * self::SHARE)
            : ($this->width - 58) / (self::ROOMY * self::SHARE);

        // What fits to a hair is not cut for its last decimal.
        return mb_strimwidth($this->box->name, 0, (int) floor($letters + 1e-9), '…');
    }

    /** A rounded hollow, a little different from one chamber to the next, inside its rectangle. */
    public function outline(): string
    {
        $w = $this->width;
        $h = $this->height;
        $sway = (crc32($this->box->name) % 9) - 4;

        return sprintf(
            'M%.1f %.1f c%.1f %.1f %.1f %.1f %.1f %.1f c%.1f %.1f %.1f %.1f %.1f %.1f c%.1f %.1f %.1f %.1f %.1f %.1f c%.1f %.1f %.1f %.1f %.1f %.1f z',
            $this->x,
            $this->centreY(),
            -0.0,
            -$h * 0.42,
            $w * 0.16,
            -$h * 0.5,
            $w * 0.5 + $sway,
            -$h * 0.5,
            $w * 0.34 - $sway,
            0,
            $w * 0.5 - $sway,
            $h * 0.1,
            $w * 0.5 - $sway,
            $h * 0.5,
            0,
            $h * 0.42,
            -$w * 0.16,
            $h * 0.5,
            -$w * 0.5 + $sway,
            $h * 0.5,
            -$w * 0.34 - $sway,
            0,
            -$w * 0.5 - $sway,
            -$h * 0.1,
            -$w * 0.5 - $sway,
            -$h * 0.5,
        );
    }
}
