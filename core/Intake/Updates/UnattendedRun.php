<?php

declare(strict_types=1);

namespace Burrow\Intake\Updates;

/** One round in which updates installed themselves, by its log. */
final readonly class UnattendedRun
{
    /**
     * @param  string  $at  "2026-11-24 06:12:03", by the box's own clock
     * @param  list<string>  $packages  that it meant to install
     * @param  ?bool  $well  null where its end is not in the log
     * @param  string  $said  what went wrong, in its own words; empty when nothing did
     * @param  bool  $restarts  it restarted the box
     * @param  bool  $tried  it was told to only look, and changed nothing
     */
    public function __construct(
        public string $at,
        public array $packages,
        public ?bool $well,
        public string $said = '',
        public bool $restarts = false,
        public bool $tried = false,
    ) {
    }
}
