<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Tell;

/**
 * Figures in the OpenMetrics text format 1.0: families in their order, each with its kind, unit and help, and the mark
 * of the end. Gauges only: what is counted here starts anew with each look.
 */
final class Metrics
{
    public const TYPE = 'application/openmetrics-text; version=1.0.0; charset=utf-8';

    /** @var array<string, array{help: string, unit: string, samples: array<string, float|int>}> by the family's name */
    private array $families = [];

    /**
     * @param  string  $name  without its unit: letters, digits and underscores
     * @param  array<string, string>  $labels
     * @param  float|int|bool|null  $value  null is not known, and no sample
     */
    public function add(
        string $name,
        string $help,
        array $labels,
        float|int|bool|null $value,
        string $unit = '',
    ): self {
        if ($value === null || (is_float($value) && ! is_finite($value))) {
            return $this;
        }
        $family = $name.($unit === '' ? '' : "_{$unit}");
        $this->families[$family] ??= ['help' => $help, 'unit' => $unit, 'samples' => []];
        $set = implode(
            ',',
            array_map(
                fn (string $key, string $text): string => $key.'="'.self::escaped($text).'"',
                array_keys($labels),
                array_values($labels),
            ),
        );
        // The same labels twice would be two truths; the first one stands.
        $this->families[$family]['samples'][$set] ??= is_bool($value) ? (int) $value : $value;

        return $this;
    }

    public function __toString(): string
    {
        $text = '';
        foreach ($this->families as $name => $family) {
            $text .= "# TYPE {$name} gauge\n";
            $family['unit'] === '' || ($text .= "# UNIT {$name} {$family['unit']}\n");
            $text .= "# HELP {$name} ".self::escaped($family['help'])."\n";
            foreach ($family['samples'] as $labels => $value) {
                $text .=
                    $name.
                    ($labels === '' ? '' : "{{$labels}}").
                    ' '.
                    (is_int($value) ? $value : rtrim(rtrim(sprintf('%.6F', $value), '0'), '.')).
                    "\n";
            }
        }

        return $text."# EOF\n";
    }

    private static function escaped(string $text): string
    {
        return str_replace(['\\', '"', "\n"], ['\\\\', '\\"', '\\n'], mb_scrub($text));
    }
}
