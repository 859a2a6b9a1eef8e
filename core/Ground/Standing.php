<?php

declare(strict_types=1);

namespace Burrow\Ground;

use Burrow\Household\Hearing;
use Burrow\Household\HearingState;

/** What the front page needs to know of a box that stands in the house. */
final readonly class Standing
{
    /**
     * @param  list<string>  $openings  what reaches it from outside: "51944 udp"
     * @param  bool  $mayFaceWorld  its job is meant to be reached from outside
     * @param  string  $servesAll  what every other box depends on it for, or empty; only of jobs that are finished
     * @param  list<string>  $shut  ports of its jobs that were asked and are not open: "445 tcp, file share: refused"
     * @param  int  $leftOpen  steps that were passed over and jobs without a playbook
     * @param  bool  $covered  its address lies in its network, so it can be asked
     */
    public function __construct(
        public string $name,
        public Hearing $hearing,
        public array $openings,
        public bool $mayFaceWorld,
        public string $servesAll,
        public array $shut = [],
        public int $leftOpen = 0,
        public bool $covered = true,
    ) {
    }

    public function is(HearingState $state): bool
    {
        return $this->hearing->state === $state;
    }
}
