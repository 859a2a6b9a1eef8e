<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Hands;

use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\StepPlace;

/** Done or let pass by the person, who alone can say so: work by hand, on a page, or a wait. */
final class ByWord extends Told
{
    public function __construct(
        private readonly string $name,
        private readonly StepPlace $place,
        private readonly ?BenchHelp $help = null,
    ) {
    }

    public function name(): string
    {
        return $this->name;
    }

    public function place(): StepPlace
    {
        return $this->place;
    }

    public function bench(): ?BenchHelp
    {
        return $this->help;
    }
}
