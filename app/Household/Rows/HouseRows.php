<?php

declare(strict_types=1);

namespace App\Household\Rows;

use App\Models\Network;
use Burrow\Household\Stage;
use Burrow\Net\Address;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Query\Builder;

/** Rows of one part of the house: of its network, without models, and without what cannot be so. */
abstract class HouseRows
{
    public function __construct(protected readonly Network $network, private readonly Moments $moments)
    {
    }

    /** Boxes that have a name and were not taken out of service: nobody else has a part in the picture. */
    protected static function here(Builder $boxes): void
    {
        $boxes->whereNotNull('boxes.name')->where('boxes.stage', '!=', Stage::Retired->value);
    }

    protected function time(mixed $kept): ?DateTimeImmutable
    {
        return $this->moments->time($kept);
    }

    protected function zone(): DateTimeZone
    {
        return $this->moments->zone;
    }

    protected function day(mixed $kept): ?DateTimeImmutable
    {
        return $this->moments->day($kept);
    }

    /** @return list<string> in their standard form; words that are none are left out */
    protected static function addresses(string $typed): array
    {
        return array_values(
            array_filter(
                array_map(
                    Address::standard(...),
                    preg_split('/[\s,;]+/', $typed, 20, PREG_SPLIT_NO_EMPTY) ?: [],
                ),
            ),
        );
    }
}
