<?php

declare(strict_types=1);

namespace Burrow\Intake\Reach;

use JsonSerializable;

/** One attempt to reach somebody, as a tool reports it. */
final readonly class Reached implements JsonSerializable
{
    /**
     * @param  ?string  $target  as it was typed
     * @param  ?int  $port  null where no port was asked, as by a ping
     */
    public function __construct(
        public ?string $target,
        public ?string $address,
        public ?int $port,
        public ReachState $state,
        public ?int $sent = null,
        public ?int $received = null,
        public ?float $lossPercent = null,
        public ?float $averageMs = null,
        public ?int $httpStatus = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'target' => $this->target,
            'address' => $this->address,
            'port' => $this->port,
            'state' => $this->state->value,
            'sent' => $this->sent,
            'received' => $this->received,
            'loss_percent' => $this->lossPercent,
            'average_ms' => $this->averageMs,
            'http_status' => $this->httpStatus,
        ];
    }
}
