<?php

declare(strict_types=1);

namespace Bench;

use React\EventLoop\Loop;
use React\EventLoop\TimerInterface;

/** The bench's time, which runs as fast as asked, and what is to happen with each board. */
final class Clock
{
    private const SLOWEST = 1;

    private const FASTEST = 1000;

    /** @var array<string, list<TimerInterface>> by board */
    private array $timers = [];

    private float $speed = 20;

    public function setSpeed(float $speed): void
    {
        $this->speed = max(self::SLOWEST, min(self::FASTEST, $speed));
    }

    public function speed(): float
    {
        return $this->speed;
    }

    /** @param  float  $seconds  of board time */
    public function after(string $board, float $seconds, callable $then): void
    {
        $this->timers[$board][] = Loop::addTimer($seconds / $this->speed, $then);
    }

    /** Nothing more is to happen with this board. */
    public function forget(string $board): void
    {
        array_map(Loop::cancelTimer(...), $this->timers[$board] ?? []);
        unset($this->timers[$board]);
    }
}
