<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Text\ShellWord;

/** What the scripts of a backup share: who they are, how they speak, and how the other machine is reached. */
final class ScriptParts
{
    public static function head(BackupPlan $plan, string $what): string
    {
        $q = ShellWord::quoted(...);
        // What stands behind a number sign ends with its line.
        $box = trim((string) preg_replace('/\p{C}+/u', ' ', $plan->box));

        return <<<SH
        #!/bin/bash
        # {$what} of “{$plan->name}” of {$box}. It wants root.
        set -euo pipefail
        umask 077
        export LC_ALL=C
        work=\$(mktemp -d)
        trap '"\${ssh[@]}" -O exit "\$target" 2>/dev/null || true; rm -rf "\$work"' EXIT
        name={$q($plan->name)}
        target={$q("{$plan->account}@{$plan->host}")}
        folder={$q($plan->folder)}
        # One connection for all that is asked of the other machine.
        ssh=(ssh -o BatchMode=yes -o ControlMaster=auto -o ControlPersist=30 -o ControlPath="\$work/ssh" -o ConnectTimeout=20 -p {$plan->port} -i {$q(
            $plan->identity,
        )})
        say() { echo "backup \$name: \$*"; }
        stop() { say "STOPPED: \$*"; exit 1; }
        # Each word is quoted once more: the other machine's shell reads it again.
        remote() { "\${ssh[@]}" "\$target" "\$(printf '%q ' "\$@")"; }
        stamps() { remote ls -1 "\$folder" | sed 's/\\.tar\\.gpg\$//' | grep -E '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{6}Z\$' | sort || true; }

        SH;
    }

    private function __construct()
    {
    }
}
