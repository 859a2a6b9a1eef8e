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
    public function __construct(
        public array $factors = [],
        public ?float $kelvinPerWatt = null,
        public string $from = '',
    ) {
    }

    /**
     * What still holds when parts were changed: what was measured belongs to its board, its link, its disk, its case.
     *
     * @param  list<string>  $changed  names of the plan's parts
     */
    public function without(array $changed): self
    {
        if (in_array('board', $changed, true)) {
            return new self();
        }
        $gone = array_keys(
            array_filter(
                ['network' => ['link'], 'disk' => ['drive']],
                fn (array $parts): bool => array_intersect($parts, $changed) !== [],
            ),
        );

        return new self(
            array_diff_key($this->factors, array_flip($gone)),
            array_intersect(['case', 'cooling'], $changed) === [] ? $this->kelvinPerWatt : null,
            $this->from,
        );
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
