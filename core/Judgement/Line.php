<?php

declare(strict_types=1);

namespace Burrow\Judgement;

/** One line of a working: a name, the formula with its values put in, and what came out with its unit. */
final readonly class Line
{
    private function __construct(
        public string $name,
        public string $formula,
        public string $result,
        public string $source,
    ) {
    }

    /** A value that was given, not computed. */
    public static function given(string $name, string $value, string $source = ''): self
    {
        return new self($name, '', $value, $source);
    }

    public static function computed(string $name, string $formula, string $result, string $source = ''): self
    {
        return new self($name, $formula, $result, $source);
    }
}
