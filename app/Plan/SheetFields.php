<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use App\House\Fields;
use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Job\School;
use Burrow\Catalogue\Part\ImageOrigin;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Plan\Duty;
use Burrow\Plan\Host;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlanOfBox;
use Burrow\Plan\StartFrom;
use Illuminate\Http\Request;

/**
 * The fields of the plan sheet: what each may hold, what it holds when nothing was said, and what a plan makes of
 * them.
 */
final class SheetFields
{
    private const USUAL = [
        'job' => 'file-store',
        'board' => 'flint',
        'supply' => 'supply-3a',
        'cable' => 'usual-1m',
        'drive' => 'ssd-500',
        'image' => 'server-64',
        'card' => 'card-32-a1',
        'case' => 'vented',
        'link' => 'wired',
        'start' => 'card',
        'on' => 'always',
        'client' => 'desktop',
        'from' => 'author',
        'seat' => 'own',
    ];

    /** Typed numbers: what they are called, the usual one, the least, the most. */
    public const NUMBERS = [
        'room' => ['Room, °C', '24', -20, 60],
        'price' => ['Price of a kWh', '0.30', 0, 10],
        'copy' => ['Copy, GB', '50', 1, 100000],
        'subscription' => ['Ends, a month', '0', 0, 1000],
        'down' => ['Down, Mb/s', '50', 0.1, 10000],
        'up' => ['Up, Mb/s', '10', 0.1, 10000],
        'far' => ['Far down, Mb/s', '50', 0.1, 10000],
        'relay' => ['Relay, Mb/s', '0', 0, 10000],
        'daily' => ['Change, GB a day', '1', 0, 10000],
        'stream' => ['Stream, Mb/s', '40', 0.1, 10000],
        'away' => ['Away, days', '7', 0, 365],
        'battery' => ['Battery, Wh', '0', 0, 10000],
    ];

    public const CLIENTS = [
        'desktop' => 'a desktop computer',
        'phone' => 'phones and tablets',
        'browser' => 'a browser',
        'television' => 'a television',
        'program' => 'another program',
    ];

    /** A box begins with one job and gets its second within the hour: field of a job => field of its school. */
    public const JOBS = ['job' => 'school', 'also' => 'school_also', 'too' => 'school_too'];

    /** For a job that has no other school. */
    private const READY_MADE = 'appliance-64';

    /** Marks a seat on a box in service, whose name follows. */
    public const BOX = '@';

    private const MAY_BE_NONE = ['drive', 'hub', 'cooling', 'addon', 'desk', 'also', 'too'];

    /** @return array<string, string> by the names of the fields; anything missing or unknown became the usual choice */
    public static function read(Request $request, Catalogue $catalogue, Household $household): array
    {
        $chosen = [];
        foreach (self::known($catalogue, $household) as $name => $ids) {
            $typed = $request->string($name)->value();
            $usual = self::USUAL[$name] ?? 'none';
            $chosen[$name] = match (true) {
                in_array($typed, $ids, true) => $typed,
                in_array($usual, $ids, true) => $usual,
                default => $ids[0],
            };
        }
        if (
            ! $request->has('drive') &&
            array_filter(
                array_keys(self::JOBS),
                fn (string $job): bool => $catalogue->job($chosen[$job])->needsDisk ?? false,
            ) === []
        ) {
            $chosen['drive'] = 'none';
        }
        $first = $catalogue->job($chosen['job'])?->schools;
        if (
            ! $request->has('image') &&
            $first !== null &&
            array_filter($first, fn (School $school): bool => ! $school->isReadyMade()) === [] &&
            isset($catalogue->shelf()->images[self::READY_MADE])
        ) {
            $chosen['image'] = self::READY_MADE;
        }
        if (! $request->has('desk') && $household->desks()->isNotEmpty()) {
            $chosen['desk'] = (string) $household->desks()->keys()->first();
        }
        foreach (self::NUMBERS as $name => [, $usual, $least, $most]) {
            $typed = str_replace(',', '.', $request->string($name)->trim()->value());
            $chosen[$name] = is_numeric($typed) && $typed >= $least && $typed <= $most ? $typed : $usual;
        }
        foreach (self::JOBS as $job => $name) {
            $schools = array_map(
                fn (School $school): string => $school->id,
                $catalogue->job($chosen[$job])->schools ?? [],
            );
            $typed = $request->string($name)->value();
            $chosen[$name] = in_array($typed, $schools, true) ? $typed : '';
        }
        $chosen['along'] = implode(
            ',',
            array_filter(
                self::listed($request, 'along'),
                fn (string $name): bool => $household->host($name) !== null,
            ),
        );
        $chosen['plugged'] = implode(
            ',',
            array_intersect(
                self::listed($request, 'plugged'),
                array_keys(PlanOfBox::peripherals($catalogue->shelf())),
            ),
        );
        $chosen['fed'] = Fields::cut('fed', $request->string('fed')->trim()->value());

        return self::seated($chosen, $household);
    }

    /**
     * The sheet's fields for a plan that came from elsewhere; what it measured and its desk computer are not the
     * household's.
     *
     * @return array<string, string>
     */
    public static function ofPlan(PlanInput $plan): array
    {
        $so = $plan->circumstances;
        $fields = [
            'board' => $plan->board->id,
            'supply' => $plan->supply->id,
            'cable' => $plan->cable->id,
            'drive' => $plan->drive->id ?? 'none',
            'link' => $plan->link->value,
            'image' => $plan->image->id,
            'from' => $plan->imageFrom->value,
            'card' => $plan->card->id,
            'start' => $plan->startFrom->value,
            'case' => $plan->case->id,
            'hub' => $plan->hub->id ?? 'none',
            'cooling' => $plan->cooling->id ?? 'none',
            'addon' => $plan->addOn->id ?? 'none',
            'on' => $so->duty->value,
            'client' => $so->client,
            'plugged' => implode(',', array_map(fn (Peripheral $one): string => $one->what, $plan->plugged)),
        ];
        foreach (array_keys(self::JOBS) as $at => $name) {
            $job = $plan->jobs[$at] ?? null;
            $fields[$name] = $job->id ?? 'none';
            $fields[self::JOBS[$name]] = $job === null ? '' : $plan->school($job)->id;
        }
        $numbers = [
            'room' => $so->roomCelsius,
            'price' => $so->pricePerKilowattHour,
            'copy' => $so->copy->count / 1e9,
            'subscription' => ($so->subscription->cents ?? 0) / 100,
            'battery' => $so->batteryWattHours,
            'down' => $so->downMegabits,
            'up' => $so->upMegabits,
            'far' => $so->farDownMegabits,
            'relay' => $so->relayMegabits,
            'daily' => $so->dailyChange->count / 1e9,
            'away' => $so->awayDays,
            'stream' => $so->streamMegabits,
        ];

        return $fields + array_map(strval(...), $numbers);
    }

    /** @param  array<string, string>  $chosen */
    public static function boxName(array $chosen): string
    {
        return str_starts_with($chosen['seat'], self::BOX) ? substr($chosen['seat'], strlen(self::BOX)) : '';
    }

    /** @return list<string> of boxes ticked, or written with commas between them */
    private static function listed(Request $request, string $name): array
    {
        $typed = $request->input($name, '');

        return is_array($typed)
            ? array_values(array_filter($typed, is_string(...)))
            : explode(',', is_string($typed) ? $typed : '');
    }

    /**
     * On a box in service its parts are what they are; only a disk may come.
     *
     * @param  array<string, string>  $chosen
     * @return array<string, string>
     */
    private static function seated(array $chosen, Household $household): array
    {
        $plan = $household->host(self::boxName($chosen))?->plan;
        if ($plan === null) {
            return $chosen['seat'] === 'desk' && $chosen['desk'] === 'none' ? ['seat' => 'own'] + $chosen : $chosen;
        }
        $its = [
            'board' => $plan->board->id,
            'supply' => $plan->supply->id,
            'cable' => $plan->cable->id,
            'card' => $plan->card->id,
            'case' => $plan->case->id,
            'image' => $plan->image->id,
            'from' => $plan->imageFrom->value,
            'link' => $plan->link->value,
            'start' => $plan->startFrom->value,
            'hub' => $plan->hub->id ?? 'none',
            'cooling' => $plan->cooling->id ?? 'none',
            'addon' => $plan->addOn->id ?? 'none',
        ];

        return array_replace($chosen, $its, ['drive' => $plan->drive->id ?? $chosen['drive']]);
    }

    /** @return array<string, non-empty-list<string>> */
    private static function known(Catalogue $catalogue, Household $household): array
    {
        $known = [];
        foreach (
            ['job', 'board', 'supply', 'cable', 'image', 'card', 'case', 'drive', 'cooling', 'addon'] as $kind
        ) {
            $known[$kind] = array_map(strval(...), array_keys($catalogue->entries($kind)));
        }
        $known += [
            'also' => $known['job'],
            'too' => $known['job'],
            'hub' => array_column($catalogue->shelf()->small->hubs(), 'id'),
            'link' => array_column(LinkKind::cases(), 'value'),
            'start' => array_column(StartFrom::cases(), 'value'),
            'on' => array_column(Duty::cases(), 'value'),
            'client' => array_keys(self::CLIENTS),
            'from' => array_column(ImageOrigin::cases(), 'value'),
            'desk' => $household->desks()->keys()->all(),
            'seat' => [
                'own',
                'desk',
                ...array_map(fn (Host $host): string => self::BOX.$host->name, $household->hosts()),
            ],
        ];
        foreach (self::MAY_BE_NONE as $name) {
            $known[$name][] = 'none';
        }

        /** @var array<string, non-empty-list<string>> */
        return $known;
    }
}
