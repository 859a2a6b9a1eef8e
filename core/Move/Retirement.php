<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Household\Box;
use Burrow\Household\Copying;
use Burrow\Household\HearingState;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/** What still hangs on a box that is to be taken out of service, what stands against it, and what is done by hand. */
final readonly class Retirement
{
    /** Days that its card is kept as the way back where nobody says otherwise (common practice). */
    public const KEPT_DAYS = 30;

    /** @param  list<array{what: string, how: string}>  $steps  in their order */
    private function __construct(public Findings $findings, public array $steps)
    {
    }

    /** @param  Known  $known  who holds its address, beside what the house knows */
    public static function of(Household $house, Box $box, Known $known, ?string $mac = null): self
    {
        $against = [...self::stops($house, $box), ...self::losses($house, $box, $known)];

        return new self(
            Findings::of(...$against === [] ? [MoveFindings::nothingHangs($box->name)] : $against),
            self::steps($house, $box, $known, $mac),
        );
    }

    /** @return list<Finding> what has to be over before */
    private static function stops(Household $house, Box $box): array
    {
        $stops = [];
        if ($box->is(HearingState::Answers)) {
            $stops[] = MoveFindings::stillAnswers($box->name, (string) $box->hearing->ago);
        } elseif (! $box->is(HearingState::Silent)) {
            $stops[] = MoveFindings::nobodyLooked($box->name, $box->covered);
        }
        foreach ($house->openings($box) as $opening) {
            $stops[] = MoveFindings::stillOpen($box->name, $opening->words());
        }
        $onIt = array_filter(
            $house->copyings(),
            fn (Copying $one): bool => $one->to === $box->name && $one->box !== $box->name,
        );
        $onIt === [] ||
            ($stops[] = MoveFindings::keepsCopies(
                $box->name,
                array_values(array_map(fn (Copying $one): string => "{$one->name} of {$one->box}", $onIt)),
            ));

        return $stops;
    }

    /** @return list<Finding> what others lose, or what is lost for good with its card */
    private static function losses(Household $house, Box $box, Known $known): array
    {
        $found = [];
        $serves = $box->servesAll();
        $others = array_filter(
            $house->standing(),
            fn (Box $one): bool => $one->name !== $box->name && $one->servesAll() === $serves,
        );
        $serves === '' || $others !== [] || ($found[] = MoveFindings::onlyOne($box->name, $serves));
        $need = [];
        foreach ($house->dependencies() as $one) {
            $one->on === $box->name && ($need[] = "{$one->box} loses {$one->what}");
        }
        $need === [] || ($found[] = MoveFindings::needed($box->name, $need));
        $copied = array_filter(
            $house->copyings(),
            fn (Copying $one): bool => $one->box === $box->name && $one->ran !== null,
        );
        $keeps = array_filter($box->jobs, fn (HeldJob $held): bool => $held->job->householdFiles);
        $copied !== [] || $keeps === [] || ($found[] = MoveFindings::filesOnlyHere($box->name));
        $known->clients === [] || ($found[] = MoveFindings::stillHeld($box->name, $known->clients));

        return $found;
    }

    /** @return list<array{what: string, how: string}> */
    private static function steps(Household $house, Box $box, Known $known, ?string $mac): array
    {
        $steps = [];
        $copied = array_filter($house->copyings(), fn (Copying $one): bool => $one->box === $box->name);
        $copied === [] ||
            ($steps[] = [
                'what' => 'Copy it once more',
                'how' => 'Run '.
                    implode(', ', array_map(fn (Copying $one): string => $one->name, $copied)).
                    ' by hand, and look that it ended well.',
            ]);
        $steps[] = [
            'what' => 'Halt it',
            'how' => 'sudo systemctl poweroff, wait for its lights, then take its power away. It must not start by itself beside its successor.',
        ];
        $box->address === null ||
            ($steps[] = [
                'what' => 'Take its address back',
                'how' => "Take the reservation of {$box->address}".
                    ($mac === null ? '' : " for {$mac}").
                    ' out of the router, and apply it.',
            ]);
        foreach (array_slice($known->clients, 0, 12) as $client) {
            $steps[] = [
                'what' => "Tell {$client}",
                'how' => "It holds an address, a name or a key of {$box->name}.",
            ];
        }
        $steps[] = [
            'what' => 'Label its card',
            'how' => "“{$box->name}, do not use before” and the day below. Until then it is the way back: put it in, and {$box->name} starts as it was.",
        ];
        $steps[] = [
            'what' => 'Wipe it on that day',
            'how' => 'It holds keys, passwords and what the household kept. The register of cards and disks leads through it.',
        ];

        return $steps;
    }
}
