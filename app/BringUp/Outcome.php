<?php

declare(strict_types=1);

namespace App\BringUp;

use Burrow\Sheet\Findings;

/** What came of looking at a step: whether it is over, in which words, and what was found and learned. */
final readonly class Outcome
{
    /** @param  array<string, string|null>  $learned */
    public function __construct(public bool $over, public string $words, public Findings $findings, public array $learned = [])
    {
    }

    public static function notYet(Findings $findings): self
    {
        return new self(false, '', $findings);
    }

    /** @param  array<string, string|null>  $learned */
    public static function over(string $words, Findings $findings, array $learned = []): self
    {
        return new self(true, $words, $findings, $learned);
    }
}
