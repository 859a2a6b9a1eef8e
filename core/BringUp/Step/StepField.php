<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

/** One thing that a person gives back at a step. */
final readonly class StepField
{
    /**
     * @param  string  $why  said under its label
     * @param  string  $holds  what stands in it at first; may hold values
     * @param  array<string, string>  $choices  value => its sentence; none for what is typed
     */
    private function __construct(
        public string $name,
        public string $label,
        public bool $isText,
        public string $placeholder,
        public string $why = '',
        public string $holds = '',
        public array $choices = [],
    ) {
    }

    /** Several lines, as a program printed them. */
    public static function text(
        string $name,
        string $label,
        string $placeholder = 'Paste it here.',
        string $why = '',
        string $holds = '',
    ): self {
        return new self($name, $label, true, $placeholder, $why, $holds);
    }

    public static function line(
        string $name,
        string $label,
        string $placeholder,
        string $why = '',
        string $holds = '',
    ): self {
        return new self($name, $label, false, $placeholder, $why, $holds);
    }

    /** @param  non-empty-array<string, string>  $choices */
    public static function choice(string $name, string $label, array $choices): self
    {
        return new self($name, $label, false, '', choices: $choices);
    }
}
