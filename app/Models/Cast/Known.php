<?php

declare(strict_types=1);

namespace App\Models\Cast;

use BackedEnum;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * One of a closed set. What a later version or another hand has stored and nobody here knows is read as the given one,
 * so that no page breaks over it.
 *
 * @implements CastsAttributes<BackedEnum, BackedEnum|string>
 */
final readonly class Known implements CastsAttributes
{
    /** @param  class-string<BackedEnum>  $set */
    public function __construct(private string $set, private string $otherwise)
    {
    }

    public function get(Model $model, string $key, mixed $value, array $attributes): BackedEnum
    {
        return $this->set::tryFrom(is_string($value) ? $value : '') ?? $this->set::from($this->otherwise);
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string|int
    {
        return $value instanceof BackedEnum ? $value->value : $this->set::from((string) $value)->value;
    }
}
