<?php

declare(strict_types=1);

namespace App\Household\Rows;

use Burrow\Household\OutsideName;
use Burrow\Household\Trial;
use Burrow\Household\WayIn;
use Burrow\Net\Address;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Who comes in from outside, under which name, and what was tried. */
final class ReachRows extends HouseRows
{
    /** Ports that were tried from outside; more are not looked at. */
    private const MOST_TRIALS = 500;

    /** @return list<WayIn> */
    public function waysIn(): array
    {
        $rows = DB::table('ways_in')
            ->where('network_id', $this->network->id)
            ->whereNull('taken_back_at')
            ->orderBy('id')
            ->get();
        $ways = $rows->map(function (stdClass $row): ?WayIn {
            $given = $this->day($row->given_on);

            return $given === null
                ? null
                : new WayIn(
                    (int) $row->id,
                    (string) $row->device,
                    (string) $row->holder,
                    (string) $row->kind,
                    is_string($row->public_key) ? $row->public_key : null,
                    is_string($row->address) ? Address::standard($row->address) : null,
                    $given,
                    $this->time($row->last_came_at),
                    $this->day($row->ends_on),
                );
        });

        return array_values(array_filter($ways->all()));
    }

    /** @return list<Trial> the last one of each port that was ever tried from outside */
    public function trials(): array
    {
        $rows = DB::table('outside_trials')
            ->where('network_id', $this->network->id)
            ->orderBy('id')
            ->limit(self::MOST_TRIALS)
            ->get();
        $trials = $rows->map(function (stdClass $row): ?Trial {
            $at = $this->time($row->tried_at);

            return $at === null
                ? null
                : new Trial(
                    (int) $row->port,
                    (string) $row->protocol,
                    (bool) $row->must_answer,
                    (bool) $row->answered,
                    $at,
                );
        });

        return array_values(array_filter($trials->all()));
    }

    /** Null where the house has no name outside. */
    public function outsideName(): ?OutsideName
    {
        $network = $this->network->getAttributes();
        $name = $network['outside_name'] ?? null;

        return is_string($name) && $name !== ''
            ? new OutsideName(
                $name,
                Address::standard((string) $this->network->wan) ?? '',
                is_string($network['name_led_to'] ?? null) ? $network['name_led_to'] : null,
                $this->time($network['name_asked_at'] ?? null),
                $this->time($network['name_wrong_since'] ?? null),
            )
            : null;
    }
}
