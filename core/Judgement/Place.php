<?php

declare(strict_types=1);

namespace Burrow\Judgement;

/** Where a finding points: a form field, or a file with its line and column (both counted from 1). */
final readonly class Place
{
    private function __construct(
        public ?string $field,
        public ?string $file,
        public ?int $line,
        public ?int $column = null,
    ) {
    }

    public static function field(string $name): self
    {
        return new self($name, null, null);
    }

    public static function file(string $name, ?int $line = null, ?int $column = null): self
    {
        return new self(null, $name, $line, $column);
    }

    public function __toString(): string
    {
        return $this->field ??
            $this->file.
                ($this->line === null ? '' : ':'.$this->line).
                ($this->column === null ? '' : ':'.$this->column);
    }
}
