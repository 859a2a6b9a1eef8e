<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Household\Box;
use Burrow\Household\Copying;
use Burrow\Household\HeldJob;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;

/** What if this box died tonight: who notices, how it comes back from records and copies alone, and what does not. */
final readonly class Rebuild
{
    /** Seconds to write a card and look it over (common practice: 6 to 8 minutes for 32 GB). */
    private const CARD = 480;

    /** To enter the reservation of another hardware address in the router, and apply it (common practice). */
    private const ADDRESS = 180;

    /** For each client that is looked at afterwards (common practice). */
    private const CLIENT = 120;

    /** Bytes a second of a copy of which nobody knows the rate: gigabit to a disk on USB 2 (common practice). */
    private const RATE = 30e6;

    /**
     * @param  list<string>  $dark  who notices at once, and what they lose
     * @param  list<RebuildStep>  $steps
     */
    private function __construct(
        public array $dark,
        public array $steps,
        public Findings $findings,
        public Duration $hands,
        public Duration $all,
    ) {
    }

    public static function of(Household $house, Box $box, Known $known): self
    {
        $copyings = array_values(
            array_filter(
                $house->copyings(),
                fn (Copying $one): bool => $one->box === $box->name && $one->ran !== null,
            ),
        );
        $steps = self::steps($house, $box, $known, $copyings);
        $sum = fn (bool $hands): float => (float) array_sum(
            array_map(fn (RebuildStep $one): float => ! $hands || $one->hands ? $one->seconds ?? 0 : 0, $steps),
        );
        $all = Duration::seconds($sum(false));

        return new self(
            self::dark($house, $box),
            $steps,
            self::findings($house, $box, $known, $copyings, $all),
            Duration::seconds($sum(true)),
            $all,
        );
    }

    /** @return list<string> */
    private static function dark(Household $house, Box $box): array
    {
        $dark = [];
        $serves = $box->servesAll();
        $serves === '' || ($dark[] = "the whole house loses {$serves}");
        foreach ($house->dependencies() as $one) {
            if ($one->on === $box->name) {
                $dark[] = "{$one->box} loses {$one->what}";
            }
        }
        foreach ($house->openings($box) as $opening) {
            $dark[] = "nobody comes in by {$opening->words()} any more";
        }

        return $dark;
    }

    /**
     * @param  list<Copying>  $copyings
     * @return list<RebuildStep>
     */
    private static function steps(Household $house, Box $box, Known $known, array $copyings): array
    {
        $board = $house->shelf->boards[$box->parts->board ?? ''] ?? null;
        $steps = [
            new RebuildStep(
                'Have at hand',
                ($board === null ? 'a board of its kind' : "another {$board->label}").
                    ', a supply, a cable, a card'.
                    ($box->parts->drive === null ? '' : ', and its disk, if that lives'),
                null,
                true,
            ),
            new RebuildStep(
                'Write its card',
                'From the plan and the card that are in the record.',
                self::CARD,
                true,
            ),
            new RebuildStep(
                'Play its playbook',
                'The steps of '.
                    implode(' and ', array_map(fn (HeldJob $held): string => $held->job->label, $box->jobs)).
                    ', with what was answered then.',
                $known->hands,
                true,
            ),
            new RebuildStep(
                'Wait meanwhile',
                'Starts, updates and packages go on by themselves.',
                $known->waits,
                false,
            ),
            new RebuildStep(
                'Give it its address again',
                'Another board is another hardware address: change the reservation of '.
                    ($box->address === null ? 'its address' : (string) $box->address).
                    '. Its host key is another one, which is expected: take the one old entry out on each desk.',
                self::ADDRESS,
                true,
            ),
        ];
        // What is copied twice is brought back once, from where it is nearer.
        usort($copyings, fn (Copying $a, Copying $b): int => $a->elsewhere <=> $b->elsewhere);
        $back = [];
        foreach ($copyings as $one) {
            $copy = $known->copies[$one->name] ?? ['bytes' => null, 'rate' => null, 'paths' => []];
            if ($copy['paths'] !== [] && array_diff($copy['paths'], $back) === []) {
                continue;
            }
            $back = [...$back, ...$copy['paths']];
            $steps[] = new RebuildStep(
                "Bring {$one->name} back",
                "From {$one->to}".
                    ($copy['bytes'] === null ? '' : ', '.Bytes::of($copy['bytes'])->decimal()).
                    ($one->encrypted ? '; its passphrase is not on the box that died' : '').
                    '.',
                $copy['bytes'] === null ? null : $copy['bytes'] / ($copy['rate'] ?? self::RATE),
                false,
            );
        }
        if ($known->clients !== []) {
            $steps[] = new RebuildStep(
                'Look at those that hold its address or keys',
                implode(', ', array_slice($known->clients, 0, 8)).
                    (count($known->clients) > 8 ? ' and more' : '').
                    '.',
                self::CLIENT * count($known->clients),
                true,
            );
        }

        return $steps;
    }

    /** @param  list<Copying>  $copyings */
    private static function findings(
        Household $house,
        Box $box,
        Known $known,
        array $copyings,
        Duration $all,
    ): Findings {
        $found = [];
        $wanted = array_values(
            array_unique(
                array_merge(...array_map(fn (HeldJob $held): array => $held->job->backUp, $box->jobs)),
            ),
        );
        if ($copyings === []) {
            $found[] = MoveFindings::nothingKept($box->name, $wanted);
        }
        foreach ($copyings as $one) {
            ($one->tried !== null && $one->worked) || ($found[] = MoveFindings::notTried($one->name));
            $hours = intdiv($house->now->getTimestamp() - (int) $one->ran?->getTimestamp(), 3600);
            $found[] = MoveFindings::lastCopy($one->name, max(0, $hours));
        }
        isset($house->shelf->boards[$box->parts->board ?? '']) ||
            ($found[] = MoveFindings::boardUnknown($box->name));
        $known->answersMissing === [] || ($found[] = MoveFindings::answersMissing($known->answersMissing));
        if ($box->mayFaceWorld() && $house->openings($box) !== []) {
            $found[] = MoveFindings::keysGone();
        }
        $found[] = MoveFindings::couldBeBack($box->name, (string) $all);

        return Findings::of(...$found)->gravestFirst();
    }
}
