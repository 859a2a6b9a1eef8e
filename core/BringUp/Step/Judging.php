<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\Intake\Intake;

/** What a step is judged by: what the run knows, what the person gave back, and what can be asked. */
final readonly class Judging
{
    /** @param  array<string, string>  $given  field => what stands in it, as it was typed or pasted */
    public function __construct(
        public Step $step,
        public RunFacts $facts,
        public array $given,
        public Asking $network,
        public Intake $intake,
    ) {
    }

    /** What stands in a field, without blanks around it. */
    public function given(string $field): string
    {
        return trim($this->given[$field] ?? '');
    }

    /** A text of the step with the box's values in it; an unknown one stands as “…”. */
    public function filled(string $text): string
    {
        return Values::of($this->facts, $this->step)->fillText($text);
    }
}
