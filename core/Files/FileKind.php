<?php

declare(strict_types=1);

namespace Burrow\Files;

/**
 * One kind of file that is written from typed values, as terminals ask for it.
 *
 * The values are a text of YAML or JSON; what is wrong with them is a finding at its line, and then no file is made.
 */
interface FileKind
{
    /** The name people give on the command line: "hosts", "zone" … */
    public function kind(): string;

    /** One line for the list of kinds: which program reads it. */
    public function summary(): string;

    /** Path of the JSON Schema of the values, from the project's folder. */
    public function schema(): string;

    /**
     * @param  string  $values  YAML or JSON
     * @param  string  $schema  the schema's text
     * @param  string  $name  what findings call the values' file
     */
    public function write(string $values, string $schema, string $name): WrittenFile;
}
