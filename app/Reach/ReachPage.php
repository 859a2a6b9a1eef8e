<?php

declare(strict_types=1);

namespace App\Reach;

use App\Household\HouseholdLoader;
use App\Household\Kept;
use App\Models\Network;
use App\View\Findings as ShownFindings;
use Burrow\Household\Certificate;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Ports\Certificates;
use Burrow\Reach\Draw\ReachPicture;
use Burrow\Reach\KeysEnd;
use Burrow\Reach\NameLeadsHere;
use Burrow\Reach\Openings;
use Burrow\Reach\OutsideAnswers;
use Burrow\Reach\OutsideTest;
use Burrow\Reach\TravellersAway;

/** What the page of ways in shows of the household's record; what would help somebody in is told to keepers alone. */
final readonly class ReachPage
{
    /** Pages that a key is written down for from a list; more would be no list. */
    private const PAGES = 200;

    private const CERTIFICATES = 100;

    private const TESTS = 200;

    /**
     * @param  list<OutsideTest>  $tests
     * @param  list<Certificate>  $certificates
     * @param  array<int, string>  $pages  what a key can open, by the id of its record
     */
    private function __construct(
        public ReachPicture $picture,
        public ShownFindings $findings,
        public array $tests,
        public array $certificates,
        public array $pages,
    ) {
    }

    /** As it was worked out since the last change. */
    public static function kept(Kept $kept, Network $network, bool $keeps): self
    {
        $outside = (string) ($network->outside_name ?: $network->wan ?: 'your-house');

        return $kept->of(
            "reach {$outside} ".(int) $keeps,
            self::class,
            fn (): self => self::of(app(HouseholdLoader::class)->load($network), $outside, $keeps),
        );
    }

    /** @param  string  $outside  name or address of the house */
    private static function of(Household $house, string $outside, bool $keeps): self
    {
        return new self(
            ReachPicture::of($house),
            ShownFindings::of($keeps ? self::findings($house) : Findings::of()),
            $keeps ? array_slice(OutsideTest::plan($house, $outside), 0, self::TESTS) : [],
            $keeps ? array_slice($house->certificates(), 0, self::CERTIFICATES) : [],
            $keeps ? self::pages($house) : [],
        );
    }

    private static function findings(Household $house): Findings
    {
        return (new OutsideAnswers())
            ->findings($house)
            ->and((new Openings())->findings($house)->list)
            ->and((new TravellersAway())->findings($house)->list)
            ->and((new NameLeadsHere())->findings($house)->list)
            ->and((new KeysEnd())->findings($house)->list)
            ->and((new Certificates())->findings($house)->list);
    }

    /** @return array<int, string> pages before other ports */
    private static function pages(Household $house): array
    {
        $pages = $others = [];
        foreach ($house->services() as $service) {
            $said = "{$service->box}: {$service->purpose} ({$service->place()})";
            if (in_array($service->scheme, ['http', 'https'], true)) {
                $pages[$service->id] = $said;
            } elseif (count($others) < self::PAGES) {
                $others[$service->id] = $said;
            }
        }
        asort($pages);

        return array_slice($pages + $others, 0, self::PAGES, true);
    }
}
