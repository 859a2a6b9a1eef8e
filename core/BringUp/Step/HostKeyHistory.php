<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

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
    public static function judge(
        SshPublicKey $shown,
        ?string $kept,
        ?DateTimeImmutable $keptAt,
        ?DateTimeImmutable $cardWrittenAt,
    ): Finding {
        $fingerprint = $shown->fingerprint();

        return match (true) {
            $kept === null || $keptAt === null => SeenFindings::hostKeyFirst($fingerprint),
            hash_equals($kept, $fingerprint) => SeenFindings::hostKeySame(),
            $cardWrittenAt !== null && $cardWrittenAt > $keptAt => SeenFindings::hostKeyRewritten(
                $cardWrittenAt->format('Y-m-d H:i'),
            ),
            default => SeenFindings::hostKeyChanged($kept, $fingerprint),
        };
    }
}
