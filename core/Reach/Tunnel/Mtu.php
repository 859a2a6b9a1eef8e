<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;

/** How large a packet inside a tunnel may be, so that nothing has to be cut on its way. */
final readonly class Mtu
{
    /** Outer header of IPv4 without options (RFC 791 3.1), and of IPv6 (RFC 8200 3). */
    private const IPV4 = 20;

    private const IPV6 = 40;

    /** RFC 768. */
    private const UDP = 8;

    /** Type and reserved 4, receiver 4, counter 8, authentication tag 16: a transport data message of the protocol. */
    private const MESSAGE = 32;

    /** The least that IPv6 may be given (RFC 8200 5). */
    private const IPV6_LEAST = 1280;

    public int $bytes;

    /**
     * @param  int  $link  what the connection to the provider carries, in bytes: 1500 on Ethernet, 1492 over PPPoE
     * @param  bool  $sixOutside  devices may come in over IPv6, whose header is longer
     */
    public function __construct(private int $link, private bool $sixOutside)
    {
        $this->bytes = $link - ($sixOutside ? self::IPV6 : self::IPV4) - self::UDP - self::MESSAGE;
    }

    public function isTooSmall(): bool
    {
        return $this->bytes < self::IPV6_LEAST;
    }

    public function working(): Working
    {
        $outer = $this->sixOutside ? self::IPV6 : self::IPV4;

        return Working::of(
            'reach.tunnel_mtu',
            'Largest packet inside the tunnel',
            "{$this->bytes} bytes",
            Source::standard('RFC 791, RFC 8200, RFC 768; the tunnel\'s transport data message'),
            Line::given('the connection carries', "{$this->link} bytes"),
            Line::given($this->sixOutside ? 'outer IPv6 header' : 'outer IPv4 header', "{$outer} bytes"),
            Line::given('UDP header', self::UDP.' bytes'),
            Line::given('message header and tag', self::MESSAGE.' bytes'),
            Line::computed(
                'left inside',
                "{$this->link} − {$outer} − ".self::UDP.' − '.self::MESSAGE,
                "{$this->bytes} bytes",
            ),
        );
    }
}
