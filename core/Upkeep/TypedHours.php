<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

use Burrow\Household\Box;
use Burrow\Household\Hours;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\Plan\UpkeepPlanFindings;

/** Hours of the week as somebody typed them, with what speaks against them at their field. */
final readonly class TypedHours
{
    private const TIME = '/^([01]\d|2[0-3]):[0-5]\d$/D';

    private function __construct(public ?Hours $hours, public Findings $findings)
    {
    }

    /**
     * @param  array<string, string>  $typed  by field: hours_what, hours_kind, hours_from, hours_to
     * @param  list<string>  $days  of Hours::DAYS; none for every day
     * @param  list<string>  $boxes  names; none for all
     */
    public static function of(Household $house, array $typed, array $days, array $boxes): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        if ($said('hours_what') === '' || mb_strlen($said('hours_what')) > 60) {
            $found[] = UpkeepPlanFindings::hoursWant(
                'hours_what',
                'What happens then?',
                'Up to 60 letters: film evening, watering, quiet.',
            );
        }
        foreach (['hours_from', 'hours_to'] as $field) {
            preg_match(self::TIME, $said($field)) === 1 ||
                ($found[] = UpkeepPlanFindings::hoursWant(
                    $field,
                    'That is no time of the clock.',
                    'Write it as 19:00.',
                ));
        }
        $known = array_map(fn (Box $one): string => $one->name, $house->boxes());
        $findings = Findings::of(...$found);

        return new self(
            $findings->blocks()
                ? null
                : new Hours(
                    0,
                    $said('hours_kind') === Hours::WINDOW ? Hours::WINDOW : Hours::BUSY,
                    $said('hours_what'),
                    array_values(array_intersect(Hours::DAYS, $days)),
                    $said('hours_from'),
                    $said('hours_to'),
                    array_values(array_intersect($known, $boxes)),
                ),
            $findings,
        );
    }
}
