<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** A folder of a box that is kept alike with one on another machine, in both directions. */
final readonly class FolderPair
{
    /**
     * @param  int  $id  of its record
     * @param  string  $peer  the other machine, as the house calls it
     * @param  ?int  $keepsDays  days that what was changed or deleted is kept; 0 for not at all, null where nobody said
     * @param  ?DateTimeImmutable  $inStep  when both ends were last seen to hold the same
     * @param  ?DateTimeImmutable  $differed  when they were last seen to differ
     * @param  ?int  $conflicts  copies that both sides changed, when that was last looked at; null where never
     */
    public function __construct(
        public int $id,
        public string $box,
        public string $folder,
        public string $peer,
        public ?int $keepsDays = null,
        public ?DateTimeImmutable $inStep = null,
        public ?DateTimeImmutable $differed = null,
        public ?int $conflicts = null,
    ) {
    }

    public function differs(): bool
    {
        return $this->differed !== null && ($this->inStep === null || $this->differed >= $this->inStep);
    }
}
