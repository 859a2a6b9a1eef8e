<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Know;

/** Something that can be looked at, and what may be seen there. */
final readonly class Check
{
    /** The check that every conversation begins with. */
    public const FIRST = 'complaint';

    /**
     * @param  float  $minutes  of a person's time; seconds where the tool asks by itself
     * @param  array<string, Answer>  $answers  by id
     * @param  list<string>  $during  complaints that it makes sense with; empty: all
     * @param  string  $needs  what the box must have for it ("wired", "share"); empty: nothing
     * @param  bool  $throughLogin  it can be made only by somebody who is logged in on the box
     * @param  string  $probe  the question by which the tool finds the answer itself; empty: a person looks
     */
    public function __construct(
        public string $id,
        public string $title,
        public Where $where,
        public string $how,
        public float $minutes,
        public array $answers,
        public array $during,
        public string $needs,
        public bool $throughLogin,
        public string $probe,
    ) {
    }
}
