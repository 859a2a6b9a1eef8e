<?php

declare(strict_types=1);

namespace App\Household\Rows;

use App\Household\Told;
use App\Models\Network;
use Burrow\Household\Care;
use Burrow\Household\Hours;
use Burrow\Upkeep\Care\ReleaseTable;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;

/** The rhythm of the house, what it does by itself, and the ends of releases. */
final class HourRows extends HouseRows
{
    private const MOST_HOURS = 200;

    /** Of the package distro-info-data; without it no end is told. */
    private const RELEASES = '/usr/share/distro-info/debian.csv';

    /** @return list<Hours> the rhythm of the house */
    public function hours(): array
    {
        $time = '/^([01]\d|2[0-3]):[0-5]\d$/D';
        $rows = DB::table('hours')
            ->where('network_id', $this->network->id)
            ->orderBy('id')
            ->limit(self::MOST_HOURS)
            ->get();

        return array_values(
            $rows
                ->filter(
                    fn (stdClass $row): bool => preg_match($time, (string) $row->from) === 1 &&
                        preg_match($time, (string) $row->to) === 1,
                )
                ->map(
                    fn (stdClass $row): Hours => new Hours(
                        (int) $row->id,
                        $row->kind === Hours::WINDOW ? Hours::WINDOW : Hours::BUSY,
                        (string) $row->what,
                        array_values(array_intersect(Hours::DAYS, explode(' ', (string) $row->days))),
                        (string) $row->from,
                        (string) $row->to,
                        Told::texts($row->boxes),
                    ),
                )
                ->all(),
        );
    }

    /** @return list<Care> what the household does by itself, again and again */
    public function cares(): array
    {
        $cares = [];
        foreach (array_slice($this->network->cares(), 0, Network::MOST_CARES) as $one) {
            $cares[] = new Care(
                $one['id'],
                $one['box'] === '' ? null : $one['box'],
                $one['what'],
                max(1, $one['every']),
                $this->day($one['done']),
            );
        }

        return $cares;
    }

    /** @return array<string, DateTimeImmutable> until when releases get updates, by codename */
    public function releases(): array
    {
        $csv = is_file(self::RELEASES) ? @file_get_contents(self::RELEASES, length: 100_000) : false;

        return ReleaseTable::ends($csv === false ? '' : $csv, $this->zone());
    }
}
