<?php

declare(strict_types=1);

namespace Burrow\Addresses\Find;

use Burrow\Intake\Leases\Lease;
use Burrow\Intake\Neighbours\Neighbour;
use Burrow\Intake\Own\OwnAddress;
use Burrow\Intake\Reading;

/** A machine that stands in a list, whichever list that is. */
final readonly class Seen
{
    /** Of one list; no home has more machines. */
    public const MOST = 4096;

    /**
     * @param  ?string  $mac  in lower case with colons
     * @param  string  $address  in its shortest standard form; "" where it has none (yet)
     * @param  list<int>  $open  TCP ports that were met open
     */
    public function __construct(
        public ?string $mac,
        public string $address,
        public ?string $name = null,
        public array $open = [],
    ) {
    }

    /**
     * The machines of a list that was read; what no longer holds and what stands for several machines is left out. Of
     * two lines about one machine the one with IPv4 counts, and a name from either.
     *
     * @return list<self>
     */
    public static function in(Reading ...$readings): array
    {
        $seen = [];
        foreach ($readings as $reading) {
            foreach ($reading->facts as $fact) {
                $one = match (true) {
                    $fact instanceof Lease && $fact->holds() => new self($fact->mac, $fact->address, $fact->name),
                    $fact instanceof Neighbour && $fact->isThere() => new self(
                        $fact->mac,
                        $fact->address,
                        $fact->name,
                        array_values(
                            array_map(
                                fn (array $port): int => $port['port'],
                                array_filter(
                                    $fact->ports,
                                    fn (array $port): bool => $port['state'] === 'open' &&
                                        $port['protocol'] === 'tcp',
                                ),
                            ),
                        ),
                    ),
                    // A board's screen, or a machine's own word.
                    $fact instanceof OwnAddress && $fact->address !== null => new self(
                        $fact->mac === null ? null : (string) $fact->mac,
                        (string) $fact->address,
                    ),
                    default => null,
                };
                if ($one === null || $one->isGroup() || count($seen) >= self::MOST) {
                    continue;
                }
                $key = $one->key();
                $seen[$key] = isset($seen[$key]) ? $seen[$key]->with($one) : $one;
            }
        }

        return array_values($seen);
    }

    /** What it is known by from one list to the next. */
    public function key(): string
    {
        return $this->mac ?? $this->address;
    }

    /** The name without its domain, in lower case; "" where it has none. */
    public function label(): string
    {
        return strtolower(explode('.', $this->name ?? '')[0]);
    }

    /** Its hardware address is one that it made up itself, as phones do for each network. */
    public function isMadeUp(): bool
    {
        return $this->mac !== null && ((int) hexdec(substr($this->mac, 0, 2)) & 2) !== 0;
    }

    private function isGroup(): bool
    {
        return $this->mac === null
            ? str_starts_with($this->address, 'ff') || preg_match('/^(?:22[4-9]|23\d|255)\./', $this->address) === 1
            : ((int) hexdec(substr($this->mac, 0, 2)) & 1) !== 0;
    }

    private function with(self $other): self
    {
        $six = str_contains($this->address, ':') && ! str_contains($other->address, ':');

        return new self(
            $this->mac,
            $six ? $other->address : $this->address,
            $this->name ?? $other->name,
            array_values(array_unique([...$this->open, ...$other->open])),
        );
    }
}
