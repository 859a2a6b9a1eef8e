<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

/** A box in its place. Coordinates are the chamber's upper left corner; all in picture units. */
final readonly class Chamber
{
    public function __construct(
        public Dwelling $box,
        public int $column,
        public int $row,
        public float $x,
        public float $y,
        public float $width,
        public float $height,
    ) {
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
        return mb_strimwidth($this->box->note, 0, (int) (($this->width - 34) / 6.6), '…');
    }

    /** The name in full as long as it fits beside the lamp; a letter of 16 px is about 9 wide. */
    public function name(): string
    {
        return mb_strimwidth($this->box->name, 0, (int) (($this->width - 58) / 9), '…');
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
