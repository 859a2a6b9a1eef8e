<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Quantity\Duration;

/** A step of a playbook before this box's values are filled in. {{name}} marks a value. */
final readonly class Step
{
    /**
     * @param  ?Duration  $waitFrom  shortest and longest usual wait after it; both null when there is none
     * @param  string  $caution  shown beside the step where something can be hurt or lost
     * @param  array<string, string>  $values  what its playbook fixes for its commands
     */
    public function __construct(
        public string $id,
        public StepKind $kind,
        public string $title,
        public string $text,
        public string $command,
        public string $expect,
        public Duration $hands,
        public ?Duration $waitFrom,
        public ?Duration $waitTo,
        public string $meanwhile,
        public string $ifLonger,
        public string $caution,
        public array $values,
    ) {
    }
}
