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
        $page = max(1, Paginator::resolveCurrentPage());

        return (new LengthAwarePaginator(
            array_slice($rows, ($page - 1) * $shown, $shown, true),
            count($rows),
            $shown,
            $page,
        ))->withPath(Paginator::resolveCurrentPath());
    }
}
