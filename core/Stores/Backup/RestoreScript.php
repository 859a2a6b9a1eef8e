<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Text\ShellWord;

/**
 * The script that brings a copy back: always into a folder of its own, never over what is there, and then it says how
 * the two differ. That is how a copy is tried, too.
 */
final class RestoreScript
{
    public static function of(BackupPlan $plan): string
    {
        $paths = implode(' ', array_map(ShellWord::quoted(...), $plan->paths));
        $fetch = $plan->isEncrypted() ? self::archive($plan) : self::folders($plan);

        return ScriptParts::head($plan, 'Brings a copy back').
            <<<SH
            paths=({$paths})
            into=\${1:-}
            want=\${2:-}
            [ -n "\$into" ] || stop "say a folder that is not there yet: restore-\$name /srv/restored [2026-11-26T023001Z]"
            [ ! -e "\$into" ] || stop "\$into is there already; nothing is written over what is there"
            [ -n "\$want" ] || want=\$(stamps | tail -n 1)
            stamps | grep -qxF "\$want" || stop "there is no copy \${want:-at all} in \$folder at \$target"
            mkdir -p "\$into"
            began=\$(date +%s)
            {$fetch}
            differ=0
            for one in "\${paths[@]}"; do
                [ -e "\$one" ] || { say "\$one is gone; it lies in \$into\$one now"; continue; }
                slash=
                [ ! -d "\$one" ] || slash=/
                rsync --archive --checksum --dry-run --delete --itemize-changes -- "\$one\$slash" "\$into\$one\$slash" >"\$work/differs"
                differ=\$((differ + \$(grep -cv '^\.d\.\.t' "\$work/differs" || true)))
                head -n 20 "\$work/differs"
            done
            [ ! -d "\$into/database" ] || say "the database's dump lies in \$into/database"
            say "RESTORED \$want into \$into files=\$(find "\$into" -type f | wc -l) differ=\$differ seconds=\$((\$(date +%s) - began))"

            SH;
    }

    private static function folders(BackupPlan $plan): string
    {
        return ScriptParts::rsync($plan).
            'rsync --archive --hard-links --numeric-ids --protect-args --rsh="$rsh" -- "$at:$folder/$want/" "$into/" || stop "it could not be fetched"';
    }

    private static function archive(BackupPlan $plan): string
    {
        $key = ShellWord::quoted($plan->passphraseFile());

        return 'remote cat "$folder/$want.tar.gpg" '.
            '| gpg --batch --quiet --homedir "$work" --no-options --decrypt --pinentry-mode loopback --passphrase-file '.
            $key.
            ' | tar --extract --preserve-permissions --numeric-owner --directory="$into" || stop "it could not be fetched, or the passphrase is another"';
    }

    private function __construct()
    {
    }
}
