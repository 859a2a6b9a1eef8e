<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Catalogue\Job\Job;
use Burrow\Household\Box;
use Burrow\Household\Copying;
use Burrow\Household\Dependency;
use Burrow\Household\DoorState;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;

/**
 * One box takes another one's place: what speaks against it, which parts are others, what is counted, whom it touches,
 * and how long the house is without it.
 */
final readonly class Succession
{
    /** Bytes a second with which a small board packs and unpacks its data (from experience, to be confirmed). */
    private const PACKING = 8e6;

    /** Bytes a second over a gigabit line to a disk or card (common practice: 30 MB/s where nobody has measured). */
    private const SENDING = 30e6;

    /** Without it, by hand: off, card out, reservation, restart, restore begun, looked over (as the steps add up). */
    private const DARK_HANDS = 900;

    /**
     * @param  list<array{part: string, from: string, to: string}>  $parts  that are others
     * @param  list<string>  $counted  what the record knows of, for the inventory, as lines of it
     * @param  list<string>  $holders  boxes and clients that hold its address, name or a key
     */
    private function __construct(
        public Findings $findings,
        public array $parts,
        public array $counted,
        public array $holders,
    ) {
    }

    /**
     * @param  Known  $known  of the box that is moved away from
     * @param  list<string>  $shares  that it has, by name
     */
    public static function of(Household $house, Box $from, Box $to, Known $known, array $shares = []): self
    {
        $holders = [];
        foreach ($house->dependencies() as $one) {
            $one->on === $from->name && ($holders[] = $one->box);
        }
        $holders = array_values(array_unique([...$holders, ...$known->clients]));

        return new self(
            Findings::of(...self::against($house, $from, $to))->gravestFirst(),
            self::parts($house, $from, $to),
            self::counted($house, $from, $shares, $holders),
            $holders,
        );
    }

    /**
     * How long each part of it takes, in the order in which it is done.
     *
     * @param  Bytes  $size  of the backup
     * @return list<array{what: string, takes: Duration, dark: bool}>  dark: the house is without it meanwhile
     */
    public static function times(Bytes $size): array
    {
        $packing = Duration::seconds($size->count / self::PACKING);
        $sending = Duration::seconds($size->count / self::SENDING);

        return [
            ['what' => 'the old one makes the backup', 'takes' => $packing, 'dark' => false],
            ['what' => 'it comes to the desk computer', 'takes' => $sending, 'dark' => false],
            [
                'what' => 'hands: off, card out, reservation, restart, restore begun, looked over',
                'takes' => Duration::seconds(self::DARK_HANDS),
                'dark' => true,
            ],
            ['what' => 'it goes to the new one', 'takes' => $sending, 'dark' => true],
            ['what' => 'the new one unpacks it', 'takes' => $packing, 'dark' => true],
        ];
    }

    /** @param  list<array{what: string, takes: Duration, dark: bool}>  $times */
    public static function dark(array $times): Duration
    {
        return Duration::seconds(
            array_sum(
                array_map(fn (array $one): float => $one['dark'] ? $one['takes']->seconds : 0.0, $times),
            ),
        );
    }

    /** @return list<Finding> */
    private static function against(Household $house, Box $from, Box $to): array
    {
        $found = [];
        if ($from->address === null) {
            $found[] = SuccessionFindings::noAddressToTake($from->name);
        }
        if (! $to->stage->stands() || $to->address === null) {
            $found[] = SuccessionFindings::notUpYet($to->name);
        } elseif ($to->hearing->state === HearingState::Silent) {
            $found[] = SuccessionFindings::newOneSilent($to->name);
        }
        $has = array_map(fn (Job $job): string => $job->id, $to->jobs());
        $lacks = array_filter($from->jobs(), fn (Job $job): bool => ! in_array($job->id, $has, true));
        if ($lacks !== []) {
            $found[] = SuccessionFindings::jobNotThere(
                $to->name,
                array_values(array_map(fn (Job $job): string => $job->label, $lacks)),
            );
        }
        $kept = array_filter(
            $house->copyings(),
            fn (Copying $one): bool => $one->to === $from->name && $one->box !== $from->name,
        );
        foreach ($kept as $one) {
            $found[] = SuccessionFindings::copiesStay($from->name, $one->name);
        }
        $uses = array_filter(
            $house->dependencies(),
            fn (Dependency $one): bool => $one->box === $from->name && $one->on === $to->name,
        );
        if ($uses !== []) {
            $found[] = SuccessionFindings::hangsOnIt($from->name, $to->name);
        }

        return $found;
    }

    /** @return list<array{part: string, from: string, to: string}> */
    private static function parts(Household $house, Box $from, Box $to): array
    {
        $shelf = $house->shelf;
        $called = fn (string $part, ?string $id): string => match (true) {
            $id === null || $id === '' => 'not known',
            $part === 'board' => $shelf->boards[$id]->label ?? $id,
            $part === 'supply' => $shelf->supplies[$id]->label ?? $id,
            $part === 'cable' => $shelf->cables[$id]->label ?? $id,
            $part === 'card' => $shelf->cards[$id]->label ?? $id,
            $part === 'drive' => $shelf->drives[$id]->label ?? $id,
            $part === 'case' => $shelf->cases[$id]->label ?? $id,
            $part === 'cooling' => $shelf->coolings[$id]->label ?? $id,
            default => $id,
        };
        $parts = [];
        foreach (PartSwap::of($from->parts, $to->parts)->changed as $part) {
            $parts[] = [
                'part' => PartSwap::PARTS[$part],
                'from' => $called($part, $from->parts->{$part}),
                'to' => $called($part, $to->parts->{$part}),
            ];
        }

        return $parts;
    }

    /**
     * @param  list<string>  $shares
     * @param  list<string>  $holders
     * @return list<string>
     */
    private static function counted(Household $house, Box $from, array $shares, array $holders): array
    {
        $lines = [];
        foreach ($house->services($from) as $service) {
            $service->state === DoorState::Open &&
                ($lines[] = "1 {$service->purpose} at port {$service->port->number}, {$service->protocol->value}");
        }
        $openings = count($house->openings($from));
        $openings > 0 && ($lines[] = "{$openings} ways in from outside");
        foreach ($shares as $share) {
            $lines[] = "1 share {$share}";
        }
        $holders === [] || ($lines[] = count($holders).' machines that use it');

        return $lines;
    }
}
