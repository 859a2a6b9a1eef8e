<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

/** One thing that a person gives back at a step. */
final readonly class StepField
{
    private function __construct(
        public string $name,
        public string $label,
        public bool $isText,
        public string $placeholder,
    ) {
    }

    /** Several lines, as a program printed them. */
    public static function text(string $name, string $label, string $placeholder = 'Paste it here.'): self
    {
        return new self($name, $label, true, $placeholder);
    }

    public static function line(string $name, string $label, string $placeholder): self
    {
        return new self($name, $label, false, $placeholder);
    }
}
