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

    /**
     * The line to look at when a text does not parse: where a quote or bracket opens and is not closed, which a
     * parser only notices at the end of the text; else the line that the parser named.
     *
     * @param  int  $reported  from 1; less when the parser named none
     */
    public static function trouble(string $yaml, int $reported): ?int
    {
        foreach (explode("\n", $yaml) as $index => $line) {
            if (preg_match('/^\s*(?:- )*(?:[^\s"\'#][^"\'#]*?:\s+)?(["\'])(.*)$/', $line, $match) === 1 && ! self::closes($match[2], $match[1])) {
                return $index + 1;
            }
        }

        foreach (explode("\n", $yaml) as $index => $line) {
            $bare = (string) preg_replace('/"(?:\\\\.|[^"\\\\])*"|\'[^\']*\'|#.*$/', '', $line);
            if (substr_count($bare, '[') > substr_count($bare, ']') || substr_count($bare, '{') > substr_count($bare, '}')) {
                return $index + 1;
            }
        }

        return $reported > 0 ? min($reported, 1 + substr_count($yaml, "\n")) : null;
    }

    private static function closes(string $rest, string $quote): bool
    {
        $plain = $quote === '"' ? (string) preg_replace('/\\\\./', '', $rest) : str_replace("''", '', $rest);

        return str_contains($plain, $quote);
    }
}
