<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use Burrow\Net\Ipv4;
use InvalidArgumentException;

/** A site of nginx that speaks TLS for a page on the box itself, with a certificate that the box made. */
final readonly class HttpsSite
{
    /** Where it listens itself. */
    private const OUTER = 443;

    /** @throws InvalidArgumentException for a name or port that is none, or its own */
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
        if ($port === self::OUTER) {
            throw new InvalidArgumentException('It would pass everything on to itself; the page has to have another port.');
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

    /** With what is done around it where no playbook does it, as comments. */
    public function byHand(?Ipv4 $address): string
    {
        $name = "{$this->host}.{$this->domain}";
        $at = $address ?? 'the address of the box';

        return <<<CONF
        # For /etc/nginx/conf.d. The name {$name} has to lead to {$at}.
        # Its certificate, good for two years, is made on the box:
        #   openssl req -x509 -newkey rsa:2048 -nodes -days 730 -subj /CN={$name} -addext subjectAltName=DNS:{$name},DNS:{$this->host} -keyout /etc/ssl/private/{$this->host}.key -out /etc/ssl/certs/{$this->host}.pem
        # Then: nginx -t, and systemctl reload nginx.
        # Bind the page itself to 127.0.0.1 afterwards, or it stays open in plain HTTP beside this.

        CONF
        ."{$this}\n";
    }
}
