<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

/** A card or disk of the register: what it is for, whether it may be wiped, where it lies. */
final readonly class KnownMedium
{
    public function __construct(
        public string $label,
        public ?string $serial,
        public string $purpose,
        public bool $mayBeWiped,
        public string $place,
    ) {
    }
}
