<?php

declare(strict_types=1);

namespace Burrow\Intake;

/**
 * Reads one kind of text that a real tool prints.
 *
 * Content never makes it throw: what is not understood becomes a finding with its line.
 */
interface Reader
{
    /** The name people give on the command line: "leases", "lsblk" … */
    public function kind(): string;

    /** One line for the list of kinds: which tool prints it. */
    public function summary(): string;

    /** A pattern that texts of this kind match and others do not: how `read auto` tells them apart. */
    public function sign(): string;

    public function read(string $text): Reading;
}
