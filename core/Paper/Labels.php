<?php

declare(strict_types=1);

namespace Burrow\Paper;

use Burrow\Household\Box;
use Burrow\Household\Household;

/** What is written on boxes, their supplies and their cards, so that a drawer tells what lies in it. */
final class Labels
{
    /**
     * @param  array<string, string>  $cards  what is written on a card or disk, and what it is for
     * @return list<array{string, string}> a large line and a small one
     */
    public static function of(Household $house, array $cards): array
    {
        $labels = [];
        foreach ($house->boxes() as $box) {
            $labels[] = [$box->name, self::line($box)];
        }
        foreach ($house->boxes() as $box) {
            $labels[] = ["power of {$box->name}", $box->fedBy === '' ? 'do not unplug' : $box->fedBy];
        }
        foreach ($cards as $name => $purpose) {
            $labels[] = [(string) $name, $purpose];
        }

        return $labels;
    }

    /**
     * @template T
     *
     * @param  list<T>  $labels
     * @param  int  $skip  labels of the first sheet that are gone already
     * @return list<list<?T>> sheets; null where nothing is printed
     */
    public static function sheets(array $labels, LabelSize $size, int $skip): array
    {
        $skip = max(0, min($skip, $size->perSheet() - 1));

        return $labels === []
            ? []
            : array_chunk([...array_fill(0, $skip, null), ...$labels], max(1, $size->perSheet()));
    }

    private static function line(Box $box): string
    {
        return trim(
            ($box->address === null ? '' : "{$box->address} · ").
                implode(', ', array_map(fn ($job): string => $job->short, $box->jobs())),
            ' ·',
        );
    }

    private function __construct()
    {
    }
}
