<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Household\Copying;

/** The copies of a box counted: three of them, on two kinds of things, one elsewhere (common practice). */
final readonly class Counted
{
    /**
     * @param  int  $copies  the files themselves among them
     * @param  int  $places  machines that have one
     */
    private function __construct(public int $copies, public int $places, public int $elsewhere)
    {
    }

    /** @param  list<Copying>  $all  of one box; those that never ran are no copies */
    public static function of(array $all): self
    {
        $ran = array_filter($all, fn (Copying $one): bool => $one->ran !== null);
        $places = [];
        foreach ($ran as $one) {
            $one->to === $one->box || ($places[$one->to] = true);
        }

        return new self(
            1 + count($ran),
            1 + count($places),
            count(array_filter($ran, fn (Copying $one): bool => $one->elsewhere)),
        );
    }

    public function isEnough(): bool
    {
        return $this->copies >= 3 && $this->places >= 2 && $this->elsewhere >= 1;
    }

    /** "2 copies (3 wanted), 2 places, none elsewhere (1 wanted)" */
    public function words(): string
    {
        $part = fn (int $has, int $wants, string $what): string => ($has === 0 ? 'none' : $has).
            " {$what}".
            ($has < $wants ? " ({$wants} wanted)" : '');

        return $part($this->copies, 3, $this->copies === 1 ? 'copy' : 'copies').
            ', '.
            $part($this->places, 2, $this->places === 1 ? 'place' : 'places').
            ', '.
            $part($this->elsewhere, 1, 'elsewhere');
    }
}
