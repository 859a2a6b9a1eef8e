<?php

declare(strict_types=1);

namespace App\Journal;

use App\Models\Box;
use App\Models\ConditionSample;
use App\Models\FillSample;
use App\Models\Measurement;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\StartStage;
use Burrow\Journal\Compare\Spread;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/** What was measured in this house, by kind: readings of a box with their times, the newest first. */
final class Measures
{
    /** Readings of one box. */
    private const MOST = 400;

    /** Steps that bring a whole system up to date. */
    private const UPDATES = ['upgrade', 'own-update'];

    /** Kind => what it is called, and its unit. */
    public const ALL = [
        'copy' => ['Copy rate', 'MB/s'],
        'heat' => ['Board above the room', '°C'],
        'start' => ['From power or restart until it lets in', 's'],
        'update' => ['A first update', 'min'],
        'fill' => ['How full a file system was', '%'],
        'celsius' => ['Processor, as reports have it', '°C'],
        'volts' => ['Supply, as reports have it', 'V'],
        'undervoltage' => ['Supply too low since its start', '(1: yes)'],
        'throttled' => ['Slowed since its start', '(1: yes)'],
    ];

    /** @return Builder<Model> ids of boxes that have any reading of this kind */
    public static function boxes(string $what): Builder
    {
        /** @var Builder<Model> $ids */
        $ids = match ($what) {
            'start', 'update' => self::steps($what)
                ->join('runs', 'runs.id', '=', 'run_steps.run_id')
                ->select('runs.box_id'),
            'fill' => FillSample::query()->select('box_id'),
            'celsius', 'volts', 'undervoltage', 'throttled' => ConditionSample::query()
                ->whereNotNull($what)
                ->select('box_id'),
            default => Measurement::query()
                ->whereNotNull($what === 'copy' ? 'megabytes' : 'board_celsius')
                ->select('box_id'),
        };

        return $ids;
    }

    /** @return list<array{value: float, at: DateTimeImmutable}> the newest first; what is not plausible is left out */
    public static function readings(
        Box $box,
        string $what,
        ?DateTimeImmutable $from = null,
        ?DateTimeImmutable $to = null,
    ): array {
        [$query, $at] = match ($what) {
            'start', 'update' => [
                self::steps($what)->whereIn('run_id', Run::query()->select('id')->where('box_id', $box->id)),
                'finished_at',
            ],
            'fill' => [FillSample::query()->where('box_id', $box->id), 'taken_at'],
            'celsius', 'volts', 'undervoltage', 'throttled' => [
                ConditionSample::query()->where('box_id', $box->id)->whereNotNull($what),
                'taken_at',
            ],
            default => [
                Measurement::query()
                    ->where('box_id', $box->id)
                    ->whereNotNull($what === 'copy' ? 'megabytes' : 'board_celsius'),
                'created_at',
            ],
        };
        $from === null || $query->where($at, '>=', $from);
        $to === null || $query->where($at, '<', $to);
        $readings = [];
        foreach ($query->orderByDesc($at)->orderByDesc('id')->limit(self::MOST)->get() as $row) {
            $value = $row instanceof ConditionSample ? (float) $row->getAttribute($what) : self::value($row);
            $when = $row->getAttribute($at);
            $value === null ||
                ! $when instanceof \Carbon\CarbonInterface ||
                ($readings[] = ['value' => $value, 'at' => $when->toDateTimeImmutable()]);
        }

        return $readings;
    }

    /** @return Builder<RunStep> */
    private static function steps(string $what): Builder
    {
        return RunStep::query()
            ->where('run_steps.state', RunStep::DONE)
            ->when(
                $what === 'start',
                fn (Builder $query) => $query->whereNotNull('run_steps.stages'),
                fn (Builder $query) => $query
                    ->whereNotNull('run_steps.began_at')
                    ->whereIn('run_steps.step', self::UPDATES),
            );
    }

    private static function value(Model $row): ?float
    {
        return match (true) {
            $row instanceof RunStep => self::ofStep($row),
            $row instanceof FillSample => Spread::percent((int) $row->used_bytes, (int) $row->bytes),
            $row instanceof Measurement && ! $row->isPlausible() => null,
            $row instanceof Measurement => $row->megabytes ?? $row->board_celsius - $row->room_celsius,
            default => null,
        };
    }

    private static function ofStep(RunStep $step): ?float
    {
        if ($step->stages !== null) {
            $login = $step->stages[StartStage::Login->value] ?? null;

            return is_numeric($login) && $login >= 0 ? (float) $login : null;
        }
        $seconds = $step->began_at?->diffInSeconds($step->finished_at);

        return $seconds === null || $seconds < 0 ? null : $seconds / 60;
    }
}
