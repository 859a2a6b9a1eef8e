<?php

declare(strict_types=1);

namespace Burrow\Paper;

/** Sheets of labels as they are sold for A4 (210 × 297 mm): columns, rows, and the size of each in millimetres. */
enum LabelSize: string
{
    case Small = 'small';
    case Middle = 'middle';
    case Large = 'large';

    public function label(): string
    {
        return "{$this->columns()} × {$this->rows()}, {$this->width()} × {$this->height()} mm";
    }

    public function columns(): int
    {
        return match ($this) {
            self::Small => 5,
            self::Middle => 3,
            self::Large => 2,
        };
    }

    public function rows(): int
    {
        return match ($this) {
            self::Small => 13,
            self::Middle => 8,
            self::Large => 5,
        };
    }

    public function width(): float
    {
        return match ($this) {
            self::Small => 38.1,
            self::Middle => 70.0,
            self::Large => 99.1,
        };
    }

    public function height(): float
    {
        return match ($this) {
            self::Small => 21.2,
            self::Middle => 36.0,
            self::Large => 57.0,
        };
    }

    public function perSheet(): int
    {
        return $this->columns() * $this->rows();
    }

    /** Millimetres from the left edge of the sheet to the first column: what is left over lies half on each side. */
    public function left(): float
    {
        return round((210 - $this->columns() * $this->width()) / 2, 2);
    }

    public function top(): float
    {
        return round((297 - $this->rows() * $this->height()) / 2, 2);
    }
}
