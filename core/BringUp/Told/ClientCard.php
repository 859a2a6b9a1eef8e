<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

/** How one kind of client gets at the service: what to switch on there, what to type, what it asks. */
final readonly class ClientCard
{
    /** @param  string  $type  what is typed into its address line, or empty; may hold values */
    public function __construct(public string $client, public string $type, public string $text)
    {
    }
}
