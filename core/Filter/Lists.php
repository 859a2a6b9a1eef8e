<?php

declare(strict_types=1);

namespace Burrow\Filter;

use Burrow\Intake\Names\ListLine;

/** Several lists side by side: which of them refuses a name is one look-up a label, however many they are. */
final class Lists
{
    /** A set of lists is a number with a bit for each. */
    public const MOST = 60;

    /** Lines that are named when they cannot be read; the rest is counted. */
    private const NAMED = 5;

    /** @var array<string, int> names alone => lists that have them */
    private array $exact = [];

    /** @var array<string, int> names with everything below */
    private array $under = [];

    /** @var array<string, true> let through whatever lists say, alone and with everything below */
    private array $allowedExact = [];

    /** @var array<string, true> */
    private array $allowedUnder = [];

    /** @var list<ListSize> */
    private array $sizes = [];

    /** @param  iterable<int, string>  $lines  by number from one */
    public function add(string $name, iterable $lines): ListSize
    {
        $bit = 1 << count($this->sizes);
        $read = $invalid = $unique = 0;
        $named = [];
        foreach ($lines as $number => $line) {
            $read++;
            $names = ListLine::names($line);
            if ($names === null) {
                $invalid++;
                count($named) < self::NAMED && ($named[] = $number);

                continue;
            }
            foreach ($names as $one) {
                if ($one[0] === '@') {
                    $this->allow(substr($one, 1));
                } elseif ($one[0] === '*') {
                    $key = substr($one, 1);
                    $had = $this->under[$key] ?? 0;
                    $unique += ($had & $bit) === 0 ? 1 : 0;
                    $this->under[$key] = $had | $bit;
                } else {
                    $had = $this->exact[$one] ?? 0;
                    $unique += ($had & $bit) === 0 ? 1 : 0;
                    $this->exact[$one] = $had | $bit;
                }
            }
        }

        return $this->sizes[] = new ListSize($name, $read, $invalid, $unique, $named);
    }

    /** @param  string  $name  "name", or "*name" for it and all below */
    public function allow(string $name): void
    {
        if ($name[0] === '*') {
            $this->allowedUnder[substr($name, 1)] = true;
        } else {
            $this->allowedExact[$name] = true;
        }
    }

    /** @return list<ListSize> in the order they came */
    public function sizes(): array
    {
        return $this->sizes;
    }

    /**
     * The lists that refuse a name, as bits; 0 when none does, or an exception lets it through.
     *
     * @param  string  $name  in lower case, without the dot at its end
     */
    public function refusing(string $name): int
    {
        if (isset($this->allowedExact[$name]) || isset($this->allowedUnder[$name])) {
            return 0;
        }
        $lists = ($this->exact[$name] ?? 0) | ($this->under[$name] ?? 0);
        for ($dot = strpos($name, '.'); $dot !== false; $dot = strpos($name, '.', $dot + 1)) {
            $parent = substr($name, $dot + 1);
            if (isset($this->allowedUnder[$parent])) {
                return 0;
            }
            $lists |= $this->under[$parent] ?? 0;
        }

        return $lists;
    }

    /**
     * Why a name is refused, or let through: each list with the entry that says so.
     *
     * @return list<array{list: string, entry: string}> the list "exceptions" first, where one lets it through
     */
    public function why(string $name): array
    {
        $why = [];
        $at = [$name, ...self::parents($name)];
        foreach ($at as $i => $one) {
            if (isset($this->allowedUnder[$one]) || ($i === 0 && isset($this->allowedExact[$one]))) {
                $why[] = ['list' => 'exceptions', 'entry' => $i === 0 ? $one : "*.{$one}"];
            }
        }
        foreach ($at as $i => $one) {
            foreach ($this->sizes as $number => $list) {
                $bit = 1 << $number;
                if (($this->under[$one] ?? 0) & $bit) {
                    $why[] = ['list' => $list->name, 'entry' => "*.{$one}"];
                }
                if ($i === 0 && ($this->exact[$one] ?? 0) & $bit) {
                    $why[] = ['list' => $list->name, 'entry' => $one];
                }
            }
        }

        return $why;
    }

    /**
     * Different entries of all lists together, and how many are left when those below a listed parent are taken
     * out.
     */
    public function together(): ListSize
    {
        $folded = 0;
        foreach ($this->exact as $name => $lists) {
            $folded += isset($this->under[$name]) || $this->isBelow((string) $name) ? 0 : 1;
        }
        foreach ($this->under as $name => $lists) {
            $folded += $this->isBelow((string) $name) ? 0 : 1;
        }

        return new ListSize('all', 0, 0, count($this->exact) + count($this->under), [], $folded);
    }

    /**
     * @return array<int, int> entries of each list that are left when those below a parent of the same list are
     * gone
     */
    public function folded(): array
    {
        $folded = array_fill(0, count($this->sizes), 0);
        foreach ([[$this->exact, true], [$this->under, false]] as [$names, $alone]) {
            foreach ($names as $name => $lists) {
                $above = $alone ? $this->under[$name] ?? 0 : 0;
                foreach ($this->under === [] ? [] : self::parents((string) $name) as $parent) {
                    $above |= $this->under[$parent] ?? 0;
                }
                for ($left = $lists & ~$above, $number = 0; $left > 0; $left >>= 1, $number++) {
                    $folded[$number] += $left & 1;
                }
            }
        }

        return $folded;
    }

    private function isBelow(string $name): bool
    {
        if ($this->under === []) {
            return false;
        }
        for ($dot = strpos($name, '.'); $dot !== false; $dot = strpos($name, '.', $dot + 1)) {
            if (isset($this->under[substr($name, $dot + 1)])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> "b.c" and "c" of "a.b.c" */
    private static function parents(string $name): array
    {
        $parents = [];
        for ($dot = strpos($name, '.'); $dot !== false; $dot = strpos($name, '.', $dot + 1)) {
            $parents[] = substr($name, $dot + 1);
        }

        return $parents;
    }
}
