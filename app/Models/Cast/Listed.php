<?php

declare(strict_types=1);

namespace App\Models\Cast;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A list of words, as JSON. Whatever else stands there is left out when it is read.
 *
 * @implements CastsAttributes<list<string>, list<string>>
 */
final class Listed implements CastsAttributes
{
    /** @return list<string> */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        $list = json_decode(is_string($value) ? $value : '', true);

        return array_values(array_filter(is_array($list) ? $list : [], is_string(...)));
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return (string) json_encode($value, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    }
}
