<?php

declare(strict_types=1);

namespace Burrow\Intake\Shares;

use JsonSerializable;

/** A share that is offered or used, or why one was refused. */
final readonly class ShareFact implements JsonSerializable
{
    /**
     * @param  ?string  $name  null where the text names none
     * @param  ?string  $path  of the folder on the box
     * @param  list<string>  $users  who may use it, in the file's words; empty for whoever may log in
     * @param  ?string  $client  who has it open, or to whom it is exported
     * @param  ?string  $access  "rw" or "ro", where it is told a client
     * @param  ?string  $failure  "login", "denied", "no-such-share", "unreachable", "refused", "name", "protocol",
     *     "other"
     */
    public function __construct(
        public ?string $name,
        public ?string $path = null,
        public ?bool $readOnly = null,
        public ?bool $guest = null,
        public array $users = [],
        public ?string $client = null,
        public ?string $access = null,
        public ?string $failure = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'path' => $this->path,
            'read_only' => $this->readOnly,
            'guest' => $this->guest,
            'users' => $this->users,
            'client' => $this->client,
            'access' => $this->access,
            'failure' => $this->failure,
        ];
    }
}
