<?php

declare(strict_types=1);

namespace App\Boxes;

use Burrow\Household\Hearing;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\SharedSwitches;

/** What the list of boxes shows of the whole house: who answers, and what hangs on which switch. */
final readonly class BoxesPage
{
    /**
     * @param  array<int, Hearing>  $hearing  by the box's id
     * @param  list<array{switch: string, dark: list<string>, suffer: list<string>}>  $dark
     */
    private function __construct(public array $hearing, public array $dark, public Findings $switches)
    {
    }

    /** @param  list<int>  $ids  boxes that are listed */
    public static function of(Household $house, array $ids): self
    {
        $hearing = [];
        foreach ($house->boxes() as $box) {
            $hearing[$box->id] = $box->hearing;
        }
        $power = $house->power();

        return new self(
            array_intersect_key($hearing, array_flip($ids)),
            array_map(
                fn (string $switch): array => [
                    'switch' => $switch,
                    'dark' => $power->goDark($switch),
                    'suffer' => $power->suffer($switch),
                ],
                $power->switches(),
            ),
            SharedSwitches::of($power),
        );
    }
}
