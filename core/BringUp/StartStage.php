<?php

declare(strict_types=1);

namespace Burrow\BringUp;

/** What a box that starts does one after the other, as it can be met from outside. */
enum StartStage: string
{
    /** It stopped answering: it went down. */
    case Away = 'away';

    /** The router has given it an address. */
    case Address = 'address';

    /** It sends an echo back; only where this machine may ask for one. */
    case Ping = 'ping';

    /** Remote login answers. */
    case Login = 'login';

    /** Its page, or the port of its job, answers. */
    case Page = 'page';

    /** Its page gives what it is for, and no “come again later”. */
    case Ready = 'ready';

    public function words(): string
    {
        return match ($this) {
            self::Away => 'went down',
            self::Address => 'has its address',
            self::Ping => 'answers a ping',
            self::Login => 'remote login answers',
            self::Page => 'its port answers',
            self::Ready => 'its page is ready',
        };
    }
}
