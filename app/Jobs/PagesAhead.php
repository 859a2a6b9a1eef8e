<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Addresses\AddressesPage;
use App\Addresses\HouseNetworks;
use App\Boxes\BoxesPage;
use App\BringUp\StepFiles;
use App\Catalogue\Catalogue;
use App\Ground\GroundPage;
use App\Household\Kept;
use App\Models\Box;
use App\Models\Network;
use App\Ports\PortsPage;
use App\Reach\ReachPage;
use App\Stores\StoresPage;
use App\Upkeep\UpkeepPage;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;

/**
 * Works out the first pages of a large house after each round, so that nobody waits for it who opens one. A small
 * house is worked out while one looks, and its worker stays as small as it is.
 */
final class PagesAhead implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    private const FROM_BOXES = 100;

    private const MEMORY = 256 * 1024 * 1024;

    public int $uniqueFor = 120;

    /** The next round brings the next try. */
    public int $tries = 1;

    public function handle(Kept $kept, Catalogue $catalogue, StepFiles $files, HouseNetworks $networks): void
    {
        if (Box::query()->here()->count() < self::FROM_BOXES) {
            return;
        }
        $limit = ini_parse_quantity((string) ini_get('memory_limit'));
        if ($limit >= 0 && $limit < self::MEMORY) {
            ini_set('memory_limit', (string) self::MEMORY);
        }
        $network = Network::home();
        $ahead = $kept->ahead();
        foreach ([true, false] as $keeps) {
            GroundPage::kept($ahead, $catalogue, $network, $keeps, false, 1);
            PortsPage::kept($ahead, $network, $files, '', 1, $keeps);
            ReachPage::kept($ahead, $network, $keeps);
            AddressesPage::kept($ahead, $networks, $network, $keeps, 1);
        }
        BoxesPage::kept($ahead, 1);
        StoresPage::kept($ahead);
        UpkeepPage::kept($ahead, '', 1);
    }
}
