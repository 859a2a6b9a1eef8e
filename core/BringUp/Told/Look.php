<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

use Burrow\Net\Protocol;

/** What a check asks at the box's own address. Texts may hold values; a port may be one of them. */
final readonly class Look
{
    /**
     * @param  string  $port  number, or a value like {{page_port}}
     * @param  string  $path  of a page
     * @param  bool  $tls  the page speaks TLS; its certificate is looked at and told, not judged
     * @param  string  $shows  what the answer must hold: a page's text, a greeting's beginning
     * @param  list<string>  $refused  names that must be refused
     * @param  list<string>  $answered  names that must be answered
     * @param  string  $local  name that must be answered with the box's own address, or empty
     * @param  string  $greeting  which greeting: "smb", "line"; empty for none
     */
    public function __construct(
        public string $port = '',
        public Protocol $protocol = Protocol::Tcp,
        public string $path = '/',
        public bool $tls = false,
        public string $shows = '',
        public array $refused = [],
        public array $answered = [],
        public string $local = '',
        public string $greeting = '',
    ) {
    }
}
