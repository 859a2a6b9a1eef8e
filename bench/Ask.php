<?php

declare(strict_types=1);

namespace Bench;

/** One request to the bench: a JSON object whose values have the types that are asked for, or are empty. */
final readonly class Ask
{
    /** @param  array<mixed>  $said */
    private function __construct(private array $said)
    {
    }

    /** Null when the line is no JSON object. */
    public static function from(string $line): ?self
    {
        $said = json_decode($line, true);

        return is_array($said) ? new self($said) : null;
    }

    public function text(string $name): string
    {
        $value = $this->said[$name] ?? '';

        return is_scalar($value) ? (string) $value : '';
    }

    public function number(string $name): float
    {
        $value = $this->said[$name] ?? 0;

        return is_numeric($value) ? (float) $value : 0.0;
    }

    public function yes(string $name): bool
    {
        return (bool) ($this->said[$name] ?? false);
    }

    /** @return ?array<string, mixed> null when nothing of that name was said */
    public function map(string $name): ?array
    {
        $value = $this->said[$name] ?? null;

        return is_array($value) ? State::named($value) : null;
    }

    /** @return array<string, string> */
    public function texts(string $name): array
    {
        return array_filter($this->map($name) ?? [], is_string(...));
    }

    /** @return list<array{port: int, protocol: string}> */
    public function services(string $name): array
    {
        $services = [];
        foreach (is_array($this->said[$name] ?? null) ? $this->said[$name] : [] as $one) {
            if (
                is_array($one) &&
                is_int($one['port'] ?? null) &&
                in_array($one['protocol'] ?? '', ['tcp', 'udp'], true)
            ) {
                $services[] = ['port' => $one['port'], 'protocol' => (string) $one['protocol']];
            }
        }

        return $services;
    }
}
