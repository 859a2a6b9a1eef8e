<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\BringUp\Told\AskedValue;
use Burrow\BringUp\Told\ClientCard;
use Burrow\BringUp\Told\KnownError;
use Burrow\BringUp\Told\Look;
use Burrow\BringUp\Told\PrintedValue;
use Burrow\BringUp\Told\SheetAnswer;

/** What only some kinds of step carry. */
final readonly class Details
{
    /**
     * @param  string  $job  whose values it takes and keeps; empty where they are the whole box's
     * @param  list<AskedValue>  $asks
     * @param  list<SheetAnswer>  $answers
     * @param  list<KnownError>  $errors
     * @param  list<PrintedValue>  $prints
     * @param  list<ClientCard>  $cards
     * @param  string  $sees  words that must stand in what is pasted
     * @param  string  $lookIn  command that tells how far a detached step has come
     * @param  string  $reset  command that sets anew what was shown once
     * @param  string  $yes  the good answer to a question, as a sentence
     * @param  string  $no  what to do after the other answer
     * @param  string  $reads  kind of the reader that reads the paste
     * @param  list<string>  $needs  ids of steps that must be over, not passed over, before this one
     * @param  list<int>  $releases  of the system for which it is known
     * @param  string  $confirmed  month in which it was last gone through, as 2026-11
     * @param  bool  $repeatable  typing it twice does no harm
     * @param  bool  $screen  a screen and a keyboard are at the box meanwhile; the house has one of each
     * @param  bool  $starts  the box starts anew in its wait: what answers when is watched
     * @param  string  $back  the way back from here to how it was before the run
     * @param  ?int  $backSeconds  how long that takes; null where nobody has said
     * @param  string  $powerShell  its command at a desk with PowerShell, where that is another one
     * @param  ?int  $dueDays  days after which what it is about is due again; null when never
     */
    public function __construct(
        public string $job = '',
        public array $asks = [],
        public array $answers = [],
        public array $errors = [],
        public array $prints = [],
        public array $cards = [],
        public ?Look $look = null,
        public string $sees = '',
        public string $lookIn = '',
        public string $reset = '',
        public string $yes = '',
        public string $no = '',
        public string $reads = '',
        public ?StepPlace $place = null,
        public array $needs = [],
        public array $releases = [],
        public string $confirmed = '',
        public bool $repeatable = true,
        public ?int $dueDays = null,
        public bool $starts = false,
        public bool $screen = false,
        public string $back = '',
        public ?int $backSeconds = null,
        public string $powerShell = '',
    ) {
    }

    /** Something must be pasted before the step can be over. */
    public function wantsPaste(): bool
    {
        return $this->sees !== '' || $this->prints !== [] || $this->reads !== '';
    }
}
