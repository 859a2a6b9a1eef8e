<?php

declare(strict_types=1);

namespace App\Http\Controllers\Stores;

use Burrow\Judgement\Findings;
use Burrow\Stores\Arrays\Arrangement;
use Burrow\Stores\Arrays\Level;
use Burrow\Stores\DiskFindings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Several disks: what each arrangement holds, wastes, survives, and how long and risky a rebuild is. */
final class ArraysController
{
    private const MOST = 24;

    public function __invoke(Request $request): View
    {
        $said = trim($request->string('disks', '4 4 8')->value());
        $words = preg_split('/[\s,;]+/', $said, self::MOST + 2, PREG_SPLIT_NO_EMPTY) ?: [];
        $disks = [];
        foreach ($words as $word) {
            $size = preg_match('/^\d{1,3}(?:\.\d{1,3})?$/D', $word) === 1 ? (float) $word : 0.0;
            $size >= 0.01 && $size <= 100 && ($disks[] = (int) round($size * 1e12));
        }
        $whole = $disks !== [] && count($disks) === count($words) && count($disks) <= self::MOST;
        $rate = min(10_000, max(1, $request->integer('rate', 150)));
        $bus = min(100_000, max(0, $request->integer('bus')));
        $arrangements = [];
        if ($whole && $disks !== []) {
            foreach (Level::cases() as $level) {
                $arrangements[$level->value] = Arrangement::of(
                    $level,
                    $disks,
                    $rate * 1e6,
                    $bus === 0 ? null : $bus * 1e6,
                );
            }
        }

        return view('stores.arrays', [
            'said' => mb_substr($said, 0, 120),
            'rate' => $rate,
            'bus' => $bus,
            'count' => count($disks),
            'arrangements' => $arrangements,
            'findings' => $whole ? Findings::of() : Findings::of(DiskFindings::notDisks('disks')),
            'most' => $whole ? array_sum($disks) : 0,
        ]);
    }
}
