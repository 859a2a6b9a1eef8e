<?php

declare(strict_types=1);

namespace Burrow\Paper;

use Burrow\Household\Box;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Household\Service;

/**
 * One page about a box, for somebody who stands before it and does not know the house: what it is for, who misses it,
 * how it is reached by number, and what to do in which order when it does nothing. It holds nothing that lets anybody
 * in.
 */
final readonly class BoxCard
{
    /** Names that one line holds. */
    private const NAMES = 8;

    private const PAGES = 6;

    /**
     * @param  list<string>  $does  its jobs, in words
     * @param  list<string>  $missed  who misses it, in words
     * @param  list<string>  $pages  addresses of its pages, by number
     * @param  list<array{string, string}>  $steps  what to do, and what tells that it worked
     * @param  list<string>  $careful  what not to do
     */
    private function __construct(
        public array $does,
        public array $missed,
        public array $pages,
        public array $steps,
        public array $careful,
    ) {
    }

    /** @param  string  $lights  what the lights of its board mean, as the catalogue has it, or empty */
    public static function of(Household $house, Box $box, string $lights): self
    {
        $keepsFiles = array_filter($box->jobs, fn (HeldJob $held): bool => $held->job->householdFiles) !== [];

        return new self(
            array_map(fn (HeldJob $held): string => ucfirst($held->job->summary).'.', $box->jobs),
            self::missed($house, $box),
            self::pages($house, $box),
            self::steps($box, $lights),
            [
                'Do not press its plug in and out several times: each time may be the one that damages its card.',
                ...$keepsFiles
                    ? ['Do not pull the disk while its light flickers: somebody may be copying.']
                    : [],
                'Do not set it back to how it came: what it knows is on its card.',
            ],
        );
    }

    /** @return list<string> */
    private static function missed(Household $house, Box $box): array
    {
        $missed = [];
        if ($box->servesAll() !== '') {
            $missed[] = "Everybody in the house: without it there are no {$box->servesAll()}.";
        }
        $by = [];
        foreach ($house->dependencies() as $one) {
            $one->on === $box->name && ($by[$one->what][] = $one->box);
        }
        foreach ($by as $what => $boxes) {
            $missed[] =
                implode(', ', array_slice($boxes, 0, self::NAMES)).
                (count($boxes) > self::NAMES ? ' and more' : '').
                (count($boxes) === 1 ? ' needs' : ' need').
                " it for {$what}.";
        }

        return $missed;
    }

    /** @return list<string> */
    private static function pages(Household $house, Box $box): array
    {
        $pages = [];
        foreach ($house->services($box) as $service) {
            if ($box->address !== null && self::isPage($service)) {
                $port = $service->port->number;
                $usual = $service->scheme === 'https' ? 443 : 80;
                $pages[] =
                    "{$service->scheme}://{$box->address}".
                    ($port === $usual ? '' : ":{$port}").
                    ($service->path === '' ? '/' : $service->path);
            }
        }

        return array_slice($pages, 0, self::PAGES);
    }

    private static function isPage(Service $service): bool
    {
        return in_array($service->scheme, ['http', 'https'], true) && ! $service->isLoopback();
    }

    /** @return list<array{string, string}> */
    private static function steps(Box $box, string $lights): array
    {
        $steps = [];
        $steps[] = [
            'Look at its lights.',
            $lights === '' ? 'None at all: it has no power.' : "{$lights} None at all: it has no power.",
        ];
        $steps[] = [
            $box->fedBy === ''
                ? 'Is its supply plugged in, and does something else work at the same socket?'
                : "It gets its power from {$box->fedBy}. Is that on, and is the plug in?",
            'Its lights come on: wait five minutes, it starts by itself.',
        ];
        if ($box->address !== null) {
            $steps[] = [
                "On a computer in the house open a terminal and type: ping {$box->address} (stop with Ctrl+C).",
                'It answers: the box is there, and only what it does has stopped. It does not: look at the cable of the network, both ends, until their lights blink.',
            ];
        }
        $steps[] = [
            'Pull its plug, wait ten seconds, put it back. Once.',
            'Wait five minutes, fifteen where a disk hangs on it, and try again what did not work.',
        ];
        $steps[] = [
            'Still nothing: leave it as it is, switched on, and tell who looks after it, with the time and what its lights did.',
            '______________________________________________',
        ];

        return $steps;
    }
}
