<?php

declare(strict_types=1);

namespace App\Boxes;

use App\Household\Kept;
use App\Models\Box;
use App\View\Pages;
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

    /** As it was worked out since the last change. */
    public static function kept(Kept $kept, int $page): self
    {
        return $kept->of(
            "boxes {$page}",
            self::class,
            fn (): self => self::of(
                app(Household::class),
                Box::query()->here()->orderBy('name')->forPage($page, Pages::ROWS)->pluck('id')->all(),
            ),
        );
    }

    /** @param  array<mixed>  $ids  boxes that are listed */
    private static function of(Household $house, array $ids): self
    {
        $hearing = [];
        foreach ($house->boxes() as $box) {
            $hearing[$box->id] = $box->hearing;
        }
        $power = $house->power();

        return new self(
            array_intersect_key($hearing, array_fill_keys(array_filter($ids, is_int(...)), true)),
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
