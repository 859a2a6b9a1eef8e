<?php

declare(strict_types=1);

namespace Burrow\Net;

/** What a resolver said of a name's IPv4 address. */
final readonly class NameAnswer
{
    /** What a filter answers instead of refusing outright (RFC 1122 3.2.1.3: “this host on this network”). */
    private const NOWHERE = ['0.0.0.0', '127.0.0.1'];

    /**
     * @param  ?int  $code  response code of RFC 1035 4.1.1 (0 no error, 3 no such name, 5 refused); null: no answer
     *         came
     * @param  list<string>  $addresses
     */
    public function __construct(public ?int $code, public array $addresses = [])
    {
    }

    public function isSilent(): bool
    {
        return $this->code === null;
    }

    /** Answered with an address that leads somewhere. */
    public function isAnswered(): bool
    {
        return $this->code === 0 && array_diff($this->addresses, self::NOWHERE) !== [];
    }

    /**
     * No such name, refused, no address at all, or one that leads nowhere. A resolver that failed (2) did not
     * refuse.
     */
    public function isRefused(): bool
    {
        return in_array($this->code, [0, 3, 5], true) && ! $this->isAnswered();
    }

    public function words(): string
    {
        return match (true) {
            $this->code === null => 'no answer',
            $this->isAnswered() => 'answered with '.implode(', ', array_slice($this->addresses, 0, 3)),
            $this->code === 0 && $this->addresses !== [] => 'answered with '.
                $this->addresses[0].
                ', which leads nowhere',
            $this->code === 0 => 'answered with no address',
            $this->code === 2 => 'the resolver failed to find out',
            $this->code === 3 => 'no such name',
            $this->code === 5 => 'refused',
            default => "code {$this->code}",
        };
    }
}
