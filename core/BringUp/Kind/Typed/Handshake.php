<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\SeenFindings;
use Burrow\Intake\Tunnel\TunnelInterface;
use Burrow\Intake\Tunnel\TunnelPeer;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Duration;

/** The endpoint's own list of peers shows that one of them has come through just now. */
final class Handshake extends ReadOnTheBox
{
    /** Seconds; keys are made anew after 120 (REKEY_AFTER_TIME of the protocol), and a person needs some to paste. */
    private const FRESH = 300;

    public function name(): string
    {
        return 'handshake';
    }

    public function judge(Judging $at): Outcome
    {
        $reading = Pasted::read($at, 'tunnel');
        if ($reading instanceof Outcome) {
            return $reading;
        }
        $peers = array_merge(
            ...array_map(fn (TunnelInterface $end): array => $end->peers, $reading->all(TunnelInterface::class)),
        );
        $ages = array_filter(array_map(fn (TunnelPeer $peer): ?int => $peer->handshake, $peers), is_int(...));
        $words = match (true) {
            $peers === [] => 'The endpoint knows no device.',
            $ages === [] => 'No device has come through yet.',
            default => 'The last handshake is '.Duration::seconds(min($ages)).' old.',
        };

        return $ages !== [] && min($ages) <= self::FRESH
            ? Outcome::over(
                'handshake '.Duration::seconds(min($ages)).' ago',
                Findings::of(SeenFindings::handshake($words)),
            )
            : Outcome::notYet(SeenFindings::noHandshake($words));
    }
}
