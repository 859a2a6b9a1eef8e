<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;

/** How long a copy takes, from what the last one sent in which time. */
final class CopyWindow
{
    /** Below this most of the time went into looking for what is new. */
    private const TELLS = 1_000_000_000;

    /**
     * A full copy, as after a new start or of an archive.
     *
     * @param  int  $seconds  that the last copy took
     * @return ?Working  null where the last one was too small to tell
     */
    public static function ofAll(Bytes $full, Bytes $sent, int $seconds): ?Working
    {
        if ($sent->count < self::TELLS || $seconds < 1) {
            return null;
        }
        $rate = $sent->count / $seconds;
        $takes = Duration::seconds($full->count / $rate);

        return Working::of(
            'stores.copy_window',
            'A copy of all of it would take',
            (string) $takes,
            Source::commonPractice(),
            Line::computed(
                'rate of the last copy',
                "{$sent->decimal()} ÷ {$seconds} s",
                number_format($rate / 1e6, 1).' MB/s',
            ),
            Line::computed(
                'time',
                "{$full->decimal()} ÷ ".number_format($rate / 1e6, 1).' MB/s',
                (string) $takes,
            ),
        );
    }

    private function __construct()
    {
    }
}
