<?php

declare(strict_types=1);

namespace App\View;

use Illuminate\Pagination\LengthAwarePaginator;
use Illuminate\Pagination\Paginator;

/** A long list in pages. */
final class Pages
{
    /** Rows that a page shows; a household of thirty boxes has one page of everything. */
    public const ROWS = 200;

    /** Where each is a sheet of its own and no row. */
    public const SHEETS = 60;

    /**
     * @template K of int|string
     * @template T
     *
     * @param  array<K, T>  $rows  their keys stay
     * @param  int  $shown  of them on one page
     * @return LengthAwarePaginator<K, T>
     */
    public static function of(array $rows, int $shown = self::ROWS): LengthAwarePaginator
    {
        return self::shown(array_slice($rows, (self::at() - 1) * $shown, $shown, true), count($rows), $shown);
    }

    /**
     * Which page is asked for, from 1.
     *
     * @param  string  $list  the name of its field in the address, where one page has several lists
     */
    public static function at(string $list = 'page'): int
    {
        return max(1, Paginator::resolveCurrentPage($list));
    }

    /**
     * Where the rows of the page are known already.
     *
     * @template K of int|string
     * @template T
     *
     * @param  array<K, T>  $rows  those of the page
     * @param  int  $of  rows of all pages
     * @return LengthAwarePaginator<K, T>
     */
    public static function shown(
        array $rows,
        int $of,
        int $shown = self::ROWS,
        string $list = 'page',
    ): LengthAwarePaginator {
        return (new LengthAwarePaginator($rows, $of, $shown, self::at($list), ['pageName' => $list]))
            ->withPath(Paginator::resolveCurrentPath())
            ->withQueryString();
    }
}
