<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Base;

use Burrow\BringUp\Step\HostKeyHistory;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\Net\Ipv4;

/** What the checks of ports and host keys share. */
final class Door
{
    public const REMOTE_LOGIN = 22;

    public static function ask(Judging $at, Ipv4 $address, int $port = self::REMOTE_LOGIN): Outcome
    {
        $met = $at->network->door($address, $port);

        return Outcome::door($met, (string) $port, SeenFindings::port($met, $address, $port));
    }

    /** The key shown there must be the one kept, the first one, or changed for a known reason. */
    public static function hostKey(Judging $at, Ipv4 $address): Outcome
    {
        $key = $at->network->hostKey($address);
        if ($key === null) {
            return Outcome::notYet(SeenFindings::noHostKey());
        }
        $finding = HostKeyHistory::judge(
            $key,
            $at->facts->hostKey,
            $at->facts->hostKeyAt,
            $at->facts->cardWrittenAt,
        );
        $outcome = Outcome::over(
            mb_strimwidth($key->fingerprint(), 0, 20, '…'),
            Outcome::notYet($finding)->findings,
            ['host_key' => $key->fingerprint()],
            new Learned(hostKey: $key),
        );

        return $outcome->findings->blocks() ? Outcome::notYet($outcome->findings) : $outcome;
    }

    /**
     * Remote login answers at the box's own address with the key that was kept; else whether it is still at the old
     * one.
     */
    public static function atItsAddress(Judging $at): Outcome
    {
        $address = $at->facts->address;
        if ($address === null) {
            return Outcome::notYet(SeenFindings::noAddress());
        }
        $door = self::ask($at, $address);
        if ($door->over) {
            $key = self::hostKey($at, $address);

            return $door->with($key->over ? Outcome::over("at {$address}", $key->findings) : $key);
        }
        $before = $at->facts->found();
        if ($before === null || $before->equals($address) || ! self::ask($at, $before)->over) {
            return $door;
        }

        return Outcome::notYet(SeenFindings::stillAtOld($before, $address));
    }
}
