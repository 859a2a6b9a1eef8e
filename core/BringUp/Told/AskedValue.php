<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

/** A value that only the person knows, asked once with its reason and kept with the box's job. */
final readonly class AskedValue
{
    /**
     * @param  string  $name  of the value in commands, as in {{image}}
     * @param  string  $why  what it is for and where it is found
     * @param  string  $default  what stands in the field at first; may hold values itself
     * @param  string  $example  of a value that would do, for the grey text and for playing it on the bench
     */
    public function __construct(
        public string $name,
        public string $label,
        public AskedKind $kind,
        public string $why,
        public string $default = '',
        public string $example = '',
    ) {
    }
}
