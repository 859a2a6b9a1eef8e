<?php

declare(strict_types=1);

namespace Burrow\BringUp\Evening;

use DateTimeImmutable;

/** A timetable laid on the clock: what the hands do now, when they are free, and when all is over. */
final readonly class Evening
{
    /** Shorter ones are no break, in seconds. */
    private const BREAK = 180.0;

    public function __construct(public Timetable $timetable, public DateTimeImmutable $now)
    {
    }

    public function at(float $seconds): DateTimeImmutable
    {
        return $this->now->modify('+'.(int) round($seconds).' seconds');
    }

    public function finish(): DateTimeImmutable
    {
        return $this->at($this->timetable->finish());
    }

    /** The step that wants the hands first; null when nothing does any more. */
    public function first(): ?Slot
    {
        return $this->byHand()[0] ?? null;
    }

    /** The step that wants them after that. */
    public function then(): ?Slot
    {
        return $this->byHand()[1] ?? null;
    }

    /** @return list<Slot> what goes on by itself just now */
    public function waits(): array
    {
        return array_values(
            array_filter(
                $this->timetable->slots,
                fn (Slot $slot): bool => $slot->task->hands <= 0 && $slot->start <= 0 && $slot->task->wait > 0,
            ),
        );
    }

    /**
     * When the hands are free for a while before all is over.
     *
     * @return list<array{float, float}> from and to, in seconds from now
     */
    public function breaks(): array
    {
        $free = [];
        $at = 0.0;
        foreach ($this->byHand() as $slot) {
            if ($slot->start - $at >= self::BREAK) {
                $free[] = [$at, $slot->start];
            }
            $at = max($at, $slot->handsEnd());
        }
        if ($this->timetable->finish() - $at >= self::BREAK) {
            $free[] = [$at, $this->timetable->finish()];
        }

        return $free;
    }

    /** When all is over in nine evenings of ten, waits being as they may turn out. */
    public function lateFinish(): DateTimeImmutable
    {
        return $this->at($this->timetable->overBy(90));
    }

    /**
     * When to begin at the latest so that all is over by then in nine evenings of ten; in the past when that cannot be.
     */
    public function latestStart(DateTimeImmutable $by): DateTimeImmutable
    {
        return $by->modify('-'.(int) ceil($this->timetable->overBy(90)).' seconds');
    }

    /**
     * When hands are needed: steps with no break between them are one time.
     *
     * @return list<array{from: float, to: float, slots: non-empty-list<Slot>}>
     */
    public function needed(): array
    {
        /** @var list<array{from: float, to: float, slots: non-empty-list<Slot>}> $times */
        $times = [];
        foreach ($this->byHand() as $slot) {
            $last = array_pop($times);
            if ($last === null) {
                $times[] = ['from' => $slot->start, 'to' => $slot->handsEnd(), 'slots' => [$slot]];
            } elseif ($slot->start - $last['to'] < self::BREAK) {
                $times[] = [
                    'from' => $last['from'],
                    'to' => max($last['to'], $slot->handsEnd()),
                    'slots' => [...$last['slots'], $slot],
                ];
            } else {
                array_push($times, $last, ['from' => $slot->start, 'to' => $slot->handsEnd(), 'slots' => [$slot]]);
            }
        }

        return $times;
    }

    /**
     * How long the hands stay at one run before they go on to another or are free.
     *
     * @return list<array{string, float, float}> run, from and to
     */
    public function stays(): array
    {
        $stays = [];
        foreach ($this->byHand() as $slot) {
            [$run, $from, $to] = array_pop($stays) ?? [$slot->run, $slot->start, $slot->start];
            if ($run === $slot->run && $slot->start - $to < 1) {
                $stays[] = [$run, $from, $slot->handsEnd()];
            } else {
                array_push($stays, [$run, $from, $to], [$slot->run, $slot->start, $slot->handsEnd()]);
            }
        }

        return $stays;
    }

    /** @return list<Slot> */
    private function byHand(): array
    {
        return array_values(array_filter($this->timetable->slots, fn (Slot $slot): bool => $slot->task->hands > 0));
    }
}
