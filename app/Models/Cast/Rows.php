<?php

declare(strict_types=1);

namespace App\Models\Cast;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;

/**
 * A list of rows, as JSON, each with the same words. A row that lacks one is read with an empty word in its place;
 * what is
 * no row is left out.
 *
 * @implements CastsAttributes<list<array<string, mixed>>|null, list<array<string, mixed>>|null>
 */
final readonly class Rows implements CastsAttributes
{
    /** @var list<string> */
    private array $names;

    /** @param  string  ...$names  words that every row has; a name that ends in [] stands for names with words */
    public function __construct(string ...$names)
    {
        $this->names = array_values($names);
    }

    /** @return list<array<string, mixed>>|null */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?array
    {
        $rows = json_decode(is_string($value) ? $value : 'null', true);
        if ($rows === null) {
            return null;
        }

        return array_values(array_map($this->row(...), array_filter(is_array($rows) ? $rows : [], is_array(...))));
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /**
     * @param  array<mixed>  $row
     * @return array<string, mixed>
     */
    private function row(array $row): array
    {
        $read = [];
        foreach ($this->names as $name) {
            $plain = rtrim($name, '[]');
            $word = $row[$plain] ?? null;
            $read[$plain] = $plain !== $name ? Words::of($word) : (is_scalar($word) ? (string) $word : '');
        }

        return $read;
    }
}
