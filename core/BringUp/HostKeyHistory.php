<?php

declare(strict_types=1);

namespace Burrow\BringUp;

use Burrow\Judgement\Finding;
use Burrow\Net\SshPublicKey;
use DateTimeImmutable;

/** Judges a host key against the one kept: first, the same, changed for a known reason, or changed without one. */
final class HostKeyHistory
{
    /**
     * @param  ?string  $kept  fingerprint of the key kept for this box
     * @param  ?DateTimeImmutable  $keptAt  when it was kept
     * @param  ?DateTimeImmutable  $cardWrittenAt  when the box's card was last written
     */
    public static function judge(SshPublicKey $shown, ?string $kept, ?DateTimeImmutable $keptAt, ?DateTimeImmutable $cardWrittenAt): Finding
    {
        $fingerprint = $shown->fingerprint();
        if ($kept === null || $keptAt === null) {
            return Finding::note(
                'bringup.host_key_first',
                "First key of this box: {$fingerprint}.",
                'Nothing is known to compare it with but the box\'s own screen.',
                'If it has one, compare the text there.',
            );
        }
        if (hash_equals($kept, $fingerprint)) {
            return Finding::fine('bringup.host_key_same', 'The host key is the one kept.');
        }

        return $cardWrittenAt !== null && $cardWrittenAt > $keptAt
            ? Finding::note(
                'bringup.host_key_rewritten',
                'Another host key, as expected.',
                "The card was written on {$cardWrittenAt->format('Y-m-d H:i')}, and a new system makes new keys.",
                'Remove the old one on the desk computer: ssh-keygen -R with the box\'s address.',
            )
            : Finding::stop(
                'bringup.host_key_changed',
                'Another host key, and no reason for it.',
                "Kept is {$kept}; shown is {$fingerprint}. Another machine may sit at this address.",
                'Do not log in. Look at the router\'s list for the hardware address first.',
            );
    }
}
