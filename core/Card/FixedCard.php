<?php

declare(strict_types=1);

namespace Burrow\Card;

/** A card with what could be mended mended, and what was done. */
final readonly class FixedCard
{
    /** @param  list<string>  $changes */
    public function __construct(public CardFolder $folder, public array $changes)
    {
    }
}
