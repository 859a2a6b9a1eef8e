<?php

declare(strict_types=1);

namespace App\Household;

use App\Household\Rows\BoxRows;
use App\Household\Rows\HourRows;
use App\Household\Rows\Moments;
use App\Household\Rows\NameRows;
use App\Household\Rows\PortRows;
use App\Household\Rows\ReachRows;
use App\Household\Rows\StoreRows;
use App\Household\Rows\ToldRows;
use App\Models\Network;
use App\Models\Networks;
use Burrow\Catalogue\Shelf;
use Burrow\Household\HouseNetwork;
use Burrow\Household\OutsideName;
use Burrow\Household\Records;
use Burrow\Household\Resolvers;
use Burrow\Net\Ipv4;
use DateTimeImmutable;

/** The picture of the house from the database: one query a part, rows without models, a class for each floor. */
final class DatabaseRecords implements Records
{
    private readonly BoxRows $box;

    private readonly PortRows $port;

    private readonly StoreRows $store;

    private readonly ReachRows $reach;

    private readonly ToldRows $told;

    private readonly NameRows $name;

    private readonly HourRows $hour;

    public function __construct(private readonly Network $network, Shelf $shelf, DateTimeImmutable $now)
    {
        $moments = new Moments($now->getTimezone());
        $this->box = new BoxRows($network, $moments, $shelf, $now);
        $this->port = new PortRows($network, $moments);
        $this->store = new StoreRows($network, $moments);
        $this->reach = new ReachRows($network, $moments);
        $this->told = new ToldRows($network, $moments);
        $this->hour = new HourRows($network, $moments);
        $this->name = new NameRows($network, $moments, $this->box);
    }

    public function boxes(): array
    {
        return $this->box->boxes();
    }

    public function networks(): array
    {
        return array_values(
            Networks::beside($this->network)
                ->map(
                    fn (Network $one): HouseNetwork => new HouseNetwork(
                        $one->id,
                        $one->name,
                        $one->asLocalNetwork(),
                        Ipv4::tryParse((string) $one->wan),
                        (string) $one->dns,
                        (string) $one->ipv6,
                        (string) $one->ranges,
                    ),
                )
                ->all(),
        );
    }

    public function retired(): array
    {
        return $this->box->retired();
    }

    public function dependencies(): array
    {
        return $this->box->dependencies();
    }

    public function services(): array
    {
        return $this->port->services();
    }

    public function openings(): array
    {
        return $this->port->openings();
    }

    public function certificates(): array
    {
        return $this->port->certificates();
    }

    public function fills(): array
    {
        return $this->store->fills();
    }

    public function drives(): array
    {
        return $this->store->drives();
    }

    public function folderPairs(): array
    {
        return $this->store->folderPairs();
    }

    public function copyings(): array
    {
        return $this->store->copyings();
    }

    public function waysIn(): array
    {
        return $this->reach->waysIn();
    }

    public function trials(): array
    {
        return $this->reach->trials();
    }

    public function outsideName(): ?OutsideName
    {
        return $this->reach->outsideName();
    }

    public function listings(): array
    {
        return $this->told->listings();
    }

    public function packetFilters(): array
    {
        return $this->told->packetFilters();
    }

    public function engineGroups(): array
    {
        return $this->told->engineGroups();
    }

    public function reports(): array
    {
        return $this->told->reports();
    }

    public function nameChecks(): array
    {
        return $this->name->nameChecks();
    }

    public function resolvers(): Resolvers
    {
        return $this->name->resolvers();
    }

    public function cares(): array
    {
        return $this->hour->cares();
    }

    public function releases(): array
    {
        return $this->hour->releases();
    }

    public function hours(): array
    {
        return $this->hour->hours();
    }
}
