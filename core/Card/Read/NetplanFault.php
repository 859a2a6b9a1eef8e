<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/** One thing for which netplan refuses a network-config. */
final readonly class NetplanFault
{
    /**
     * @param  list<int|string>  $path  to what is wrong
     * @param  string  $found  a sentence
     * @param  string  $do  a sentence
     */
    public function __construct(public array $path, public string $found, public string $do)
    {
    }
}
