<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use InvalidArgumentException;

/** A site of nginx that speaks TLS for a page on the box itself, with a certificate that the box made. */
final readonly class HttpsSite
{
    /** @throws InvalidArgumentException for a name or port that is none */
    public function __construct(private string $host, private string $domain, private int $port)
    {
        if (
            preg_match('/^[a-z0-9][a-z0-9-]{0,62}$/D', $host) !== 1 ||
            preg_match('/^[a-z0-9][a-z0-9.-]{0,200}$/D', $domain) !== 1 ||
            $port < 1 ||
            $port > 65535
        ) {
            throw new InvalidArgumentException('Not a site.');
        }
    }

    public function __toString(): string
    {
        return <<<CONF
        server {
            listen 443 ssl;
            server_name {$this->host}.{$this->domain} {$this->host};
            ssl_certificate /etc/ssl/certs/{$this->host}.pem;
            ssl_certificate_key /etc/ssl/private/{$this->host}.key;
            client_max_body_size 2g;
            location / {
                proxy_pass http://127.0.0.1:{$this->port};
                proxy_set_header Host \$host;
                proxy_set_header X-Forwarded-For \$remote_addr;
                proxy_set_header X-Forwarded-Proto https;
            }
        }
        CONF;
    }
}
