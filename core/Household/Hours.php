<?php

declare(strict_types=1);

namespace Burrow\Household;

/** Hours of the week in which boxes are in use, or in which somebody may be at work on them. */
final readonly class Hours
{
    public const BUSY = 'busy';

    public const WINDOW = 'window';

    /** From Monday on. */
    public const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /**
     * @param  int  $id  of its record
     * @param  string  $kind  BUSY or WINDOW
     * @param  string  $what  in the household's words: "film evening"
     * @param  list<string>  $days  of DAYS; empty for every day
     * @param  string  $from  "19:00" of the wall's clock
     * @param  string  $to  the same or before $from: on the next day
     * @param  list<string>  $boxes  names; empty for all
     */
    public function __construct(
        public int $id,
        public string $kind,
        public string $what,
        public array $days,
        public string $from,
        public string $to,
        public array $boxes,
    ) {
    }

    public function isOf(string $box): bool
    {
        return $this->boxes === [] || in_array($box, $this->boxes, true);
    }
}
