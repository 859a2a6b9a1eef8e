<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Check;
use Burrow\Diagnosis\Know\Knowledge;

/** What speaks for a cause, in words. */
final class Reasons
{
    /** An answer speaks for a cause when it is so many times likelier under it than under the others. */
    private const SPEAKS = 1.15;

    /** @var array<string, float> check => share of what was seen there, over all causes */
    private array $foretold = [];

    /** @param  list<Seen>  $seen */
    public function __construct(
        private readonly Knowledge $knowledge,
        private readonly Circumstances $circumstances,
        private readonly array $seen,
        private readonly ?string $complaint,
    ) {
    }

    /** The answer that speaks most for a cause, held against all causes with the same complaint. */
    public function because(string $cause): string
    {
        $best = null;
        $most = self::SPEAKS;
        foreach ($this->seen as $seen) {
            $own = $this->knowledge->answers($seen->check, $cause)[$seen->answer];
            $ratio = $own / $this->foretold($seen);
            if ($seen->check !== Check::FIRST && $ratio > $most) {
                $most = $ratio;
                $best = $seen;
            }
        }

        return $best === null ? '' : lcfirst($this->knowledge->checks[$best->check]->answers[$best->answer]->label);
    }

    /** The share of an answer over all causes, each by its odds and by how it gives the complaint. */
    private function foretold(Seen $seen): float
    {
        return $this->foretold[$seen->check] ??= $this->mean($seen);
    }

    private function mean(Seen $seen): float
    {
        $sum = $all = 0.0;
        foreach ($this->knowledge->causes as $id => $cause) {
            $weight =
                $cause->odds *
                $this->circumstances->weight($cause->needs) *
                ($this->complaint === null
                    ? 1.0
                    : $this->knowledge->answers(Check::FIRST, $id)[$this->complaint]);
            $sum += $weight * $this->knowledge->answers($seen->check, $id)[$seen->answer];
            $all += $weight;
        }

        return $all > 0 ? $sum / $all : 1.0;
    }
}
