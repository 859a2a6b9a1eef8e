<?php

declare(strict_types=1);

namespace Burrow\Household;

use Burrow\Intake\Firewall\FirewallRule;
use DateTimeImmutable;

/** The rules of a box's packet filter, as the box told them at one moment. */
final readonly class PacketFilter
{
    /**
     * @param  list<FirewallRule>  $rules  in the order in which they are asked
     * @param  bool  $active  false where the box said that it is switched off
     */
    public function __construct(
        public string $box,
        public DateTimeImmutable $at,
        public array $rules,
        public bool $active = true,
    ) {
    }
}
