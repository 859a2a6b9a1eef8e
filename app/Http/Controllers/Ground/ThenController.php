<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Models\Box;
use App\Models\Network;
use App\Models\Opening;
use App\Models\PastOpening;
use Burrow\Ground\Draw\ChamberState;
use Burrow\Ground\Draw\Dwelling;
use Burrow\Ground\Draw\Gathered;
use Burrow\Ground\Draw\GroundPlan;
use Burrow\Ground\Then;
use Burrow\Household\Stage;
use DateTimeImmutable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** The house on a day that is past: which boxes were in service, what reached the surface. */
final class ThenController
{
    /** Ways of one house, past and present. */
    private const MOST = 2000;

    public function __invoke(Request $request): View
    {
        $now = now(Network::zone())->toDateTimeImmutable();
        $day = self::day($request->string('day')->value(), $now);
        $boxes = $this->boxes();
        $then = Then::of($day, $now, $boxes, $this->ways());
        $shown = array_map(
            fn (string $name): Dwelling => new Dwelling(
                $name,
                '',
                '',
                ChamberState::Unheard,
                array_values(
                    array_column(
                        array_filter($then->ways, fn (array $one): bool => $one['box'] === $name),
                        'way',
                    ),
                ),
            ),
            $then->boxes,
        );

        return view('ground.then', [
            'then' => $then,
            'now' => $now,
            'months' => $this->months($now),
            'picture' => GroundPlan::draw(
                Gathered::of($shown),
                $request->has('narrow') ? GroundPlan::NARROW : GroundPlan::WIDE,
            ),
            'ids' => Box::query()->whereIn('name', $then->boxes)->pluck('id', 'name')->all(),
            'network' => Network::home(),
        ]);
    }

    /** @return list<array{name: string, from: DateTimeImmutable, to: ?DateTimeImmutable}> */
    private function boxes(): array
    {
        $boxes = [];
        foreach (Box::query()->whereNotNull('name')->whereNotNull('in_service_at')->get() as $box) {
            $boxes[] = [
                'name' => (string) $box->name,
                'from' => $box->in_service_at?->toDateTimeImmutable() ?? new DateTimeImmutable('@0'),
                'to' => $box->stage === Stage::Retired ? $box->retired_at?->toDateTimeImmutable() : null,
            ];
        }

        return $boxes;
    }

    /** @return list<array{box: string, way: string, from: DateTimeImmutable, to: ?DateTimeImmutable}> */
    private function ways(): array
    {
        $ways = [];
        foreach (Opening::query()->with('box')->orderBy('outside_port')->limit(self::MOST)->get() as $one) {
            $from = $one->since ?? $one->created_at;
            $from === null ||
                ($ways[] = [
                    'box' => $one->box->called(),
                    'way' => "{$one->outside_port} {$one->protocol}",
                    'from' => $from->toDateTimeImmutable(),
                    'to' => null,
                ]);
        }
        foreach (PastOpening::query()->orderByDesc('closed_at')->limit(self::MOST)->get() as $one) {
            $ways[] = [
                'box' => $one->box,
                'way' => "{$one->outside_port} {$one->protocol}",
                'from' => $one->opened_at->toDateTimeImmutable(),
                'to' => $one->closed_at->toDateTimeImmutable(),
            ];
        }

        return $ways;
    }

    /** @return list<array{day: string, label: string}> the last day of each month, the newest first; today before them */
    private function months(DateTimeImmutable $now): array
    {
        $months = [['day' => $now->format('Y-m-d'), 'label' => 'today']];
        $first = $now->modify('first day of this month');
        for ($back = 1; $back < Then::MONTHS; $back++) {
            $end = $first->modify("-{$back} months")->modify('last day of this month');
            $months[] = ['day' => $end->format('Y-m-d'), 'label' => 'end of '.$end->format('F Y')];
        }

        return $months;
    }

    /** What was asked for, else the end of the last month. */
    private static function day(string $typed, DateTimeImmutable $now): DateTimeImmutable
    {
        $day =
            preg_match('/^\d{4}-\d\d-\d\d$/D', $typed) === 1
                ? DateTimeImmutable::createFromFormat('!Y-m-d', $typed, $now->getTimezone())
                : false;

        return $day !== false &&
            $day->format('Y-m-d') === $typed &&
            $day <= $now &&
            $day > $now->modify('-50 years')
            ? $day
            : $now->modify('last day of previous month')->setTime(0, 0);
    }
}
