<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Sheet\Line;
use Burrow\Sheet\Source;
use Burrow\Sheet\Working;

/** How long the household's own copy takes, and what the rate is good for. */
final readonly class CopyTime
{
    /** Rates in MB/s from which a use is pleasant: common practice. */
    private const USES = ['archive and backup' => 1.0, 'a film at 40 Mb/s' => 5.0, 'opening large pictures' => 10.0, 'editing video over the network' => 60.0];

    public function __construct(
        private CopyRate $copy,
        private Bytes $amount,
    ) {
    }

    public function time(): Duration
    {
        return $this->copy->rate()->timeFor($this->amount);
    }

    /** @return array<string, bool> use => good enough for it */
    public function uses(): array
    {
        return array_map(fn (float $from): bool => $this->copy->rate()->inMegabytes() >= $from, self::USES);
    }

    public function working(): Working
    {
        return Working::of(
            'plan.copy_time',
            "Time for {$this->amount->decimal()}",
            (string) $this->time(),
            Source::commonPractice(),
            Line::computed('time', "{$this->amount->decimal()} ÷ {$this->copy->rate()}", (string) $this->time()),
            ...array_map(fn (string $use, bool $good): Line => Line::given($use, $good ? 'good enough' : 'too slow', 'from '.self::USES[$use].' MB/s'), array_keys(self::USES), $this->uses()),
        );
    }
}
