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
     * @param  list<Circumstance>  $only  of which all must be so
     * @param  list<Circumstance>  $unless  of which none may be so
     * @param  Details  $more  what only some kinds carry
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
        public array $only = [],
        public array $unless = [],
        public Details $more = new Details(),
    ) {
    }

    /** Where it happens: a step may say so itself, where its kind leaves it open. */
    public function place(): StepPlace
    {
        return $this->more->place ?? $this->kind->place();
    }

    /** It is typed into a shell of the desk: that shell may be PowerShell. */
    public function isTypedAtTheDesk(): bool
    {
        return $this->place() === StepPlace::Desk && $this->command !== '';
    }

    /** Its command for a desk with PowerShell, with places for its values. */
    public function forPowerShell(): string
    {
        return $this->more->powerShell === '' ? $this->command : $this->more->powerShell;
    }

    /** The name under which a run keeps one of its values: those of one job do not meet those of another. */
    public function scoped(string $value): string
    {
        return $this->more->job === '' ? $value : "{$this->more->job}:{$value}";
    }

    /** @param  list<Circumstance>  $so  of the box */
    public function isFor(array $so): bool
    {
        $is = fn (Circumstance $one): bool => in_array($one, $so, true);

        return array_filter($this->only, $is) === $this->only && array_filter($this->unless, $is) === [];
    }
}
