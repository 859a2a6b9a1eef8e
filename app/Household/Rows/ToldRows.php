<?php

declare(strict_types=1);

namespace App\Household\Rows;

use App\Household\Told;
use Burrow\Household\EngineGroup;
use Burrow\Household\Listing;
use Burrow\Household\PacketFilter;
use Burrow\Household\Reported;
use DateTimeImmutable;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/** What boxes told of themselves. */
final class ToldRows extends HouseRows
{
    /** @var Collection<int, stdClass>|null */
    private ?Collection $tellings = null;

    /** @return list<Listing> the last one of each box that ever told */
    public function listings(): array
    {
        $rows = DB::table('listings')
            ->join('boxes', 'boxes.id', '=', 'listings.box_id')
            ->where(self::here(...))
            ->get(['boxes.name', 'listings.heard', 'listings.taken_at']);
        $listings = $rows->map(function (stdClass $row): ?Listing {
            $at = $this->time($row->taken_at);

            return $at === null ? null : new Listing((string) $row->name, $at, Told::heard($row->heard));
        });

        return array_values(array_filter($listings->all()));
    }

    /** @return list<PacketFilter> the last one of each box that ever told */
    public function packetFilters(): array
    {
        return $this->told(
            'firewall',
            fn (string $box, DateTimeImmutable $at, mixed $told): ?PacketFilter => Told::filter(
                $box,
                $at,
                $told,
            ),
        );
    }

    /** @return list<EngineGroup> the last one of each box that ever told */
    public function engineGroups(): array
    {
        return $this->told(
            'groups',
            fn (string $box, DateTimeImmutable $at, mixed $told): ?EngineGroup => Told::group(
                $box,
                $at,
                $told,
            ),
        );
    }

    /** @return list<Reported> the last report of each box that ever sent one */
    public function reports(): array
    {
        return $this->told(
            'report',
            fn (string $box, DateTimeImmutable $at, mixed $told): ?Reported => Told::report($box, $at, $told),
        );
    }

    /**
     * What boxes told of themselves, of one kind; what cannot be so is left out.
     *
     * @template T of object
     *
     * @param  callable(string, DateTimeImmutable, mixed): ?T  $make  of a box's name, a time and the text that was kept
     * @return list<T>
     */
    private function told(string $kind, callable $make): array
    {
        $all = [];
        $this->tellings ??= DB::table('tellings')
            ->join('boxes', 'boxes.id', '=', 'tellings.box_id')
            ->where(self::here(...))
            ->get(['boxes.name', 'tellings.kind', 'tellings.told', 'tellings.taken_at']);
        foreach ($this->tellings->where('kind', $kind) as $row) {
            $at = $this->time($row->taken_at);
            $one = $at === null ? null : $make((string) $row->name, $at, $row->told);
            $one === null || ($all[] = $one);
        }

        return $all;
    }
}
