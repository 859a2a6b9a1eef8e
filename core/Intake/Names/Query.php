<?php

declare(strict_types=1);

namespace Burrow\Intake\Names;

use JsonSerializable;

/** A name that somebody asked, and what came of it. */
final readonly class Query implements JsonSerializable
{
    /**
     * @param  ?int  $at  Unix seconds; null where the log has no year
     * @param  ?string  $client  its address, or its name where the log has that
     * @param  string  $name  in lower case, without the dot at its end
     * @param  ?string  $type  "A", "AAAA" …
     * @param  ?string  $outcome  "answered", "refused", "cached", "failed"; null where the log does not tell
     * @param  ?string  $by  what refused or answered it, in the log's words
     * @param  ?int  $hour  of the day, as the log has it
     */
    public function __construct(
        public ?int $at,
        public ?string $client,
        public string $name,
        public ?string $type,
        public ?string $outcome,
        public ?string $by = null,
        public ?int $hour = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'at' => $this->at,
            'client' => $this->client,
            'name' => $this->name,
            'type' => $this->type,
            'outcome' => $this->outcome,
            'by' => $this->by,
            'hour' => $this->hour,
        ];
    }
}
