<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Network;
use App\Models\User;
use Burrow\Upkeep\Due;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Collection;

/** When each box is due, from its jobs in the catalogue and its last update. */
final readonly class Calendar
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    /**
     * @param  Collection<int, Box>  $boxes  with their jobs
     * @return array<int, Due> by box id, soonest first
     */
    public function of(Collection $boxes): array
    {
        $zone = new DateTimeZone(Network::zone());
        $now = new DateTimeImmutable('now', $zone);
        $dues = [];
        foreach ($boxes as $box) {
            $cadences = $this->cadences($box);
            if ($box->updated_system_at !== null && $cadences !== []) {
                $dues[$box->id] = Due::of($box->called(), $box->updated_system_at->toDateTimeImmutable()->setTimezone($zone), $cadences, $now);
            }
        }
        uasort($dues, fn (Due $a, Due $b): int => $a->date <=> $b->date);

        return $dues;
    }

    /**
     * Which box has open holes is for those to know who can close them.
     *
     * @param  Collection<int, Box>  $boxes  with their jobs
     * @return array<int, Due> none for a guest
     */
    public function toldTo(?User $user, Collection $boxes): array
    {
        return $user?->isKeeper() === true ? $this->of($boxes) : [];
    }

    /** @return array<string, int> job => days */
    private function cadences(Box $box): array
    {
        $cadences = [];
        foreach ($box->jobs as $held) {
            $job = $this->catalogue->job($held->job);
            if ($job !== null) {
                $cadences[$job->short] = $job->cadenceDays;
            }
        }

        return $cadences;
    }
}
