<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Judgement\Findings;

/** One way of looking at a card. Rules never throw, whatever the files hold. */
interface CardRule
{
    public function lint(CardFolder $folder, CardContext $context): Findings;
}
