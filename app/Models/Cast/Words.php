<?php

declare(strict_types=1);

namespace App\Models\Cast;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * Names with words, as JSON. Whatever else stands there is left out when it is read.
 *
 * @implements CastsAttributes<array<string, string>, array<string, string>>
 */
final class Words implements CastsAttributes
{
    /** @return array<string, string> */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        return self::of(json_decode(is_string($value) ? $value : '', true));
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return (string) json_encode($value, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /** @return array<string, string> */
    public static function of(mixed $value): array
    {
        $words = [];
        foreach (is_array($value) ? $value : [] as $name => $word) {
            if (is_string($name) && is_scalar($word)) {
                $words[$name] = (string) $word;
            }
        }

        return $words;
    }
}
