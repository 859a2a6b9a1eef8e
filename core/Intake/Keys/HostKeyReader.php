<?php

declare(strict_types=1);

namespace Burrow\Intake\Keys;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Net\SshPublicKey;

/** `ssh-keyscan` output and known_hosts lines: host, key type, key. */
final class HostKeyReader implements Reader
{
    public function kind(): string
    {
        return 'hostkeys';
    }

    public function summary(): string
    {
        return 'ssh-keyscan HOST, or lines of a known_hosts file';
    }

    public function sign(): string
    {
        return '/(?:^|\s)(?:ssh-(?:ed25519|rsa|dss)|ecdsa-sha2-\S+) AAAA|SHA256:[A-Za-z0-9+\/]{43}/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $keys = [];
        foreach (explode("\n", $text) as $index => $line) {
            $words = preg_split('/\s+/', trim($line), -1, PREG_SPLIT_NO_EMPTY) ?: [];
            if ($words === [] || str_starts_with($words[0], '#')) {
                continue;
            }
            $words = str_starts_with($words[0], '@') ? array_slice($words, 1) : $words;
            $key = SshPublicKey::tryOf($words[1] ?? '', $words[2] ?? '');
            $key === null ? $unread->add($index + 1, 'it holds no host key that decodes') : ($keys[] = $key);
        }
        $findings = $unread->findings();

        return new Reading(
            $this->kind(),
            $keys,
            $keys !== [] ? $findings : $findings->and([IntakeFindings::noHostKey()]),
        );
    }
}
