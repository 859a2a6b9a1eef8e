<?php

declare(strict_types=1);

namespace Burrow\Intake\Updates;

use JsonSerializable;

/** What an upgrade did, by its own last words. */
final readonly class UpgradeSummary implements JsonSerializable
{
    public function __construct(
        public int $upgraded,
        public int $installed,
        public int $removed,
        public int $heldBack,
        public bool $rebootAsked,
    ) {
    }

    /** @return array<string, int|bool> */
    public function jsonSerialize(): array
    {
        return [
            'upgraded' => $this->upgraded,
            'installed' => $this->installed,
            'removed' => $this->removed,
            'held_back' => $this->heldBack,
            'reboot_asked' => $this->rebootAsked,
        ];
    }
}
