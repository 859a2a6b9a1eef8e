<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/** A password that a cloud-config gives an account: its hash, the word itself, or null when the box makes one up. */
final readonly class CloudPassword
{
    /** @param  list<int|string>  $path  where it stands */
    public function __construct(public mixed $value, public bool $hashed, public array $path)
    {
    }
}
