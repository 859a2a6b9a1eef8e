<?php

declare(strict_types=1);

namespace Burrow\Plan\Speed;

/** What was measured on boxes of this kind before, and now corrects what is worked out. */
final readonly class Calibration
{
    /**
     * @param  array<string, float>  $factors  name of a limit => measured ÷ worked out
     * @param  ?float  $kelvinPerWatt  of this board in this case, as measured
     * @param  string  $from  the boxes it was measured on
     */
    public function __construct(public array $factors = [], public ?float $kelvinPerWatt = null, public string $from = '')
    {
    }

    public function correct(Limit $limit): Limit
    {
        $factor = $this->factors[$limit->name] ?? 1.0;

        return $factor === 1.0
            ? $limit
            : new Limit(
                $limit->name,
                $limit->rate->times($factor),
                "{$limit->because}; × ".number_format($factor, 2, '.', '')." as measured on {$this->from}",
            );
    }
}
