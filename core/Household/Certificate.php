<?php

declare(strict_types=1);

namespace Burrow\Household;

use DateTimeImmutable;

/** The certificate that a page of the house showed when it was last asked. */
final readonly class Certificate
{
    /**
     * @param  Service  $page  that shows it
     * @param  string  $sha256  its fingerprint: 64 hexadecimal digits
     * @param  list<string>  $names  names and addresses it is for (RFC 5280 4.2.1.6); its holder's name where it lists
     *         none
     * @param  ?DateTimeImmutable  $changed  when another one was met in place of the one before; null when never
     * @param  ?DateTimeImmutable  $beforeEnded  when that one would have ended
     */
    public function __construct(
        public Service $page,
        public string $sha256,
        public string $holder,
        public string $issuer,
        public array $names,
        public ?DateTimeImmutable $starts,
        public ?DateTimeImmutable $ends,
        public DateTimeImmutable $seen,
        public ?DateTimeImmutable $changed = null,
        public ?DateTimeImmutable $beforeEnded = null,
    ) {
    }

    /** Signed by itself: nobody else vouches for it. */
    public function isOwn(): bool
    {
        return $this->holder === $this->issuer;
    }

    /** Whole days until it ends, negative when it did; null when it does not say. */
    public function daysLeft(DateTimeImmutable $now): ?int
    {
        return $this->ends === null
            ? null
            : (int) floor(($this->ends->getTimestamp() - $now->getTimestamp()) / 86400);
    }
}
