<?php

declare(strict_types=1);

namespace App\Household;

use App\Catalogue\Catalogue;
use App\Models\Network;
use Burrow\Household\Household;
use DateTimeImmutable;
use DateTimeZone;

/** The one place where the picture of the house is made. */
final readonly class HouseholdLoader
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /** @param  ?Network  $network  the home network as it was just read; else it is read here */
    public function load(?Network $network = null): Household
    {
        $shelf = $this->catalogue->shelf();
        $network ??= Network::home();
        $now = new DateTimeImmutable('@'.now()->getTimestamp());
        $now = $now->setTimezone(new DateTimeZone($network->knownZone()));

        return new Household(new DatabaseRecords($network, $shelf, $now), $shelf, $now);
    }
}
