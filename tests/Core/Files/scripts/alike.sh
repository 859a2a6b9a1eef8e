#!/bin/sh
# Says what lies in the folder. Run it at both ends, with the folder's path there, and paste both.
[ $# -gt 0 ] || set -- '/srv/the warden'\''s'
cd -- "$1" || exit 1
list=$(mktemp) || exit 1
trap 'rm -f "$list"' EXIT
find . -type f -exec sh -c 'for one; do printf "%s %s\n" "$(wc -c <"$one" | tr -d " ")" "$one"; done' sh {} + |
    LC_ALL=C sort >"$list"
# A file whose name says so is one that both sides had changed.
grep -i conflict "$list" | sed 's/^/conflict /'
sum=$(grep -vi conflict "$list" | { sha256sum 2>/dev/null || shasum -a 256; } | cut -c 1-64)
printf 'alike %s %s %s\n' "$(grep -vic conflict "$list")" "$sum" "$(uname -n):$PWD"
