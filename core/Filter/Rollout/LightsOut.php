<?php

declare(strict_types=1);

namespace Burrow\Filter\Rollout;

use Burrow\Net\Ipv4;

/**
 * What somebody does who does not know the house and has no names any more. Every address is a number: names are what
 * is missing.
 */
final readonly class LightsOut
{
    /**
     * @param  list<array{string, string}>  $filters  name and address of each
     * @param  array<string, string>  $page  the router's own page as the house noted it
     */
    private function __construct(
        public HandOut $handOut,
        public Ipv4 $router,
        public array $filters,
        private array $page,
    ) {
    }

    /**
     * @param  list<array{string, string}>  $filters
     * @param  array<string, string>  $page
     */
    public static function of(HandOut $handOut, Ipv4 $router, array $filters, array $page): self
    {
        return new self($handOut, $router, $filters, $page);
    }

    /** @return list<array{string, string}> what to do, and what tells that it worked */
    public function steps(): array
    {
        $boxes = implode(
            ' and ',
            array_map(fn (array $one): string => "{$one[0]} ({$one[1]})", $this->filters),
        );
        $where =
            ($this->page['router_dns'] ?? '') === ''
                ? 'its page has a place for resolvers'
                : $this->page['router_dns'];
        $apply =
            ($this->page['router_apply'] ?? '') === ''
                ? 'Save it.'
                : "Save it: {$this->page['router_apply']}.";

        return [
            [
                'Is it names, or the internet? On a computer open a terminal and type: ping '.
                $this->router.
                ' (stop with Ctrl+C).',
                'It answers: the network is there, and only names are missing; go on. It does not: this sheet is the wrong one, look at the router’s cable and lights.',
            ],
            [
                "Pull the plug of {$boxes}, wait ten seconds, put it back, wait five minutes.",
                'A page opens again: done. Write on this sheet when it was.',
            ],
            [
                "Open http://{$this->router} in a browser, by this number. Its password is where the house keeps it. Find: {$where}.",
                'It shows '.implode(' and ', array_column($this->filters, 1)).'.',
            ],
            [
                $this->handOut === HandOut::Handed
                    ? "Write {$this->router} in its place. {$apply}"
                    : "Set it back to “by the provider”. {$apply}",
                $this->handOut === HandOut::Handed
                    ? 'Switch the network of one computer off and on: a page opens. The others follow by themselves, or the same way.'
                    : 'A page opens at once, everywhere.',
            ],
            [
                'Tell who looks after it. Nothing is lost; advertisements and traps come through until it is set back.',
                'To set it back: the numbers that stood there before, as above.',
            ],
        ];
    }
}
