<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Knowledge;

/** Whether what was seen can all be so at once. */
final class Agreement
{
    /** An explanation gives an answer when its share is at least this part of the most that any other gives. */
    private const GIVES = 0.08;

    /** @var array<string, float> check and answer => the most that any cause gives it */
    private array $most = [];

    private function __construct(private readonly Knowledge $knowledge)
    {
    }

    /**
     * @param  list<string>  $possible  causes
     * @param  list<Seen>  $seen
     * @return list<Contradiction> pairs of answers that no cause, and no two causes, give both
     */
    public static function within(Knowledge $knowledge, array $possible, array $seen): array
    {
        $agreement = new self($knowledge);
        $found = [];
        foreach ($seen as $i => $one) {
            foreach (array_slice($seen, $i + 1) as $other) {
                if (! $agreement->agree($one, $other, $possible)) {
                    $found[] = new Contradiction($one, $other);
                }
            }
        }

        return $found;
    }

    /**
     * Whether a cause, or two at once, gives both answers. Something else explains whatever it likes, and so nothing.
     *
     * @param  list<string>  $possible  causes
     */
    private function agree(Seen $one, Seen $other, array $possible): bool
    {
        foreach ($possible as $cause) {
            if ($this->gives($one, $cause) && $this->gives($other, $cause)) {
                return true;
            }
        }
        foreach ($possible as $at => $first) {
            foreach (array_slice($possible, $at + 1) as $second) {
                if ($this->giveTogether($one, $first, $second) && $this->giveTogether($other, $first, $second)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** A cause gives an answer when its share is not far below the most that any cause gives it. */
    private function gives(Seen $seen, string $cause): bool
    {
        $most = $this->most[$seen->check.' '.$seen->answer] ??= max(
            $this->knowledge->usual[$seen->check][$seen->answer],
            ...array_column($this->knowledge->shares[$seen->check] ?? [], $seen->answer),
        );

        return $this->knowledge->answers($seen->check, $cause)[$seen->answer] >= self::GIVES * $most;
    }

    /** Of two at one place both must give it; of others the one that bites earlier, or who shows it at all. */
    private function giveTogether(Seen $seen, string $one, string $other): bool
    {
        $shown = $this->knowledge->shares[$seen->check] ?? [];
        if (! isset($shown[$one], $shown[$other])) {
            return $this->gives($seen, isset($shown[$other]) ? $other : $one);
        }
        $by = $this->knowledge->causes[$one]->layer->depth() <=> $this->knowledge->causes[$other]->layer->depth();

        return ($by > 0 || $this->gives($seen, $one)) && ($by < 0 || $this->gives($seen, $other));
    }
}
