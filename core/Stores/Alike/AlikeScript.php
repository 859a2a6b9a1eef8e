<?php

declare(strict_types=1);

namespace Burrow\Stores\Alike;

use Burrow\Text\ShellWord;

/**
 * A script that says what lies in a folder, in one line: how many files, and one sum over all their sizes and names.
 * The same line at both ends means that both hold the same names in the same sizes. It changes nothing, and runs on
 * dash, busybox and the shells of three desk systems.
 */
final class AlikeScript
{
    /** @param  string  $folder  whole path at the end where it runs */
    public static function of(string $folder): string
    {
        $folder = ShellWord::quoted($folder);

        return <<<SH
        #!/bin/sh
        # Says what lies in the folder. Run it at both ends, with the folder's path there, and paste both.
        [ \$# -gt 0 ] || set -- {$folder}
        cd -- "\$1" || exit 1
        list=\$(mktemp) || exit 1
        trap 'rm -f "\$list"' EXIT
        find . -type f -exec sh -c 'for one; do printf "%s %s\\n" "\$(wc -c <"\$one" | tr -d " ")" "\$one"; done' sh {} + |
            LC_ALL=C sort >"\$list"
        # A file whose name says so is one that both sides had changed.
        grep -i conflict "\$list" | sed 's/^/conflict /'
        sum=\$(grep -vi conflict "\$list" | { sha256sum 2>/dev/null || shasum -a 256; } | cut -c 1-64)
        printf 'alike %s %s %s\\n' "\$(grep -vic conflict "\$list")" "\$sum" "\$(uname -n):\$PWD"

        SH;
    }

    private function __construct()
    {
    }
}
