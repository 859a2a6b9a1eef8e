<?php

declare(strict_types=1);

namespace Burrow\Intake\Lookup;

use JsonSerializable;

/** One answer to a question about a name, or the reason why there is none. */
final readonly class Answer implements JsonSerializable
{
    /**
     * @param  ?string  $name  asked for; null where the tool prints answers alone
     * @param  ?string  $type  A, AAAA, PTR, CNAME …
     * @param  string  $status  the answer's code (RFC 1035 4.1.1, RFC 2136 2.2): NOERROR, NXDOMAIN, SERVFAIL, REFUSED
     *                          …; or TIMEOUT and UNREACHABLE where no server answered
     * @param  ?string  $value  null where there is none
     * @param  ?int  $ttl  seconds
     */
    public function __construct(
        public ?string $name,
        public ?string $type,
        public string $status,
        public ?string $value = null,
        public ?int $ttl = null,
        public ?string $server = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return get_object_vars($this);
    }
}
