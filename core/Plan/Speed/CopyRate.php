<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Part\Processor;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Rate;

/** How fast a file copy runs through the box: every link of the chain, and the one that limits it. */
final readonly class CopyRate implements PlannerPart
{
    use SilentPart;

    /** Share of the rate on the air that arrives as payload: common practice. */
    private const AIR_SHARE = 0.5;

    /** @param  non-empty-list<Limit>  $chain in the order the file passes them */
    private function __construct(public array $chain)
    {
    }

    /** Null when the board has no such link, or the plan no disk. */
    public static function of(PlanInput $plan): ?self
    {
        $megabits = $plan->megabits();
        if ($megabits === null || $plan->drive === null) {
            return null;
        }
        $chain = [self::network($plan->link, $megabits), self::processor($plan->board->processor)];
        foreach ($plan->board->buses as $bus) {
            if (
                $bus->carries('disk') &&
                ($bus->carries($plan->link->value) || $plan->link === LinkKind::UsbWired)
            ) {
                $chain[] = new Limit(
                    $bus->name,
                    $bus->payload->times(0.5),
                    $bus->payload.
                        ' ÷ 2: the bus carries every byte twice, in from the network and out to the disk',
                );
            } elseif ($bus->carries('disk')) {
                $chain[] = new Limit($bus->name, $bus->payload, $bus->payload.' for the disk alone');
            }
        }
        $chain[] = new Limit('disk', $plan->drive->rate, $plan->drive->label);

        return new self(array_map($plan->calibration->correct(...), $chain));
    }

    /** The narrowest link; of two equal ones the first. */
    public function limit(): Limit
    {
        return self::narrowest($this->chain);
    }

    /** What the next link would let through if the limit were lifted. */
    public function next(): Limit
    {
        $limit = $this->limit();

        return self::narrowest(
            array_values(array_filter($this->chain, fn (Limit $l): bool => $l !== $limit)) ?: [$limit],
        );
    }

    public function rate(): Rate
    {
        return $this->limit()->rate;
    }

    public function working(): Working
    {
        return Working::of(
            'plan.copy_rate',
            'Rate of a large file copy',
            (string) $this->rate(),
            Source::standard('IEEE 802.3, IEEE 802.11, RFC 7323')->and(
                Source::catalogue('processor cost, bus and disk rates'),
            ),
            ...array_map(
                fn (Limit $limit): Line => Line::computed($limit->name, $limit->because, (string) $limit->rate),
                $this->chain,
            ),
            ...[
                Line::computed(
                    'the smallest',
                    'min('.
                        implode(
                            ', ',
                            array_map(
                                fn (Limit $l): string => number_format($l->rate->inMegabytes(), 1, '.', ''),
                                $this->chain,
                            ),
                        ).
                        ') MB/s',
                    $this->rate().' by the '.$this->limit()->name,
                ),
            ],
        );
    }

    /** What the link alone brings as payload; null when the box has no such link. */
    public static function ofLink(PlanInput $plan): ?Rate
    {
        return $plan->megabits() === null ? null : self::network($plan->link, $plan->megabits())->rate;
    }

    private static function network(LinkKind $link, float $megabits): Limit
    {
        if ($link->isCable()) {
            $rate = Ethernet::payload($megabits);

            return new Limit(
                'network',
                $rate,
                "{$megabits} Mb/s ÷ 8 × ".
                    Ethernet::PAYLOAD_WITH_TIMESTAMPS.
                    '/'.
                    Ethernet::ON_THE_WIRE.
                    ' (TCP payload of a full frame)',
            );
        }

        return new Limit(
            'Wi-Fi',
            Rate::megabitsPerSecond($megabits)->times(self::AIR_SHARE),
            "{$megabits} Mb/s on the air ÷ 8 × ".self::AIR_SHARE.' (about half arrives as payload)',
        );
    }

    /** On one core the costs add up; on several, serving, network and USB overlap and the dearest counts. */
    private static function processor(Processor $processor): Limit
    {
        $costs = [$processor->serveMsPerMegabyte, $processor->networkMsPerMegabyte, $processor->usbMsPerMegabyte];
        $ms = $processor->cores === 1 ? array_sum($costs) : max($costs);
        $sum = $processor->cores === 1 ? implode(' + ', $costs) : 'max('.implode(', ', $costs).')';

        return new Limit(
            'processor',
            Rate::megabytesPerSecond(1000 / $ms),
            "1000 ms ÷ ({$sum}) ms a megabyte, ".
                ($processor->cores === 1 ? 'one core does it all' : "spread over {$processor->cores} cores"),
        );
    }

    /** @param  non-empty-list<Limit>  $limits */
    private static function narrowest(array $limits): Limit
    {
        return array_reduce(
            $limits,
            fn (Limit $least, Limit $limit): Limit => $limit->rate->isBelow($least->rate) ? $limit : $least,
            $limits[0],
        );
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'copy_rate_mbyte_s' => round($this->rate()->inMegabytes(), 3),
            'copy_limit' => $this->limit()->name,
        ];
    }

    public static function names(): array
    {
        return ['copy_rate_mbyte_s', 'copy_limit'];
    }
}
