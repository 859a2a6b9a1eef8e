<?php

declare(strict_types=1);

namespace App\Upkeep;

use Burrow\Household\Household;
use Burrow\Upkeep\Plan\Doing;
use Burrow\Upkeep\Plan\HousePlan;
use Burrow\Upkeep\Write\CalendarFile;

/** The plan of the coming week as the text of a calendar. */
final class PlanFile
{
    /** @param  ?string  $through  the box through which somebody works */
    public static function text(Household $house, ?string $through): string
    {
        $plan = HousePlan::of($house, $through);
        $events = array_map(
            fn (Doing $one): array => [
                'id' => "upkeep-{$one->box->name}-".gmdate('Ymd', $one->start),
                'start' => $one->start,
                'end' => $one->end(),
                'title' => "{$one->box->name}: update".($one->box->restart > 0 ? ' and restart' : ''),
                'text' => 'Look afterwards whether it does its work again.',
            ],
            $plan->doings ?? [],
        );
        $writer = new CalendarFile();
        $file = $writer->write(
            (string) json_encode([
                'name' => 'Upkeep',
                'made' => $house->now->getTimestamp(),
                'events' => $events,
            ]),
            (string) file_get_contents(base_path($writer->schema())),
            'the plan',
        );

        return (string) $file->text;
    }

    private function __construct()
    {
    }
}
