<?php

declare(strict_types=1);

namespace App\Household;

use Burrow\Addresses\NetworksConcern;
use Burrow\Addresses\OutsideNetwork;
use Burrow\BringUp\Unfinished;
use Burrow\Filter\FilterConcern;
use Burrow\Household\Concern;
use Burrow\Move\RetiredConcern;
use Burrow\Plan\BoxesAsBuilt;
use Burrow\Ports\Certificates;
use Burrow\Ports\EngineGroups;
use Burrow\Ports\Filter\FilterAgainstLedger;
use Burrow\Ports\PortTable;
use Burrow\Ports\Shut;
use Burrow\Reach\KeysEnd;
use Burrow\Reach\NameLeadsHere;
use Burrow\Reach\Openings;
use Burrow\Reach\OutsideAnswers;
use Burrow\Reach\TravellersAway;
use Burrow\Stores\Alike\AlikeConcern;
use Burrow\Stores\Backup\BackupConcern;
use Burrow\Stores\StoresConcern;
use Burrow\Upkeep\Care\CareConcern;
use Burrow\Upkeep\Report\ReportConcern;
use Burrow\Upkeep\SharedSwitches;
use Burrow\Upkeep\Updates;
use Burrow\Upkeep\Watch;

/** Every floor's concerns. A new one is one class and one line here. */
final class Concerns
{
    /** @return list<Concern> */
    public static function all(): array
    {
        return [
            new Watch(),
            new OutsideNetwork(),
            new NetworksConcern(),
            new Shut(),
            new Unfinished(),
            new PortTable(),
            new FilterAgainstLedger(),
            new EngineGroups(),
            new Certificates(),
            new FilterConcern(),
            new StoresConcern(),
            new BackupConcern(),
            new AlikeConcern(),
            new Openings(),
            new TravellersAway(),
            new OutsideAnswers(),
            new NameLeadsHere(),
            new KeysEnd(),
            new BoxesAsBuilt(),
            new Updates(),
            new ReportConcern(),
            new CareConcern(),
            new SharedSwitches(),
            new RetiredConcern(),
        ];
    }
}
