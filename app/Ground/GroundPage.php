<?php

declare(strict_types=1);

namespace App\Ground;

use App\Catalogue\Catalogue;
use App\Household\Concerns;
use App\Household\HouseholdLoader;
use App\Household\Kept;
use App\Models\Network;
use App\View\Pages;
use Burrow\Ground\Draw\Choice;
use Burrow\Ground\Draw\Dwelling;
use Burrow\Ground\Draw\Dwellings;
use Burrow\Ground\Draw\Gathered;
use Burrow\Ground\Draw\GroundPicture;
use Burrow\Ground\Draw\GroundPlan;
use Burrow\Ground\Gathering;
use Burrow\Ground\Outlook;
use Burrow\Household\Box;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Upkeep\Calendar;
use Burrow\Upkeep\Due;

/** What the front page shows: the house in a sentence, what needs somebody, the cross-section, some of its boxes. */
final readonly class GroundPage
{
    /**
     * @param  list<Finding>  $needs  what needs somebody, of one page, the gravest first
     * @param  int  $ofNeeds  on all pages
     * @param  array<string, int>  $silent  ids of boxes that are silent, by name
     * @param  list<Dwelling>  $boxes  those of one page
     * @param  int  $of  boxes of all pages, of those that are shown
     * @param  int  $all  boxes of the house
     * @param  int  $networks  of the house
     * @param  array<string, string>  $options  what may be shown, in words
     * @param  array<string, int>  $ids  of the boxes that the page names, by name
     */
    private function __construct(
        public string $lead,
        public string $rest,
        public array $needs,
        public int $ofNeeds,
        public GroundPicture $picture,
        public array $silent,
        public array $boxes,
        public int $of,
        public int $all,
        public int $networks,
        public array $options,
        public array $ids,
    ) {
    }

    /** As it was worked out since the last change. */
    public static function kept(
        Kept $kept,
        Catalogue $catalogue,
        Network $network,
        bool $keeper,
        bool $narrow,
        int $page,
        int $needs = 1,
        ?Choice $choice = null,
    ): self {
        $choice ??= Choice::of('', '');

        return $kept->of(
            "ground {$page} {$needs} ".(int) $keeper.(int) $narrow." {$choice->show} {$choice->by}",
            self::class,
            fn (): self => self::of(
                app(HouseholdLoader::class)->load($network),
                $catalogue,
                $network,
                $keeper,
                $narrow,
                $page,
                $needs,
                $choice,
            ),
        );
    }

    private static function of(
        Household $house,
        Catalogue $catalogue,
        Network $network,
        bool $keeper,
        bool $narrow,
        int $page,
        int $needs,
        Choice $choice,
    ): self {
        $due = $keeper
            ? array_keys(
                array_filter(Calendar::of($house), fn (Due $due): bool => $due->isOverdue() || $due->isSoon()),
            )
            : [];
        $outlook = new Outlook($house, count($due), $keeper);
        $all = Dwellings::of($house, $due);
        $boxes = $choice->apply($all);
        $drawn = Gathered::of($boxes);
        $shown = array_slice($boxes, ($page - 1) * Pages::ROWS, Pages::ROWS);
        $named = array_flip(array_map(fn (Dwelling $one): string => $one->name, [...$drawn, ...$shown]));

        $needed = Gathering::of(Concerns::all(), $house, $keeper)
            ->and($network->findings())
            ->and($catalogue->unread())
            ->gravestFirst()->list;

        return new self(
            $outlook->lead(),
            $outlook->rest(),
            array_slice($needed, ($needs - 1) * Pages::SHEETS, Pages::SHEETS),
            count($needed),
            GroundPlan::draw($drawn, $narrow ? GroundPlan::NARROW : GroundPlan::WIDE),
            array_column(
                array_filter($house->standing(), fn (Box $box): bool => $box->is(HearingState::Silent)),
                'id',
                'name',
            ),
            $shown,
            count($boxes),
            count($all),
            max(1, count(array_unique(array_map(fn (Dwelling $one): string => $one->network, $all)))),
            Choice::options($all),
            array_intersect_key(array_column($house->boxes(), 'id', 'name'), $named),
        );
    }
}
