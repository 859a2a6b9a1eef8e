<?php

declare(strict_types=1);

namespace Burrow\Filter\Rollout;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Quantity\Duration;

/**
 * How long it takes until clients have what a router hands out: each asks again after half its lease and again before
 * its end (RFC 2131 4.4.5: T1 is half of it, T2 seven eighths), or when it is switched off and on.
 */
final readonly class LeaseWait
{
    public const LEAST = 120;

    public const MOST = 30 * 86_400;

    /** @param  int  $lease  seconds, LEAST to MOST */
    public function __construct(public int $lease)
    {
    }

    /** Seconds until the first clients have it: those that were about to ask. */
    public function first(): int
    {
        return 0;
    }

    /** Seconds until half of the clients that stay on have it, when they came at even times. */
    public function half(): int
    {
        return intdiv($this->lease, 4);
    }

    /** Seconds until every client that is on and answered has it. */
    public function all(): int
    {
        return intdiv($this->lease, 2);
    }

    /** Seconds until the last has it: one that sleeps, or whose questions to renew were not answered. */
    public function last(): int
    {
        return $this->lease;
    }

    public function working(): Working
    {
        $lease = (string) Duration::seconds($this->lease);

        return Working::of(
            'filter.lease_wait',
            'Until everybody asks it',
            (string) Duration::seconds($this->all()),
            Source::standard('RFC 2131 4.4.5'),
            Line::given('lease', $lease),
            Line::computed('half of them', "{$lease} ÷ 4", (string) Duration::seconds($this->half())),
            Line::computed('all that are on', "{$lease} ÷ 2", (string) Duration::seconds($this->all())),
            Line::computed('those that slept', $lease, (string) Duration::seconds($this->last())),
        );
    }
}
