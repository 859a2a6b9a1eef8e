<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\PartFindings;
use Burrow\Judgement\Findings;

/** How warm the board is: noted before it gets another case or cooling, and held against it afterwards. */
final class Warmth extends ReadOnTheBox
{
    /** Value of the run: degrees before. */
    public const BEFORE = 'warm_before';

    /** Value of the run: degrees from which the board slows itself down. */
    public const SLOWS = 'slows_at';

    /** A board that is on is neither colder nor hotter, in °C. */
    private const RANGE = [-40.0, 130.0];

    public function __construct(private readonly bool $isBefore)
    {
    }

    public function name(): string
    {
        return $this->isBefore ? 'warmth-before' : 'warmth';
    }

    public function judge(Judging $at): Outcome
    {
        $celsius = self::read($at->given(Pasted::FIELD));
        if ($celsius === null) {
            return Outcome::notYet(PartFindings::noWarmth(Pasted::FIELD));
        }
        $now = number_format($celsius, 1, '.', '');
        if ($this->isBefore) {
            return Outcome::over("{$now} °C before", values: [self::BEFORE => $now]);
        }
        $slows = $at->facts->learned[self::SLOWS] ?? '';
        if (is_numeric($slows) && $celsius >= (float) $slows) {
            return Outcome::notYet(PartFindings::tooWarm($now, $slows, Pasted::FIELD));
        }
        $before = $at->facts->learned[self::BEFORE] ?? '';

        return Outcome::over(
            $before === '' ? "{$now} °C" : "{$now} °C, {$before} °C before",
            is_numeric($before) && $celsius > (float) $before
                ? Findings::of(PartFindings::warmer($before, $now))
                : null,
        );
    }

    /**
     * The last temperature in a paste: thousandths of a degree as the kernel tells them (thermal sysfs interface), or
     * degrees as a page does. Null where none is.
     */
    private static function read(string $text): ?float
    {
        foreach (array_reverse(explode("\n", $text)) as $line) {
            if (preg_match('/^\s*(-?\d{4,6})\s*$/D', $line, $match) === 1) {
                $celsius = (int) $match[1] / 1000;
            } elseif (
                preg_match('/^\s*(-?\d{1,3}(?:[.,]\d{1,3})?)\s*(?:°\s*)?C?\s*$/Du', $line, $match) === 1
            ) {
                $celsius = (float) str_replace(',', '.', $match[1]);
            } else {
                continue;
            }

            return $celsius >= self::RANGE[0] && $celsius <= self::RANGE[1] ? $celsius : null;
        }

        return null;
    }
}
