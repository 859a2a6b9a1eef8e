<?php

declare(strict_types=1);

namespace App\Stores;

use App\Household\Kept;
use Burrow\Household\DriveHealth;
use Burrow\Household\Fill;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Stores\Draw\FillPicture;
use Burrow\Stores\FillForecast;
use Burrow\Stores\StoresConcern;

/** What the page of stores shows of the household's record: how full, until when, and how the drives are. */
final readonly class StoresPage
{
    /** File systems whose pictures one page shows. */
    private const SHOWN = 40;

    /**
     * @param  list<array{fill: Fill, forecast: FillForecast, picture: FillPicture, at: array<string, mixed>}>  $fills  the fullest first
     * @param  list<DriveHealth>  $drives
     */
    private function __construct(public array $fills, public array $drives, public Findings $findings)
    {
    }

    /** As it was worked out since the last change. */
    public static function kept(Kept $kept): self
    {
        return $kept->of('stores', self::class, fn (): self => self::of(app(Household::class)));
    }

    private static function of(Household $house): self
    {
        $now = $house->now->getTimestamp();
        $fills = array_map(function (Fill $fill) use ($now): array {
            $forecast = StoresConcern::forecast($fill, $now);

            return [
                'fill' => $fill,
                'forecast' => $forecast,
                'picture' => FillPicture::of($fill, $forecast),
                'at' => $forecast->reaches(0.85),
            ];
        }, array_slice($house->fills(), 0, self::SHOWN));
        usort(
            $fills,
            fn (array $a, array $b): int => $b['forecast']->usedPercent() <=> $a['forecast']->usedPercent(),
        );

        return new self($fills, $house->drives(), (new StoresConcern())->findings($house));
    }
}
