<?php

declare(strict_types=1);

namespace Burrow\Reach\Draw;

use Burrow\Household\Access;
use Burrow\Household\Box;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Household\Opening;
use Burrow\Household\WayIn;
use Burrow\Household\WhoReaches;

/**
 * Ways in from outside: depth is reach. A box stands in the shallowest stratum that is true of it. Columns are fixed,
 * strata grow by rows, the picture grows downwards.
 */
final readonly class ReachPicture
{
    public const WIDTH = 786.0;

    public const CHAMBER = 192.0;

    public const TALL = 50.0;

    private const LEFT = 150.0;

    private const COLUMNS = 3;

    private const GAP = 14.0;

    /** Boxes that have a place of their own in a stratum; the others are counted. */
    private const MOST = 36;

    /** Below the chambers, where others are counted. */
    private const MORE = 24.0;

    /** Where the router's course of stones lies, and where the tags hang below it. */
    public const TURF = 176.0;

    public const TAGS = 196.0;

    private const TAG = 62.0;

    /** The second shaft of a box, beside the first; their tags end before the next shaft. */
    private const BESIDE = 96;

    private const TAG_WIDE = 150.0;

    private const TAG_FIRST = 66.0;

    private const TAG_SECOND = 72.0;

    /** Travellers at the surface; who is left out stands in the table. */
    private const TRAVELLERS = 4;

    private const LETTER = 7.1;

    private const SMALL = 6.2;

    /** A device that did not come for so many days is drawn with a broken thread (common practice). */
    public const AWAY_DAYS = 30;

    /**
     * @param  list<ReachStratum>  $strata
     * @param  list<Shaft>  $shafts
     * @param  list<array{x: float, name: string, under: string, away: bool}>  $travellers
     * @param  list<string>  $passages  paths from the tunnel's endpoint to what only it reaches
     */
    private function __construct(
        public float $height,
        public array $strata,
        public array $shafts,
        public array $travellers,
        public array $passages,
        public int $moreTravellers,
    ) {
    }

    public static function of(Household $house): self
    {
        $by = ['touched' => [], 'tunnel' => [], 'not' => []];
        foreach ($house->boxes() as $box) {
            $by[self::depth($house, $box)][] = $box;
        }
        $y = $by['touched'] === [] ? self::TURF + 14 : self::TAGS + self::TAG + 10;
        $strata = [];
        foreach (
            [
                'touched' => ['Touched', 'from outside'],
                'tunnel' => ['Only through', 'the tunnel'],
                'not' => ['Not from', 'outside'],
            ] as $id => [$name, $under]
        ) {
            $chambers = [];
            foreach (array_slice($by[$id], 0, self::MOST) as $at => $box) {
                $chambers[] = self::chamber(
                    $house,
                    $box,
                    self::x($at),
                    $y + self::GAP + intdiv($at, self::COLUMNS) * (self::TALL + self::GAP),
                );
            }
            $rows = max(1, (int) ceil(count($chambers) / self::COLUMNS));
            $height = $rows * (self::TALL + self::GAP) + self::GAP;
            $more = count($by[$id]) - count($chambers);
            $height += $more > 0 ? self::MORE : 0;
            $strata[] = new ReachStratum($id, $name, $under, $y, $height, $chambers, $more);
            $y += $height;
        }
        $shafts = self::shafts($house, $by['touched'], $strata[0]);
        $ways = array_values(array_filter($house->waysIn(), fn (WayIn $one): bool => $one->kind === 'tunnel'));
        usort($ways, fn (WayIn $a, WayIn $b): int => $a->daysAway($house->now) <=> $b->daysAway($house->now));
        $travellers = [];
        foreach (array_slice($ways, 0, self::TRAVELLERS) as $at => $way) {
            $days = $way->daysAway($house->now);
            $travellers[] = [
                'x' => 120.0 + $at * 168,
                'name' => self::cut($way->device, 158, self::LETTER),
                'under' => match (true) {
                    $way->lastCame === null => 'never seen yet',
                    $days >= self::AWAY_DAYS => "not for {$days} days",
                    $days === 0 => 'came today',
                    $days === 1 => 'came yesterday',
                    default => "came {$days} days ago",
                },
                'away' => $way->lastCame === null || $days >= self::AWAY_DAYS,
            ];
        }

        return new self(
            $y,
            $strata,
            $shafts,
            $travellers,
            self::passages($house, $strata),
            max(0, count($ways) - self::TRAVELLERS),
        );
    }

    /** "touched", "tunnel" or "not". */
    public static function depth(Household $house, Box $box): string
    {
        if ($house->openings($box) !== []) {
            return 'touched';
        }
        foreach ($house->services($box) as $service) {
            if ($house->reaches($service) === WhoReaches::Tunnel) {
                return 'tunnel';
            }
        }

        return 'not';
    }

    private static function x(int $at): float
    {
        return self::LEFT + ($at % self::COLUMNS) * (self::CHAMBER + self::GAP);
    }

    private static function chamber(Household $house, Box $box, float $x, float $y): ReachChamber
    {
        $jobs = implode(', ', array_map(fn ($job): string => $job->short, $box->jobs()));

        return new ReachChamber(
            $box->id,
            $x,
            $y,
            self::cut($box->name, self::CHAMBER - 50, self::LETTER),
            self::cut($jobs === '' ? 'no job yet' : $jobs, self::CHAMBER - 50, self::SMALL),
            $box->is(HearingState::Answers),
            $house->openings($box) !== [],
        );
    }

    /**
     * A shaft for each opening of the boxes in the first row; those of the rows below come in beside them.
     *
     * @param  list<Box>  $boxes
     * @return list<Shaft>
     */
    private static function shafts(Household $house, array $boxes, ReachStratum $stratum): array
    {
        $shafts = [];
        foreach (array_slice($boxes, 0, self::COLUMNS) as $at => $box) {
            $openings = $house->openings($box);
            $alone = count($openings) === 1;
            foreach (array_slice($openings, 0, 2) as $i => $opening) {
                $tag = $alone ? self::TAG_WIDE : ($i === 0 ? self::TAG_FIRST : self::TAG_SECOND);
                $shafts[] = new Shaft(
                    $opening->id,
                    self::x($at) + 34 + $i * self::BESIDE,
                    $stratum->chambers[$at]->y,
                    self::onlyWithKey($house, $opening),
                    "{$opening->port} {$opening->protocol}",
                    self::cut(
                        $opening->owner === '' ? 'nobody answers for it' : "{$opening->owner} answers",
                        $tag - 12,
                        self::SMALL,
                    ),
                    self::cut($opening->reason, $tag - 12, self::SMALL),
                    $opening->review?->format($alone ? 'j M Y' : 'j M') ?? 'no day set',
                    $opening->review === null || $opening->review < $house->now->setTime(0, 0),
                    $tag,
                    $i === 1 ? count($openings) - 2 : 0,
                );
            }
        }

        return $shafts;
    }

    private static function onlyWithKey(Household $house, Opening $opening): bool
    {
        foreach ($house->services() as $service) {
            if ($opening->leadsTo($service)) {
                return $service->access === Access::KeysOnly;
            }
        }

        return false;
    }

    /**
     * @param  list<ReachStratum>  $strata
     * @return list<string>
     */
    private static function passages(Household $house, array $strata): array
    {
        $facing = [];
        foreach ($house->boxes() as $box) {
            $facing[$box->id] = $box->mayFaceWorld();
        }
        $from = null;
        foreach ($strata[0]->chambers as $chamber) {
            $from ??= $facing[$chamber->id] ?? false ? $chamber : null;
        }
        $last = $strata[0]->y + $strata[0]->height - self::GAP - self::TALL;
        // From a box of the last row, so that no passage goes behind a chamber or a word.
        if ($from === null || $strata[0]->more > 0 || $from->y < $last - 1 || $strata[1]->chambers === []) {
            return [];
        }
        $paths = [];
        $gutter = $strata[1]->y + self::GAP / 2;
        foreach (array_slice($strata[1]->chambers, 0, self::COLUMNS) as $to) {
            $a = round($from->x + 40, 1);
            $b = round($to->x + self::CHAMBER / 2, 1);
            $paths[] =
                "M{$a} ".
                round($from->y + self::TALL, 1).
                ' V'.
                round($gutter, 1).
                " H{$b} V".
                round($to->y, 1);
        }

        return $paths;
    }

    private static function cut(string $text, float $room, float $letter): string
    {
        $letters = (int) floor($room / $letter);

        return mb_strlen($text) <= $letters ? $text : rtrim(mb_substr($text, 0, max(1, $letters - 1))).'…';
    }
}
