<?php

declare(strict_types=1);

namespace App\Models\Cast;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * Names with numbers from 0 on, as JSON. Whatever else stands there is left out when it is read; null when nothing is
 * left.
 *
 * @implements CastsAttributes<array<string, float>|null, array<string, float>|null>
 */
final class Measured implements CastsAttributes
{
    /** @return array<string, float>|null */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?array
    {
        $stored = json_decode(is_string($value) ? $value : 'null', true);
        $numbers = [];
        foreach (is_array($stored) ? $stored : [] as $name => $number) {
            if (is_string($name) && (is_int($number) || is_float($number)) && $number >= 0 && $number < 1e9) {
                $numbers[$name] = (float) $number;
            }
        }

        return $numbers === [] ? null : $numbers;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR);
    }
}
