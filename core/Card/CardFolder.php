<?php

declare(strict_types=1);

namespace Burrow\Card;

/** The files on a card's boot partition that matter at first boot, by name. */
final readonly class CardFolder
{
    /** @param  array<string, string>  $files name => content */
    public function __construct(public array $files)
    {
    }

    public function has(string $name): bool
    {
        return isset($this->files[$name]);
    }

    public function text(string $name): string
    {
        return $this->files[$name] ?? '';
    }
}
