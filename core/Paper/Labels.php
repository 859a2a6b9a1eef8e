<?php

declare(strict_types=1);

namespace Burrow\Paper;

use Burrow\Household\Box;
use Burrow\Household\Household;

/** What is written on boxes, their supplies and their cards, so that a drawer tells what lies in it. */
final class Labels
{
    /** Millimetres between the edge of a label and its letters. */
    private const EDGE = 3;

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

    /**
     * Where the labels of one sheet lie, in millimetres from its left and upper edge, and how large their letters are.
     *
     * @param  list<?array{string, string}>  $sheet
     * @return list<array{name: string, line: string, x: float, y: float, text: float, nameY: float, lineY: float, nameSize: float, lineSize: float}>
     */
    public static function placed(array $sheet, LabelSize $size): array
    {
        $placed = [];
        $wide = $size->width() - 2 * self::EDGE;
        foreach ($sheet as $i => $label) {
            if ($label === null) {
                continue;
            }
            $x = $size->left() + ($i % $size->columns()) * $size->width();
            $y = $size->top() + intdiv($i, $size->columns()) * $size->height();
            $middle = $y + $size->height() / 2;
            $placed[] = [
                'name' => $label[0],
                'line' => $label[1],
                'x' => round($x, 2),
                'y' => round($y, 2),
                'text' => round($x + self::EDGE, 2),
                'nameY' => round($middle - 0.5, 2),
                'lineY' => round($middle + 4.5, 2),
                // A letter is about 0.6 of its height wide; what is long gets smaller.
                'nameSize' => round(min(7.0, (1.6 * $wide) / max(6, mb_strlen($label[0]))), 2),
                'lineSize' => round(min(3.4, (1.7 * $wide) / max(8, mb_strlen($label[1]))), 2),
            ];
        }

        return $placed;
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
