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

    public function read(string $text): Reading;
}
