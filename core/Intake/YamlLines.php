<?php

declare(strict_types=1);

namespace Burrow\Intake;

/** Finds the line of a value in a YAML text written in block style, one key a line. */
final class YamlLines
{
    /**
     * The line (from 1) on which the value at a path stands, or the nearest one above it that can be found.
     *
     * @param  list<mixed>  $path
     */
    public static function locate(string $yaml, array $path): int
    {
        $lines = explode("\n", $yaml);
        $at = -1;
        $indent = -1;
        foreach ($path as $key) {
            $skip = is_int($key) ? $key : 0;
            $shape = is_int($key) ? '/^(\s*)- /' : '/^(\s*(?:- )?)["\']?'.preg_quote((string) $key, '/').'["\']?\s*:/';
            $level = null;
            // An item's first key may stand on the line of its dash.
            for ($i = max(0, is_int($key) || $at < 0 || ! preg_match('/^\s*- /', $lines[$at]) ? $at + 1 : $at); $i < count($lines); $i++) {
                if (trim($lines[$i]) === '' || preg_match($shape, $lines[$i], $match) !== 1) {
                    continue;
                }
                $depth = strlen($match[1]);
                $level ??= $depth;
                if ($depth <= $indent && ! is_int($key)) {
                    break;
                }
                if ($depth === $level && $skip-- === 0) {
                    [$at, $indent] = [$i, $depth];
                    break;
                }
            }
        }

        return max(1, $at + 1);
    }
}
