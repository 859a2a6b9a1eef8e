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
        # quoted MARK WORD…: in single quotes, with MARK for each quote inside. Another program reads the words again.
        quoted() {
            local mark=\$1 rest out all=
            shift
            for rest; do
                out=
                while [[ \$rest == *\'* ]]; do out+=\${rest%%\'*}\$mark; rest=\${rest#*\'}; done
                all+="'\$out\$rest' "
            done
            printf '%s' "\$all"
        }
        # The other machine's shell, whichever it is.
        remote() { "\${ssh[@]}" "\$target" "\$(quoted "'\\\\''" "\$@")"; }
        stamps() { remote ls -1 "\$folder" | sed 's/\\.tar\\.gpg\$//' | grep -E '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{6}Z\$' | sort || true; }

        SH;
    }

    /** What rsync is told of the other machine: it takes a command apart by itself, and knows two quotes for one. */
    public static function rsync(BackupPlan $plan): string
    {
        // An address with colons stands in brackets.
        $host = str_contains($plan->host, ':') ? "[{$plan->host}]" : $plan->host;
        $at = ShellWord::quoted("{$plan->account}@{$host}");

        return <<<SH
        at={$at}
        rsh=\$(quoted "''" "\${ssh[@]}")

        SH;
    }

    private function __construct()
    {
    }
}
