<?php

declare(strict_types=1);

namespace App\Household\Rows;

use App\Models\Network;
use Burrow\Household\NameCheck;
use Burrow\Household\NameExpected;
use Burrow\Household\Resolvers;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Names that resolvers are asked, and who asks whom. */
final class NameRows extends HouseRows
{
    private const MOST_CHECKS = 1000;

    public function __construct(Network $network, Moments $moments, private readonly BoxRows $boxes)
    {
        parent::__construct($network, $moments);
    }

    /** @return list<NameCheck> names that resolvers of the house are asked again and again */
    public function nameChecks(): array
    {
        return array_values(
            DB::table('name_checks')
                ->join('boxes', 'boxes.id', '=', 'name_checks.box_id')
                ->where(self::here(...))
                ->orderBy('name_checks.id')
                ->limit(self::MOST_CHECKS)
                ->get(['name_checks.*', 'boxes.name AS box'])
                ->map(
                    fn (stdClass $row): NameCheck => new NameCheck(
                        (int) $row->id,
                        (string) $row->box,
                        (string) $row->name,
                        NameExpected::tryFrom((string) $row->expected) ?? NameExpected::Answered,
                        (string) $row->via,
                        (string) $row->said,
                        $row->held === null ? null : (bool) $row->held,
                        $this->time($row->asked_at),
                    ),
                )
                ->all(),
        );
    }

    /** Who asks whom for names. */
    public function resolvers(): Resolvers
    {
        return new Resolvers(
            (string) $this->network->router,
            self::addresses((string) $this->network->dns),
            self::addresses((string) $this->network->router_asks),
            $this->boxes->asks(),
        );
    }
}
