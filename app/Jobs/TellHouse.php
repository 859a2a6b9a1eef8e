<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Network;
use App\Upkeep\Teller;
use Burrow\Household\Household;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;

/** Looks whether there is something to be told; one message a day at most, unless something fell silent. */
final class TellHouse implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $uniqueFor = 120;

    public int $tries = 1;

    public function handle(Teller $teller, Household $house): void
    {
        $network = Network::query()->orderBy('id')->first();
        $network === null || $teller->tell($house, $network);
    }
}
