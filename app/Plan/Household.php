<?php

declare(strict_types=1);

namespace App\Plan;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Desk;
use App\Models\Measurement;
use App\Models\Network;
use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Household\Feed as PowerFeed;
use Burrow\Household\Household as Picture;
use Burrow\Judgement\Finding;
use Burrow\Plan\Host;
use Burrow\Plan\PlanInput;
use Burrow\Plan\Power\Feed;
use Burrow\Plan\Power\MeasuredHeat;
use Burrow\Plan\Power\SupplyFit;
use Burrow\Plan\Speed\Calibration;
use Burrow\Plan\Speed\MeasuredRate;
use Burrow\Quantity\Rate;
use Burrow\Upkeep\UpkeepFindings;
use Illuminate\Support\Collection;

/** What a plan can build upon: boxes in service, their readings, and the desk computers. Asked of the database once. */
final class Household
{
    /** Readings that are named beside what they correct. */
    private const NAMED = 6;

    /** @var array<string, array{box: Box, plan: PlanInput}>|null by name */
    private ?array $boxes = null;

    /** @var Collection<string, DeskComputer>|null */
    private ?Collection $desks = null;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** @return Collection<string, DeskComputer> by name */
    public function desks(): Collection
    {
        return $this->desks ??= Desk::query()
            ->orderBy('id')
            ->get()
            ->mapWithKeys(fn (Desk $desk): array => [$desk->name => $desk->computer()]);
    }

    /** @return list<Host> */
    public function hosts(): array
    {
        return array_map(
            fn (string $name, array $one): Host => new Host($name, $one['plan']),
            array_keys($this->boxes()),
            array_values($this->boxes()),
        );
    }

    public function host(string $name): ?Host
    {
        return isset($this->boxes()[$name]) ? new Host($name, $this->boxes()[$name]['plan']) : null;
    }

    public function box(string $name): ?Box
    {
        return $this->boxes()[$name]['box'] ?? null;
    }

    /**
     * @param  list<string>  $names  of boxes
     * @return list<Feed>
     */
    public function feeds(array $names): array
    {
        $known = array_intersect_key($this->boxes(), array_flip($names));

        return array_map(
            fn (string $name, array $one): Feed => new Feed($name, SupplyFit::of($one['plan'])->peak()),
            array_keys($known),
            array_values($known),
        );
    }

    /**
     * What was read on boxes with the same board: the middle of each limit's factors, and of the warming in the same
     * case.
     */
    public function calibration(PlanInput $plan): Calibration
    {
        $factors = $kelvins = $names = [];
        foreach ($this->boxes() as $name => ['box' => $box, 'plan' => $its]) {
            if ($its->board->id !== $plan->board->id) {
                continue;
            }
            $copy = $box->measurements->first(
                fn (Measurement $one): bool => $one->megabytes !== null && $one->isPlausible(),
            );
            if ($copy !== null && $its->link === $plan->link) {
                $measured = new MeasuredRate(
                    $its,
                    Rate::megabytesPerSecond((float) $copy->megabytes),
                    (float) $copy->idle,
                );
                $met = $measured->limitMet();
                $factor = $measured->factor();
                if (
                    $met !== null &&
                    $factor !== null &&
                    ($met !== 'disk' || $its->drive?->id === $plan->drive?->id)
                ) {
                    $factors[$met][] = $factor;
                    $names["{$name} {$copy->id}"] = self::on($name, $copy);
                }
            }
            $heat = $box->measurements->first(
                fn (Measurement $one): bool => $one->board_celsius !== null && $one->isPlausible(),
            );
            if (
                $heat !== null &&
                $its->case->id === $plan->case->id &&
                $its->cooling?->id === $plan->cooling?->id &&
                $heat->board_celsius > $heat->room_celsius
            ) {
                $kelvins[] = (new MeasuredHeat(
                    $its,
                    (float) $heat->board_celsius,
                    (float) $heat->room_celsius,
                ))->kelvinPerWatt();
                $names["{$name} {$heat->id}"] = self::on($name, $heat);
            }
        }

        return new Calibration(
            array_map(self::median(...), $factors),
            $kelvins === [] ? null : self::median($kelvins),
            implode('; ', array_slice($names, 0, self::NAMED)).
                (count($names) > self::NAMED ? '; and others' : ''),
        );
    }

    /** "dewpoint, 12 Nov 2026" */
    private static function on(string $name, Measurement $one): string
    {
        $day = $one->created_at?->setTimezone(Network::zone())->format('j M Y');

        return $day === null ? $name : "{$name}, {$day}";
    }

    /** @return list<string> switches, strips and supplies that boxes hang on */
    public function switches(): array
    {
        return array_values(
            array_unique(
                array_filter(array_map(fn (array $one): string => $one['box']->fed_by ?? '', $this->boxes())),
            ),
        );
    }

    /** Who goes dark together with a new box on this switch; null when it would hang there alone. */
    public function switchFinding(string $switch): ?Finding
    {
        if ($switch === '') {
            return null;
        }
        $house = app(Picture::class);
        $power = $house->power($house->standing())->with(new PowerFeed('the new box', $switch, []));
        $dark = $power->goDark($switch);

        return count($dark) > 1 ? UpkeepFindings::sharedSwitch($switch, $dark) : null;
    }

    /** @param  non-empty-list<float>  $values */
    private static function median(array $values): float
    {
        sort($values);

        return ($values[intdiv(count($values) - 1, 2)] + $values[intdiv(count($values), 2)]) / 2;
    }

    /** @return array<string, array{box: Box, plan: PlanInput}> */
    private function boxes(): array
    {
        if ($this->boxes === null) {
            $this->boxes = [];
            foreach (
                Box::query()
                    ->inService()
                    ->with(['jobs', 'measurements'])
                    ->orderBy('name')
                    ->get() as $box
            ) {
                $plan = BoxPlan::of($box, $this->catalogue);
                if ($plan !== null) {
                    $this->boxes[(string) $box->name] = ['box' => $box, 'plan' => $plan];
                }
            }
        }

        return $this->boxes;
    }
}
