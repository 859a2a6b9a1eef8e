<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use InvalidArgumentException;

/** A piece of a file that a step writes: it comes from the file's one writer, never from a playbook's text. */
interface Block
{
    /** The value of a playbook that stands for it, as in {{fstab_line}}. */
    public function name(): string;

    /** @return list<string> the values it is made from */
    public function needs(): array;

    /**
     * @param  array<string, string>  $values  all that it needs
     *
     * @throws InvalidArgumentException for values that the file cannot hold
     */
    public function write(array $values): string;
}
