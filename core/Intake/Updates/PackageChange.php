<?php

declare(strict_types=1);

namespace Burrow\Intake\Updates;

use JsonSerializable;

/** A package that is to be changed, or was. */
final readonly class PackageChange implements JsonSerializable
{
    /** @param  string  $change  "upgrade", "new", "removed" or "held" */
    public function __construct(
        public string $package,
        public ?string $from,
        public ?string $to,
        public ?string $origin,
        public ?bool $security,
        public string $change,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return get_object_vars($this);
    }
}
