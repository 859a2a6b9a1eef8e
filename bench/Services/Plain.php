<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Answers;
use Bench\Net\Door;

/** A service that starts as it is, with a page or without. */
final readonly class Plain implements Service
{
    public function __construct(
        private string $unit,
        private string $package,
        private ?int $port = null,
        private string $title = '',
        private bool $tls = false,
    ) {
    }

    public function unit(): string
    {
        return $this->unit;
    }

    public function package(): string
    {
        return $this->package;
    }

    public function problem(Board $board): ?string
    {
        return null;
    }

    public function doors(Board $board): array
    {
        return match (true) {
            $this->port === null => [],
            $this->title === '' => [new Door($this->port)],
            default => [new Door($this->port, serve: Answers::page($this->title), tls: $this->tls)],
        };
    }
}
