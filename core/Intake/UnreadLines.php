<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;

/** Collects lines that a reader did not understand: the first few one by one, the rest as a count. */
final class UnreadLines
{
    private const SHOWN = 5;

    /** @var list<Finding> */
    private array $findings = [];

    private int $more = 0;

    public function __construct(private readonly string $kind)
    {
    }

    public function add(int $line, string $why): void
    {
        if (count($this->findings) >= self::SHOWN) {
            $this->more++;

            return;
        }
        $this->findings[] = IntakeFindings::lineNotRead($this->kind, $line, $why);
    }

    public function count(): int
    {
        return count($this->findings) + $this->more;
    }

    public function findings(): Findings
    {
        $all = Findings::of(...$this->findings);

        return $this->more === 0 ? $all : $all->and([IntakeFindings::moreLinesNotRead($this->more)]);
    }
}
