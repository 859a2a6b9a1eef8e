<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Filter\AskedAgain;
use App\Models\Box;
use App\Models\NameCheck;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;

/** Every hour: whether the filters of the house still refuse what they should, and answer what they should. */
final class AskFilters implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    private const MOST = 200;

    public int $uniqueFor = 120;

    public int $tries = 1;

    public function handle(AskedAgain $again): void
    {
        $again->ask(
            NameCheck::query()
                ->where('via', '')
                ->whereIn('box_id', Box::query()->standing()->select('id'))
                ->with('box.network')
                ->orderBy('asked_at')
                ->limit(self::MOST)
                ->get(),
        );
    }
}
