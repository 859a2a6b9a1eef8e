<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Board\BoardClass;
use Burrow\Board\Cable;
use Burrow\Board\Drive;
use Burrow\Board\LinkKind;
use Burrow\Board\Supply;
use Burrow\Role\Role;

/** The choices of one plan. */
final readonly class PlanInput
{
    public function __construct(
        public Role $role,
        public BoardClass $board,
        public Supply $supply,
        public Cable $cable,
        public ?Drive $drive,
        public LinkKind $link,
    ) {
    }
}
