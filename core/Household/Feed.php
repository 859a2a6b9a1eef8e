<?php

declare(strict_types=1);

namespace Burrow\Household;

/** A box as far as power is concerned: what it hangs on, and which boxes it cannot work without. */
final readonly class Feed
{
    /**
     * @param  string  $from  the supply, strip or switch, in the household's own words
     * @param  list<string>  $dependsOn  names of boxes
     */
    public function __construct(public string $box, public string $from, public array $dependsOn)
    {
    }
}
