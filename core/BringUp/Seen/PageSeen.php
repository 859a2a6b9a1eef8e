<?php

declare(strict_types=1);

namespace Burrow\BringUp\Seen;

use DateTimeImmutable;

/** What a page answered, as far as it was read. */
final readonly class PageSeen
{
    /**
     * @param  int  $status  of HTTP (RFC 9110 15)
     * @param  string  $title  of the page, one line, or empty
     * @param  string  $text  the answer's beginning, at most 64 KiB
     * @param  string  $location  where it sends the visitor, or empty
     * @param  ?string  $certificateFor  the name it is for; null without TLS
     * @param  string  $certificate  the page's own, in PEM (RFC 7468 5); empty without TLS
     */
    public function __construct(
        public int $status,
        public string $title = '',
        public string $text = '',
        public string $location = '',
        public ?string $certificateFor = null,
        public ?DateTimeImmutable $certificateUntil = null,
        public bool $certificateByItself = false,
        public string $certificate = '',
    ) {
    }

    /** It is there and means to be used: content, a way on, or a question for the login. */
    public function isReady(): bool
    {
        return ($this->status >= 200 && $this->status < 400) || $this->status === 401;
    }
}
