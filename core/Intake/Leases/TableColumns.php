<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use JsonSerializable;

/**
 * Which column of a router's table holds the names: recognised once, or told by whoever reads the page, and remembered
 * for tables of the same look. A table looks the same where it has the same heads, or none and as many columns.
 */
final readonly class TableColumns implements JsonSerializable
{
    /**
     * @param  int  $count  columns of a row, empty ones counted
     * @param  list<string>  $heads  what stands above them, in lower case; empty where nothing does
     * @param  int  $name  the column of the names, from 0
     */
    public function __construct(public int $count, public array $heads, public int $name)
    {
    }

    /** From what was kept; null where that is none. */
    public static function kept(mixed $kept): ?self
    {
        if (! is_array($kept) || ! is_int($kept['count'] ?? null) || ! is_int($kept['name'] ?? null)) {
            return null;
        }
        $heads = array_values(
            array_filter(is_array($kept['heads'] ?? null) ? $kept['heads'] : [], is_string(...)),
        );

        return $kept['name'] >= 0 &&
            $kept['name'] < $kept['count'] &&
            $kept['count'] <= TableLeases::MOST_COLUMNS
            ? new self($kept['count'], $heads, $kept['name'])
            : null;
    }

    /**
     * Empty columns at the end of a line are lost on the way, so heads tell more than the count.
     *
     * @param  list<string>  $heads
     */
    public function fits(int $count, array $heads): bool
    {
        return $heads === $this->heads && ($heads !== [] || $count === $this->count);
    }

    /** "column 3, “device name”" */
    public function words(): string
    {
        $head = $this->heads[$this->name] ?? '';

        return 'column '.($this->name + 1).($head === '' ? '' : ", “{$head}”");
    }

    /** @return array{count: int, heads: list<string>, name: int} */
    public function jsonSerialize(): array
    {
        return ['count' => $this->count, 'heads' => $this->heads, 'name' => $this->name];
    }
}
