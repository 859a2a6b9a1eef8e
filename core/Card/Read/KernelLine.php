<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/** The one line of `cmdline.txt`: parameters apart by blanks, where quotes keep blanks together. */
final readonly class KernelLine
{
    /** @param  list<string>  $parameters */
    private function __construct(public array $parameters)
    {
    }

    public static function parse(string $text): self
    {
        preg_match_all('/(?:"[^"]*"|[^\s"])+/', $text, $words);

        return new self($words[0]);
    }

    /** The name before the first "=", or the whole parameter. */
    public static function name(string $parameter): string
    {
        return explode('=', $parameter)[0];
    }

    /** @return list<string> the values of a parameter, in their order */
    public function values(string $name): array
    {
        return array_values(
            array_map(
                fn (string $one): string => explode('=', $one, 2)[1] ?? '',
                array_filter($this->parameters, fn (string $one): bool => self::name($one) === $name),
            ),
        );
    }

    public function has(string $name): bool
    {
        return $this->values($name) !== [] || in_array($name, $this->parameters, true);
    }

    /** The parameter in the place of others of its name, else at the end. */
    public function with(string $parameter): self
    {
        $others = $this->without(self::name($parameter));

        return new self([...$others->parameters, $parameter]);
    }

    /** Right after another one; at the end when that is not there. */
    public function withAfter(string $after, string $parameter): self
    {
        $others = $this->without(self::name($parameter))->parameters;
        $at = array_search($after, $others, true);

        return new self(
            $at === false
                ? [...$others, $parameter]
                : [...array_slice($others, 0, $at + 1), $parameter, ...array_slice($others, $at + 1)],
        );
    }

    public function text(): string
    {
        return implode(' ', $this->parameters)."\n";
    }

    private function without(string $name): self
    {
        return new self(
            array_values(array_filter($this->parameters, fn (string $one): bool => self::name($one) !== $name)),
        );
    }
}
