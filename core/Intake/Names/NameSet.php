<?php

declare(strict_types=1);

namespace Burrow\Intake\Names;

/** Names without doubles, each alone or with all below it; quick to ask, one lookup a label. */
final class NameSet
{
    /** @var array<string, true> names alone */
    private array $exact = [];

    /** @var array<string, true> names with everything below */
    private array $under = [];

    /** @param  string  $name  "name", or "*name" for it and all below */
    public function add(string $name): void
    {
        if ($name[0] === '*') {
            $this->under[substr($name, 1)] = true;
        } else {
            $this->exact[$name] = true;
        }
    }

    /** Whether a name is in it; $name in lower case without the dot at its end. */
    public function has(string $name): bool
    {
        return isset($this->exact[$name]) || isset($this->under[$name]) || $this->hasAbove($name);
    }

    private function hasAbove(string $name): bool
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

    /** Different entries. */
    public function count(): int
    {
        return count($this->exact) + count($this->under);
    }

    /** Entries that are left when those below a listed parent are taken out, which refuse nothing more. */
    public function folded(): int
    {
        $left = 0;
        foreach ($this->exact as $name => $true) {
            $left += isset($this->under[$name]) || $this->hasAbove((string) $name) ? 0 : 1;
        }
        foreach ($this->under as $name => $true) {
            $left += $this->hasAbove((string) $name) ? 0 : 1;
        }

        return $left;
    }

    /** @return iterable<string> as they are added, folded */
    public function entries(): iterable
    {
        foreach ($this->under as $name => $true) {
            if (! $this->hasAbove((string) $name)) {
                yield "*{$name}";
            }
        }
        foreach ($this->exact as $name => $true) {
            if (! isset($this->under[$name]) && ! $this->hasAbove((string) $name)) {
                yield (string) $name;
            }
        }
    }
}
