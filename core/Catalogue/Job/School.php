<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;

/**
 * A way of installing a job: how long hands and waiting take, disk, where its updates come from, what can go wrong,
 * how one gets out again.
 */
final readonly class School
{
    private const READY_MADE = 'appliance';

    /** Built on the box itself: the faster the board, the sooner it is done. */
    private const BUILT = 'source';

    /**
     * @param  int  $bits  of the programs it brings
     * @param  Bytes  $memory  on top of the job's own
     */
    public function __construct(
        public string $id,
        public string $label,
        public Duration $hands,
        public Duration $waiting,
        public Bytes $disk,
        public string $update,
        public string $risk,
        public int $bits,
        public Bytes $memory,
        public string $maturity,
        public string $wayOut,
    ) {
    }

    public function isBuiltOnTheBox(): bool
    {
        return $this->id === self::BUILT;
    }

    /** It comes as an image of its own, with the job in it. */
    public function isReadyMade(): bool
    {
        return $this->id === self::READY_MADE;
    }
}
