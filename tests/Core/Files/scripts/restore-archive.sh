#!/bin/bash
# Brings a copy back of “seeds” of larder. It wants root.
set -euo pipefail
umask 077
export LC_ALL=C
work=$(mktemp -d)
trap '"${ssh[@]}" -O exit "$target" 2>/dev/null || true; rm -rf "$work"' EXIT
name='seeds'
target='copies@copies.example.net'
folder='/srv/copies/larder'
# One connection for all that is asked of the other machine.
ssh=(ssh -o BatchMode=yes -o ControlMaster=auto -o ControlPersist=30 -o ControlPath="$work/ssh" -o ConnectTimeout=20 -p 22 -i '/root/.ssh/other')
say() { echo "backup $name: $*"; }
stop() { say "STOPPED: $*"; exit 1; }
# Each word is quoted once more: the other machine's shell reads it again.
remote() { "${ssh[@]}" "$target" "$(printf '%q ' "$@")"; }
stamps() { remote ls -1 "$folder" | sed 's/\.tar\.gpg$//' | grep -E '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{6}Z$' | sort || true; }
paths=('/srv/store' '/etc/a folder')
into=${1:-}
want=${2:-}
[ -n "$into" ] || stop "say a folder that is not there yet: restore-$name /srv/restored [2026-11-26T023001Z]"
[ ! -e "$into" ] || stop "$into is there already; nothing is written over what is there"
[ -n "$want" ] || want=$(stamps | tail -n 1)
stamps | grep -qxF "$want" || stop "there is no copy ${want:-at all} in $folder at $target"
mkdir -p "$into"
began=$(date +%s)
remote cat "$folder/$want.tar.gpg" | gpg --batch --quiet --homedir "$work" --no-options --decrypt --pinentry-mode loopback --passphrase-file '/root/seeds.key' | tar --extract --preserve-permissions --numeric-owner --directory="$into" || stop "it could not be fetched, or the passphrase is another"
differ=0
for one in "${paths[@]}"; do
    [ -e "$one" ] || { say "$one is gone; it lies in $into$one now"; continue; }
    slash=
    [ ! -d "$one" ] || slash=/
    rsync --archive --checksum --dry-run --delete --itemize-changes -- "$one$slash" "$into$one$slash" >"$work/differs"
    differ=$((differ + $(grep -cv '^\.d\.\.t' "$work/differs" || true)))
    head -n 20 "$work/differs"
done
[ ! -d "$into/database" ] || say "the database's dump lies in $into/database"
say "RESTORED $want into $into files=$(find "$into" -type f | wc -l) differ=$differ seconds=$(($(date +%s) - began))"
