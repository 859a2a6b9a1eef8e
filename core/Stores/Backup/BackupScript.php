<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Text\ShellWord;

/**
 * The script that makes one copy: dated, whole or not there at all, and then the old ones that need not be kept go.
 * Nothing is copied of a folder that is not there or is empty: a disk that is not mounted would empty a good copy.
 */
final class BackupScript
{
    public static function of(BackupPlan $plan): string
    {
        return ScriptParts::head($plan, 'One more copy').
            self::begin($plan).
            self::dump($plan).
            ($plan->isEncrypted() ? self::archive($plan) : self::folders($plan)).
            self::prune($plan);
    }

    private static function begin(BackupPlan $plan): string
    {
        $paths = implode(' ', array_map(ShellWord::quoted(...), $plan->paths));

        return <<<SH
        paths=({$paths})
        exec 9>"/run/lock/backup-\$name"
        flock --nonblock 9 || stop "another one is under way"
        began=\$(date +%s)
        # below all|disks: the file systems at, above or below what is copied, but for the root; disks are those that
        # somebody has to mount.
        below() {
            local which=\$1 mount source options one
            shift
            # It fails where fstab names nothing.
            { findmnt --noheadings --raw --output TARGET,SOURCE,OPTIONS "\$@" || [ "\${1:-}" = --fstab ]; } | while read -r mount source options; do
                case ,\$options, in *,noauto,*) continue ;; esac
                if [ "\$which" = disks ]; then
                    case \$source in /dev/loop*) continue ;; /dev/* | *:* | //*) ;; *) continue ;; esac
                fi
                mount=\$(printf '%b' "\$mount")
                for one in "\${paths[@]}"; do
                    case \$mount/ in // | "\$one"/*) ;; *) case \$one/ in "\$mount"/*) ;; *) continue ;; esac ;; esac
                    [ "\$mount" = / ] || echo "\$mount"
                done
            done | sort -u
        }
        mounts=/var/lib/backup/\$name.mounts
        for one in "\${paths[@]}"; do
            [ -e "\$one" ] || [ -L "\$one" ] || stop "\$one is not there; is its disk mounted?"
            real=\$(readlink -f -- "\$one") || real=
            [ "\$real" = "\$one" ] || stop "\$one leads to \${real:-nowhere} by a symbolic link, and nothing behind a link is copied; name the folder itself"
        done
        # Each disk that belongs there, by fstab or at the last copy, has to be there now.
        { below all --fstab; cat "\$mounts" 2>/dev/null || true; } | sort -u >"\$work/expected"
        below all >"\$work/mounted" || stop "what is mounted could not be listed; nothing was copied"
        away=\$(comm -23 "\$work/expected" "\$work/mounted" | head -n 1)
        [ -z "\$away" ] || stop "\$away is not mounted; nothing was copied. If no disk belongs there any more: take it out of /etc/fstab and remove \$mounts"
        for one in "\${paths[@]}"; do
            if [ -d "\$one" ] && [ -z "\$(ls -A "\$one")" ]; then stop "\$one is empty; is its disk mounted? Nothing was copied"; fi
        done
        remote mkdir -p "\$folder" || stop "\$target does not let this box in, or cannot make \$folder"
        stamp=\$(date -u +%Y-%m-%dT%H%M%SZ)

        SH;
    }

    private static function dump(BackupPlan $plan): string
    {
        $file = ShellWord::quoted($plan->databaseFile ?? '');
        // The program makes an empty database where there is none.
        $there = $plan->database === 'sqlite'
            ? "[ -s {$file} ] || stop {$file}\" is not there or empty; nothing was copied\"\n"
            : '';
        $command = match ($plan->database) {
            'mariadb' => 'mariadb-dump --all-databases --single-transaction --routines --events >"$work/database/mariadb.sql"',
            'postgresql' => 'runuser -u postgres -- pg_dumpall >"$work/database/postgresql.sql"',
            'sqlite' => "sqlite3 {$file} \".backup '\$work/database/sqlite.db'\"",
            default => null,
        };

        return $command === null
            ? ''
            : <<<SH
            mkdir "\$work/database"
            {$there}{$command} || stop "the database could not be dumped; nothing was copied"
            paths+=("\$work/./database")

            SH;
    }

    private static function folders(BackupPlan $plan): string
    {
        return ScriptParts::rsync($plan).
            <<<'SH'
        last=$(stamps | tail -n 1)
        link=()
        [ -z "$last" ] || link=(--link-dest="../$last")
        remote rm -rf "$folder/.partial"
        remote mkdir "$folder/.partial"
        status=0
        rsync --archive --hard-links --numeric-ids --protect-args --relative --delete --timeout=300 --stats "${link[@]}" \
            --rsh="$rsh" -- "${paths[@]}" "$at:$folder/.partial/" >"$work/stats" || status=$?
        # 24: a file went away while it was being read, as files do.
        [ "$status" -eq 0 ] || [ "$status" -eq 24 ] || stop "it broke off (rsync says $status); the copies of before are untouched"
        remote mv "$folder/.partial" "$folder/$stamp"
        files=$(sed -n 's/^Number of files: \([0-9,]*\).*/\1/p' "$work/stats" | tr -d ,)
        bytes=$(sed -n 's/^Total transferred file size: \([0-9,]*\).*/\1/p' "$work/stats" | tr -d ,)
        total=$(sed -n 's/^Total file size: \([0-9,]*\).*/\1/p' "$work/stats" | tr -d ,)
        suffix=''

        SH;
    }

    private static function archive(BackupPlan $plan): string
    {
        $key = ShellWord::quoted($plan->passphraseFile());

        return <<<SH
        key={$key}
        [ -s "\$key" ] || stop "the passphrase in \$key is missing"
        suffix=.tar.gpg
        # Relative names, so that it unpacks below any folder.
        names=()
        for one in "\${paths[@]}"; do
            case \$one in
                */./*) names+=(--directory="\${one%%/./*}" "\${one##*/./}") ;;
                *) names+=(--directory=/ "./\${one#/}") ;;
            esac
        done
        # 1: a file changed while it was being read, as files do.
        { tar --create --numeric-owner --totals "\${names[@]}" 2>"\$work/totals" || [ \$? -eq 1 ]; } \
            | gpg --batch --quiet --homedir "\$work" --no-options --symmetric --cipher-algo AES256 --pinentry-mode loopback --passphrase-file "\$key" \
            | tee >(sha256sum >"\$work/sum") | remote sh -c "cat >\"\\\$1/.partial\"" sh "\$folder" || stop "it broke off; the copies of before are untouched"
        there=\$(remote sha256sum "\$folder/.partial" | cut -d ' ' -f 1)
        for _ in 1 2 3 4 5; do [ -s "\$work/sum" ] && break; sleep 1; done
        [ "\$there" = "\$(cut -d ' ' -f 1 "\$work/sum")" ] || stop "what arrived is not what was sent; the copies of before are untouched"
        remote mv "\$folder/.partial" "\$folder/\$stamp\$suffix"
        files=0
        bytes=\$(sed -n 's/^Total bytes written: \([0-9]*\).*/\\1/p' "\$work/totals")
        total=\$bytes

        SH;
    }

    /** The same choice as Keep makes, in awk: what it prints may go. */
    private static function prune(BackupPlan $plan): string
    {
        $keep = $plan->keep;

        return <<<SH
        stamps | sort -r | awk -v d={$keep->daily} -v w={$keep->weekly} -v m={$keep->monthly} -v y={$keep->yearly} '
            # Days since 1970 of a date of the Gregorian calendar; the first Monday of 1970 was the fifth of January.
            function days(Y, M, D) { if (M < 3) { Y--; M += 12 } return 365 * Y + int(Y / 4) - int(Y / 100) + int(Y / 400) + int((153 * (M - 3) + 2) / 5) + D - 719469 }
            {
                Y = substr(\$0, 1, 4) + 0; M = substr(\$0, 6, 2) + 0; D = substr(\$0, 9, 2) + 0
                n = days(Y, M, D); keep = NR == 1
                if (!(n in day) && nd < d) { day[n]; nd++; keep = 1 }
                k = int((n + 3) / 7); if (!(k in week) && nw < w) { week[k]; nw++; keep = 1 }
                k = Y * 12 + M; if (!(k in month) && nm < m) { month[k]; nm++; keep = 1 }
                if (!(Y in year) && ny < y) { year[Y]; ny++; keep = 1 }
                if (!keep) print
            }' >"\$work/gone"
        mapfile -t gone <"\$work/gone"
        old=()
        for one in "\${gone[@]}"; do old+=("\$folder/\$one\$suffix"); done
        [ \${#old[@]} -eq 0 ] || remote rm -rf "\${old[@]}" || stop "the old copies could not be taken away"
        mkdir -p "\${mounts%/*}"
        below disks >"\$mounts"
        say "OK \$stamp files=\${files:-0} sent=\${bytes:-0} total=\${total:-0} seconds=\$((\$(date +%s) - began)) kept=\$(stamps | wc -l)"

        SH;
    }

    private function __construct()
    {
    }
}
