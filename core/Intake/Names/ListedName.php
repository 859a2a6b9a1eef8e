<?php

declare(strict_types=1);

namespace Burrow\Intake\Names;

use JsonSerializable;

/** A name on a list of a filter. */
final readonly class ListedName implements JsonSerializable
{
    /**
     * @param  string  $name  in lower case, as A-labels (RFC 5890), without the dot at its end
     * @param  bool  $under  it and everything below it, not it alone
     * @param  bool  $exception  it is let through whatever other lines say
     */
    public function __construct(
        public string $name,
        public bool $under,
        public bool $exception = false,
        public int $line = 0,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'kind' => $this->under ? 'under' : 'exact',
            'line' => $this->line,
            ...$this->exception ? ['exception' => true] : [],
        ];
    }
}
