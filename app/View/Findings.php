<?php

declare(strict_types=1);

namespace App\View;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings as AllFindings;

/** The first of many findings, and how many they are. */
final readonly class Findings
{
    private const SHOWN = 5;

    /** @param  list<Finding>  $first */
    private function __construct(public array $first, public int $all)
    {
    }

    public static function of(AllFindings $findings): self
    {
        return new self(array_slice($findings->list, 0, self::SHOWN), count($findings));
    }

    public function more(): int
    {
        return $this->all - count($this->first);
    }
}
