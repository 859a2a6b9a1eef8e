<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Know;

/** What a small light does in the seconds that one watches it. */
enum Light: string
{
    case Off = 'off';
    case Steady = 'steady';
    case Blink = 'blink';
    case Flicker = 'flicker';
    case Seldom = 'seldom';
    case Restart = 'restart';

    /**
     * Lit or dark in twenty equal parts of the time.
     *
     * @return list<bool>
     */
    public function trace(): array
    {
        $lit = match ($this) {
            self::Off => '....................',
            self::Steady => '####################',
            self::Blink => '####....####....####',
            self::Flicker => '#.##.#.###.#.##.##.#',
            self::Seldom => '...#........##......',
            self::Restart => '#.##.#.......#.##.#.',
        };

        return array_map(fn (string $part): bool => $part === '#', str_split($lit));
    }

    /** The same as a line: high while it is lit, 114 wide from x 32, its row 20 high. */
    public function line(int $row): string
    {
        $path = '';
        foreach ($this->trace() as $at => $lit) {
            $path .= sprintf(
                '%s%dH%.1f',
                $at === 0 ? 'M32 ' : 'V',
                ($lit ? 7 : 18) + 20 * $row,
                32 + 5.7 * ($at + 1),
            );
        }

        return $path;
    }

    public function isEverLit(): bool
    {
        return $this !== self::Off;
    }
}
