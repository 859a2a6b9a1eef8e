<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/** A file for the boot partition, line by line. Line ends are LF and the last line has one too. */
final readonly class CardFile
{
    /** @param  list<CardLine>  $lines */
    public function __construct(public string $name, public array $lines)
    {
    }

    public function text(): string
    {
        return implode('', array_map(fn (CardLine $line): string => $line->text."\n", $this->lines));
    }
}
