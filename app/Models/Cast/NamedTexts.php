<?php

declare(strict_types=1);

namespace App\Models\Cast;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * Texts by their names, kept as a JSON object. What else stands there, put in by hand or by an older form, is left out.
 *
 * @implements CastsAttributes<array<string, string>, array<string, string>>
 */
final class NamedTexts implements CastsAttributes
{
    /** @return array<string, string> */
    public function get(Model $model, string $key, mixed $value, array $attributes): array
    {
        $kept = is_string($value) ? json_decode($value, true) : null;
        $words = [];
        foreach (is_array($kept) ? $kept : [] as $name => $text) {
            if (is_string($name) && is_scalar($text)) {
                $words[$name] = (string) $text;
            }
        }

        return $words;
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return is_array($value) && $value !== []
            ? (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE)
            : null;
    }
}
