<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use Closure;
use InvalidArgumentException;

/** A piece of a file that a step writes: it comes from the file's one writer, never from a playbook's text. */
final readonly class Block
{
    /**
     * @param  string  $name  the value of a playbook that stands for it, as in {{fstab_line}}
     * @param  list<string>  $needs  the values it is made from
     * @param  Closure(array<string, string>): (string|\Stringable)  $writer  throws InvalidArgumentException for
     *         values that
     *         the file cannot hold
     */
    public function __construct(public string $name, public array $needs, private Closure $writer)
    {
    }

    /**
     * @param  array<string, string>  $values  all that it needs
     *
     * @throws InvalidArgumentException for values that the file cannot hold
     */
    public function write(array $values): string
    {
        return (string) ($this->writer)($values);
    }
}
