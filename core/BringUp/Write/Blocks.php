<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use InvalidArgumentException;

/** Every block that a playbook's commands can hold. A new one is one class and one line here. */
final class Blocks
{
    /** @return list<Block> */
    public static function all(): array
    {
        return [new FstabBlock(), new SmbShareBlock()];
    }

    /**
     * @param  array<string, string>  $values
     * @return array<string, string> those that can be written from these values, by name
     */
    public static function from(array $values): array
    {
        $written = [];
        foreach (self::all() as $block) {
            if (array_diff($block->needs(), array_keys($values)) !== []) {
                continue;
            }
            try {
                $written[$block->name()] = $block->write($values);
            } catch (InvalidArgumentException) {
                // What the file cannot hold is not written; the command says that a value is missing.
            }
        }

        return $written;
    }
}
