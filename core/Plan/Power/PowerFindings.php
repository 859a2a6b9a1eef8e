<?php

declare(strict_types=1);

namespace Burrow\Plan\Power;

use Burrow\Catalogue\Job\Peripheral;
use Burrow\Catalogue\Part\Adapter;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\Supply;
use Burrow\Judgement\Finding;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Volts;
use Burrow\Text\Words;

/** Every judgement of supply, voltage and heat, each with its one text; docs/formulas/plan.md lists their sources. */
final class PowerFindings
{
    public static function backFeeding(Peripheral $peripheral): Finding
    {
        return Finding::note(
            'plan.back_feeding',
            "The {$peripheral->what} may feed power back through its cable.",
            'The board then runs on it when its own supply is off, and badly.',
            'A cable without the power wire, or the piece of tape on that contact, stops it.',
        );
    }

    public static function busCurrent(Amps $limit, Amps $asked): Finding
    {
        return Finding::stop(
            'plan.bus_current',
            "The USB sockets give {$limit} together, and {$asked} is asked of them.",
            'A disk clicks and vanishes while it starts, whatever the supply can do.',
            'A powered hub, or a disk with a supply of its own.',
        );
    }

    public static function busFits(?Adapter $hub, Amps $asked, Amps $limit): Finding
    {
        return Finding::fine(
            'plan.bus_fits',
            ($hub === null ? 'USB sockets' : 'Powered hub').
                ": {$asked} while everything starts, of {$limit}.",
        );
    }

    public static function cablePlug(PlanInput $plan): Finding
    {
        return Finding::stop(
            'plan.cable_plug',
            "{$plan->cable->label}: its plug does not fit the inlet of the {$plan->board->label}.",
            "The board has a {$plan->board->powerInlet} inlet.",
            'Take a cable for that inlet.',
        );
    }

    public static function heatClose(string $degrees): Finding
    {
        return Finding::note(
            'plan.heat_close',
            "{$degrees} under load, close to where it slows down.",
            'A warm summer room takes the rest.',
            'Sinks or a small fan cost little.',
        );
    }

    public static function heatFits(string $degrees, string $caseName): Finding
    {
        return Finding::fine('plan.heat_fits', "{$degrees} under load ({$caseName}).");
    }

    public static function heatMeasured(string $words): Finding
    {
        return Finding::fine('plan.heat_measured', 'The case does what it should.', $words);
    }

    public static function heatNotBelieved(): Finding
    {
        return Finding::warn(
            'plan.heat_not_believed',
            'A board under load is warmer than its room.',
            'The two readings may be swapped, or it was idle.',
            'Read again after ten minutes of load.',
        );
    }

    public static function heatOwnCooling(): Finding
    {
        return Finding::fine('plan.heat_own_cooling', 'It has a case and cooling of its own.');
    }

    public static function heatThrottles(string $degrees, float $throttles): Finding
    {
        return Finding::warn(
            'plan.heat_throttles',
            "{$degrees} under load: it slows itself down.",
            'It lowers its clock from '.$throttles.' °C on, more so in summer.',
            'Sinks before a case, a vented case, or a fan.',
        );
    }

    public static function heatWorse(string $words): Finding
    {
        return Finding::warn(
            'plan.heat_worse',
            'It runs hotter than its case should let it.',
            $words,
            'Dust, a sink that lost its contact, or a place without air.',
        );
    }

    public static function hubCurrent(Amps $limit, Amps $asked): Finding
    {
        return Finding::stop(
            'plan.hub_current',
            "The hub gives {$limit}, and {$asked} is asked of it.",
            'Devices drop out one after another, the disk first.',
            'A hub with a stronger supply, or a disk with its own.',
        );
    }

    public static function hubSockets(int $devices, Adapter $hub): Finding
    {
        return Finding::stop(
            'plan.hub_sockets',
            "{$devices} devices want a socket, and the hub has {$hub->sockets}.",
            'One of them stays unplugged.',
            'A hub with more sockets, or fewer devices.',
        );
    }

    public static function outputTooWeak(Supply $supply, Feed $feed): Finding
    {
        return Finding::stop(
            'plan.output_too_weak',
            "An output gives {$supply->current}, and {$feed->name} takes {$feed->peak}.",
            'Each output has a limit of its own, whatever the others leave over.',
            'A stronger supply, or one of its own for that box.',
        );
    }

    public static function outputsTooFew(int $boxes, Supply $supply): Finding
    {
        return Finding::stop(
            'plan.outputs_too_few',
            "{$boxes} boxes hang on a supply with ".Words::counted($supply->outputs, 'output').'.',
            'Splitting an output halves what each box gets.',
            'A supply with more outputs, or one of its own.',
        );
    }

    public static function poeFits(float $wanted, float $watts): Finding
    {
        return Finding::fine(
            'plan.poe_fits',
            'Power over the network cable: '.
                number_format($wanted, 1, '.', '').
                " W at the peak of {$watts} W.",
        );
    }

    public static function poeNeedsCable(): Finding
    {
        return Finding::stop(
            'plan.poe_needs_cable',
            'Power over the network cable needs that cable.',
            'The plan says Wi-Fi.',
            'Choose the network cable.',
        );
    }

    public static function poeNotTaken(BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.poe_not_taken',
            "The {$board->label} takes no power over its network socket.",
            'It lacks the part that turns 48 V into 5 V.',
            'Take a supply for its inlet, a board that does, or an add-on that takes it.',
        );
    }

    public static function poeTooWeak(float $wanted, PlanInput $plan, float $watts): Finding
    {
        return Finding::stop(
            'plan.poe_too_weak',
            number_format($wanted, 1, '.', '').
                " W are asked at the socket at the peak; the type {$plan->poeType()} part behind it takes {$watts} W at most.",
            'The switch cuts the power off.',
            'Type 2, or a disk with a supply of its own.',
        );
    }

    public static function spinningOnBoard(Drive $drive): Finding
    {
        return Finding::note(
            'plan.spinning_on_board',
            'The spinning disk is fed by the board.',
            "It takes {$drive->starting} while it starts, and again at every start after a rest.",
            'A powered hub or a disk with its own supply takes that load off the board.',
        );
    }

    public static function supplyBelowClass(Supply $supply, BoardClass $board, Amps $peak): Finding
    {
        return Finding::warn(
            'plan.supply_below_class',
            "The supply gives {$supply->current}; a board with a {$board->powerInlet} inlet wants {$board->supplyAmps} A.",
            "The peak of {$peak} is covered; what is plugged in later may not be (common practice).",
            "Take one of at least {$board->supplyAmps} A.",
        );
    }

    public static function supplyFailsTogether(int $boxes, string $names): Finding
    {
        return Finding::note(
            'plan.supply_fails_together',
            'One supply for '.Words::counted($boxes, 'box', 'boxes').": with this one go {$names}.",
            'When it fails or is unplugged, all of them are off.',
            'Keep a spare, and not both name filters on it.',
        );
    }

    public static function supplyFits(Amps $peak, Supply $supply): Finding
    {
        return Finding::fine(
            'plan.supply_fits',
            "Supply: {$peak} are drawn at the peak, and it gives {$supply->current}.",
        );
    }

    public static function supplySharedTooWeak(Amps $together, Supply $supply): Finding
    {
        return Finding::stop(
            'plan.supply_shared_too_weak',
            "All boxes on it take {$together} at their peaks; the supply gives {$supply->together} together.",
            'When the power returns after a cut, all of them start at once.',
            'Fewer boxes on it, or a stronger one.',
        );
    }

    public static function supplyTooWeak(Supply $supply, Amps $peak, BoardClass $board): Finding
    {
        return Finding::stop(
            'plan.supply_too_weak',
            "The supply gives {$supply->current}, and {$peak} is asked of it.",
            'The voltage breaks down under load and the box restarts or damages its card.',
            "Take one of at least {$board->supplyAmps} A.",
        );
    }

    /** @param  array{float, float}  $wanted */
    public static function supplyVoltage(PlanInput $plan, array $wanted): Finding
    {
        return Finding::stop(
            'plan.supply_voltage',
            "The supply gives {$plan->supply->voltage}; the {$plan->board->label} wants {$wanted[0]} to {$wanted[1]} V.",
            'Too little starts nothing, too much destroys the board at once.',
            'Take the supply made for this inlet.',
        );
    }

    public static function voltageBreaksDown(Volts $voltage, Volts $lost, PlanInput $plan): Finding
    {
        return Finding::stop(
            'plan.voltage_breaks_down',
            "Only {$voltage} would reach the board.",
            "The cable loses {$lost} at the peak: {$plan->cable->label}. Below 4.40 V nothing on a USB supply has to work.",
            'Take a shorter or thicker cable.',
        );
    }

    public static function voltageFits(Volts $voltage): Finding
    {
        return Finding::fine('plan.voltage_fits', "Voltage at the board: {$voltage}.");
    }

    public static function voltageLow(Volts $voltage, Volts $least, Volts $lost, PlanInput $plan): Finding
    {
        return Finding::warn(
            'plan.voltage_low',
            "{$voltage} at the board; it complains below {$least}.",
            "The cable loses {$lost} at the peak: {$plan->cable->label}.",
            'A shorter or thicker cable cures it.',
        );
    }
}
