<?php

declare(strict_types=1);

namespace Burrow\Intake\Containers;

use JsonSerializable;

/** A container as its engine lists it. */
final readonly class Container implements JsonSerializable
{
    /**
     * @param  ?string  $name  null where the list has none
     * @param  ?string  $state  "running", "exited", "created", "paused", "restarting", "removing", "dead"
     * @param  list<PublishedPort>  $ports
     */
    public function __construct(
        public ?string $name,
        public ?string $image,
        public ?string $state,
        public array $ports,
    ) {
    }

    /** The state behind the words for people: "Up 3 hours (healthy)", "Exited (0) 2 days ago". */
    public static function state(string $status): ?string
    {
        return match (true) {
            preg_match('/^(?:Up\b.*\(Paused\)|paused)/i', $status) === 1 => 'paused',
            preg_match('/^(?:Up\b|running)/i', $status) === 1 => 'running',
            preg_match('/^(?:Exit|exited|stopped)/i', $status) === 1 => 'exited',
            preg_match('/^(?:Created|configured|initialized)/i', $status) === 1 => 'created',
            preg_match('/^Restarting/i', $status) === 1 => 'restarting',
            preg_match('/^Remov/i', $status) === 1 => 'removing',
            preg_match('/^Dead/i', $status) === 1 => 'dead',
            default => null,
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'image' => $this->image,
            'state' => $this->state,
            'ports' => $this->ports,
        ];
    }
}
