<?php

declare(strict_types=1);

namespace Burrow\Net;

/** The transport a port belongs to; the same number may be held once per protocol. */
enum Protocol: string
{
    case Tcp = 'tcp';
    case Udp = 'udp';
}
