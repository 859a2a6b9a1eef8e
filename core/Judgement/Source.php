<?php

declare(strict_types=1);

namespace Burrow\Judgement;

/** Where a rule or figure comes from. */
final readonly class Source
{
    private function __construct(public string $label)
    {
    }

    /** A published text, named so that it can be looked up. */
    public static function standard(string $name): self
    {
        return new self($name);
    }

    public static function commonPractice(): self
    {
        return new self('common practice');
    }

    public static function measured(string $on): self
    {
        return new self("measured here on {$on}");
    }

    public static function catalogue(string $entry): self
    {
        return new self('catalogue: '.$entry);
    }

    public function and(self $other): self
    {
        return new self($this->label.'; '.$other->label);
    }
}
