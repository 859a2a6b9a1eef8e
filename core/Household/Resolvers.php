<?php

declare(strict_types=1);

namespace Burrow\Household;

/** Who asks whom for names in the house, as far as it is written down. */
final readonly class Resolvers
{
    /**
     * @param  string  $router  its address
     * @param  list<string>  $handedOut  addresses that the router hands out as resolvers
     * @param  list<string>  $routerAsks  addresses that the router itself asks, where somebody set them there
     * @param  array<string, list<string>>  $asks  addresses that a box asks further, by its name
     */
    public function __construct(
        public string $router = '',
        public array $handedOut = [],
        public array $routerAsks = [],
        public array $asks = [],
    ) {
    }
}
