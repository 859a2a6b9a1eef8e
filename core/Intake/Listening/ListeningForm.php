<?php

declare(strict_types=1);

namespace Burrow\Intake\Listening;

use Burrow\Intake\UnreadLines;

/** One way in which a system tells what listens. */
interface ListeningForm
{
    /** A line that this form prints. */
    public function sign(): string;

    /** @return list<Listener> what is connected, or listens on a file, is left out */
    public function read(string $text, UnreadLines $unread): array;
}
