<?php

declare(strict_types=1);

namespace Bench\Shell;

/** A word of a command line, still to be expanded: its pieces, and whether it is an operator. */
final class Word
{
    /** @var list<array{string, string}> kind ("text", "call", "name") and content */
    public array $pieces = [];

    public bool $quoted = false;

    public function __construct(public readonly string $operator = '')
    {
    }

    public function add(string $kind, string $content): void
    {
        $last = array_key_last($this->pieces);
        if ($last !== null && $kind === 'text' && $this->pieces[$last][0] === 'text') {
            $this->pieces[$last][1] .= $content;
        } else {
            $this->pieces[] = [$kind, $content];
        }
    }

    public function isEmpty(): bool
    {
        return $this->pieces === [] && ! $this->quoted;
    }
}
