<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Network;
use Carbon\CarbonInterface;
use DateTimeImmutable;
use DateTimeInterface;
use DateTimeZone;
use Illuminate\Support\Carbon;

/**
 * Small pieces that stand in every row of every list: written as they are, since a component a row is too slow for
 * long ones.
 */
final class Plain
{
    /** The marks by severity. Each has a shape of its own, so that colour is never alone. */
    private const MARKS = [
        'stop' => '<path class="mark-stop" d="M6 1 h8 l5 5 v8 l-5 5 h-8 l-5 -5 v-8z" /><path class="mark-line" d="M6 10 h8" />',
        'warn' => '<path class="mark-warn" d="M10 1 L19.4 18 H.6Z" /><path class="mark-line" d="M10 7.5 v4.500 M10 15 v.2" />',
        'note' => '<circle class="mark-note" cx="10" cy="10" r="9" /><path class="mark-line" d="M10 9.500 v5 M10 5.800 v.2" />',
        'fine' => '<rect class="mark-fine" x="1" y="1" width="18" height="18" rx="5" /><path class="mark-line" d="M5.500 10.500 l3 3 l6 -7" />',
    ];

    /** Times whose words are kept within a request. */
    private const TIMES = 500;

    public static function mark(string $severity): string
    {
        return '<svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">'.
            (self::MARKS[$severity] ?? self::MARKS['fine']).
            '</svg>';
    }

    /** How long ago something was, with the exact moment on hover. */
    public static function ago(?DateTimeInterface $at): string
    {
        if ($at === null) {
            return '<span class="soft">never</span>';
        }
        // The rows of a list share their times, and words for them take longer than the rest of a row.
        static $said = [];
        $key = $at->getTimestamp().' '.now()->getTimestamp();
        if (! isset($said[$key])) {
            $said = count($said) > self::TIMES ? [] : $said;
            $said[$key] = self::said($at);
        }

        return $said[$key];
    }

    private static function said(DateTimeInterface $at): string
    {
        $there = DateTimeImmutable::createFromInterface($at)->setTimezone(new DateTimeZone(Network::zone()));
        $said = ($at instanceof CarbonInterface ? $at : Carbon::instance($at))->diffForHumans();

        return '<time datetime="'.
            e($at->format('c')).
            '" title="'.
            e($there->format('D Y-m-d H:i T')).
            '">'.
            e($said).
            '</time>';
    }
}
