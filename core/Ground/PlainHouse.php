<?php

declare(strict_types=1);

namespace Burrow\Ground;

use Burrow\Household\Box;
use Burrow\Household\DoorState;
use Burrow\Household\HearingState;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Net\Protocol;

/**
 * The house for somebody who lives in it and does not keep it: what there is, whether it is on, and what to do in which
 * order when the internet seems gone. It says what was seen and when, and nothing that lets anybody in.
 */
final readonly class PlainHouse
{
    private const REMOTE_LOGIN = 22;

    /** It answers, and nobody asked for what it does. */
    private const BOX_ON = 'its box is on';

    /** Things that one page shows. */
    private const MOST = 60;

    /**
     * @param  list<array{what: string, tell: string, box: string, on: ?bool, words: string}>  $things  what off comes
     *         first; on: null where nobody looked lately
     * @param  list<array{what: string, then: string}>  $steps  when the internet seems gone
     */
    private function __construct(public array $things, public array $steps)
    {
    }

    public static function of(Household $house): self
    {
        $silent = array_values(
            array_map(
                fn (Box $one): string => $one->name,
                array_filter($house->standing(), fn (Box $one): bool => $one->is(HearingState::Silent)),
            ),
        );
        $loses = array_column(Without::of($house, $silent)->lose, null, 'box');
        $things = [];
        foreach ($house->standing() as $box) {
            foreach ($box->jobs as $held) {
                $held->finished &&
                    ($things[] = self::thing(
                        $box,
                        $held,
                        $loses[$box->name] ?? null,
                        self::met($house, $box, $held),
                    ));
            }
        }
        usort($things, fn (array $a, array $b): int => self::rank($a['on']) <=> self::rank($b['on']));

        return new self(array_slice($things, 0, self::MOST), self::steps($house));
    }

    public function sentence(): string
    {
        $off = count(array_filter($this->things, fn (array $one): bool => $one['on'] === false));
        $unknown = count(array_filter($this->things, fn (array $one): bool => $one['on'] === null));

        return match (true) {
            $this->things === [] => 'Nothing is set up yet.',
            $off > 0 => $off === 1
                ? 'One thing is off or does not do its work.'
                : "{$off} things are off or do not do their work.",
            $unknown === count($this->things) => 'Nobody looked lately.',
            $unknown > 0 => 'What was looked at is on.',
            in_array(self::BOX_ON, array_column($this->things, 'words'), true) => 'All boxes are on; not all that they do was looked at.',
            default => 'Everything is on.',
        };
    }

    /**
     * @param  ?array{box: string, what: string, on: string, far: int}  $loses
     * @param  ?bool  $met  one of its own ports was open when last asked; null where nobody asked one
     * @return array{what: string, tell: string, box: string, on: ?bool, words: string}
     */
    private static function thing(Box $box, HeldJob $held, ?array $loses, ?bool $met): array
    {
        [$on, $words] = match (true) {
            $box->is(HearingState::Silent) => [false, 'off: '.$box->hearing->words()],
            $met === false => [false, 'its box is on, and what it does for you does not answer'],
            $loses !== null => [
                false,
                "it is on, and {$loses['on']}, which it needs for {$loses['what']}, is not",
            ],
            $box->is(HearingState::Answers) => [true, $met === true ? 'on' : self::BOX_ON],
            default => [null, $box->hearing->words()],
        };

        return [
            'what' => ucfirst($held->job->summary),
            'tell' => $held->job->verify[0] ?? '',
            'box' => $box->name,
            'on' => $on,
            'words' => $words,
        ];
    }

    /** What the job's own TCP ports met; remote login is the box's and not the job's. */
    private static function met(Household $house, Box $box, HeldJob $held): ?bool
    {
        $own = [];
        foreach ($held->job->ports as $port) {
            $port->port->number === self::REMOTE_LOGIN || ($own[$port->purpose] = true);
        }
        $met = null;
        foreach ($house->services($box) as $service) {
            $asked =
                isset($own[$service->purpose]) &&
                $service->protocol === Protocol::Tcp &&
                ! $service->isLoopback();
            if ($asked && $service->state !== null) {
                $met = $met === true || $service->state === DoorState::Open;
            }
        }

        return $met;
    }

    private static function rank(?bool $on): int
    {
        return $on === false ? 0 : ($on === null ? 1 : 2);
    }

    /** @return list<array{what: string, then: string}> */
    private static function steps(Household $house): array
    {
        $steps = [
            [
                'what' => 'Is it one machine, or all of them?',
                'then' => 'Try a second one. If only one is affected, switch its Wi-Fi off and on, then the machine itself; the house is fine.',
            ],
            [
                'what' => 'No line above says that the house does not answer',
                'then' => 'Then this page came just now, so the network from here to it works, and what is on above can be used: films, files, printers need no internet.',
            ],
        ];
        $names = array_values(
            array_filter($house->standing(), fn (Box $one): bool => $one->servesAll() === 'names'),
        );
        if ($names !== []) {
            $off = array_filter($names, fn (Box $one): bool => $one->is(HearingState::Silent));
            $called = implode(' and ', array_map(fn (Box $one): string => $one->name, $names));
            $steps[] =
                count($off) === count($names)
                    ? [
                        'what' => "{$called} is off, and that is enough to make the internet seem gone",
                        'then' => 'It finds the addresses behind names. Look whether its plug is in and a light is on; give it five minutes after its power comes. The sheet “lights out” says how to do without it.',
                    ]
                    : [
                        'what' => "{$called} finds the addresses behind names".
                            ($off === [] ? ', and was on when last asked' : ''),
                        'then' => 'So names are probably not the reason. A single site that does not open may be refused on purpose: ask before you look for a way around it.',
                    ];
        }

        return [
            ...$steps,
            [
                'what' => 'Look at the router',
                'then' => 'No light at all: its plug. A red or blinking one for the line: the line is down, and nobody in the house can mend that; it comes back by itself.',
            ],
            [
                'what' => 'After a power cut: wait five minutes',
                'then' => 'Router and boxes start one after the other. Pulling plugs meanwhile makes it longer, and can damage cards.',
            ],
            [
                'what' => 'Only then: the router off for a minute, and on again',
                'then' => 'Not its small button in the hole: that makes it forget everything. Then wait five minutes again.',
            ],
        ];
    }
}
