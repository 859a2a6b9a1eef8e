<?php

declare(strict_types=1);

namespace Burrow\Text;

/**
 * YAML as it is read on a box: PyYAML follows YAML 1.1, where `yes`, `no`, `on` and `off` without quotes stand for
 * truth (yaml.org/type/bool.html), and a tab is text inside a block scalar and forbidden before anything else.
 */
final class Yaml11
{
    /** The words that PyYAML's resolver takes for truth and YAML 1.2 takes for text. */
    private const TRUTH = 'yes|Yes|YES|on|On|ON';

    private const UNTRUTH = 'no|No|NO|off|Off|OFF';

    /** A scalar on the line of its key or dash: what is before it, the word, and blanks or a comment. */
    private const LAST_ON_LINE =
        '/^(\s*(?:- +)*+(?:(?:"(?:\\\\.|[^"\\\\])*"|\'(?:\'\'|[^\'])*\'|[^\s"\'#\[\]{},][^#"\']*?)\s*:\s+)?)('.
        self::TRUTH.
        '|'.
        self::UNTRUTH.
        ')(\s*(?:\s#.*)?)$/D';

    /** A scalar between the brackets of a flow; quoted texts are passed over. */
    private const IN_FLOW =
        '/("(?:\\\\.|[^"\\\\])*"|\'(?:\'\'|[^\'])*\')|(?<=[\[,{]|[\[,{:] )('.
        self::TRUTH.
        '|'.
        self::UNTRUTH.
        ')(?=\s*[,}\]])/';

    /** What opens a block scalar: indentation, dashes, and a key with one of the marks | and > at the end. */
    private const OPENS_BLOCK = '/^( *)((?:- +)*+)((?:\S.*?)?:\s+)?(?:[!&]\S+\s+)*[|>][-+1-9]{0,2}\s*(?:\s#.*)?$/D';

    /** The same text for a reader of YAML 1.2. */
    public static function toYaml12(string $yaml): string
    {
        $lines = self::dedented(explode("\n", $yaml));
        foreach (self::outsideBlocks($lines) as $at => $line) {
            if (preg_match(self::LAST_ON_LINE, $line, $match) === 1 && trim($match[1]) !== '') {
                $lines[$at] = $match[1].self::word($match[2]).$match[3];
            } elseif (preg_match('/[\[{]/', $line) === 1) {
                $lines[$at] = (string) preg_replace_callback(
                    self::IN_FLOW,
                    fn (array $match): string => $match[1] !== '' ? $match[1] : self::word($match[2]),
                    $line,
                );
            }
        }

        return implode("\n", $lines);
    }

    /** The first line (from 1) with a tab in it that is no text, or null. */
    public static function tabbedLine(string $yaml): ?int
    {
        foreach (self::outsideBlocks(explode("\n", $yaml)) as $at => $line) {
            if (str_contains(self::bare($line), "\t")) {
                return $at + 1;
            }
        }

        return null;
    }

    /**
     * The first line (from 1) that PyYAML refuses while more lenient readers find a sense in it, or null: keys below an
     * item that is a text already (most often a colon was forgotten), a dash or bracket where a text should begin.
     */
    public static function refusedLine(string $yaml): ?int
    {
        $item = null;
        foreach (self::outsideBlocks(explode("\n", $yaml)) as $at => $line) {
            $bare = rtrim(self::bare($line));
            if ($bare === '') {
                continue;
            }
            $indent = strspn($bare, ' ');
            if ($item !== null && $indent > $item && preg_match('/:(?:\s|$)/', $bare) === 1) {
                return $at + 1;
            }
            $item = preg_match('/^ *- +(?![\[{&*!|>\'"-])(?!.*:(?:\s|$))/', $bare) === 1 ? $indent : null;
            // Between brackets a value may be missing.
            if (
                preg_match('/^[^\[{]*?:\s+(?:[-?](?:\s|$)|[\]},])|[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $bare) === 1
            ) {
                return $at + 1;
            }
        }

        return null;
    }

    /**
     * The lines that are no part of a block scalar, by their number from 0.
     *
     * @param  list<string>  $lines
     * @return array<int, string>
     */
    private static function outsideBlocks(array $lines): array
    {
        $outside = [];
        // Indentation of what holds the block scalar, and of its text once a line of it was seen.
        $holder = null;
        $text = null;
        foreach ($lines as $at => $line) {
            $indent = strspn($line, ' ');
            if ($holder !== null) {
                if (trim($line, " \r") === '' || $indent >= ($text ?? $holder + 1)) {
                    $text ??= trim($line, " \r") === '' ? null : $indent;

                    continue;
                }
                $holder = $text = null;
            }
            $outside[$at] = $line;
            if (
                preg_match(self::OPENS_BLOCK, rtrim($line, "\r"), $match) === 1 &&
                ($match[2] !== '' || ($match[3] ?? '') !== '')
            ) {
                // A key after dashes stands deeper than they do; a dash alone holds its text itself.
                $holder =
                    strlen($match[1]) +
                    (($match[3] ?? '') === '' ? max(0, strlen($match[2]) - 2) : strlen($match[2]));
            }
        }

        return $outside;
    }

    /**
     * PyYAML lets the whole text stand in from the margin.
     *
     * @param  list<string>  $lines
     * @return list<string>
     */
    private static function dedented(array $lines): array
    {
        $written = array_filter($lines, fn (string $line): bool => preg_match('/^\s*(?:#|$)/', $line) !== 1);
        $margin = $written === [] ? 0 : min(array_map(fn (string $line): int => strspn($line, ' '), $written));

        return $margin === 0
            ? $lines
            : array_map(fn (string $line): string => substr($line, min($margin, strspn($line, ' '))), $lines);
    }

    /** A line without its quoted texts and its comment. */
    private static function bare(string $line): string
    {
        return (string) preg_replace(
            '/(^|[\s\[{,:])(?:"(?:\\\\.|[^"\\\\])*"|\'(?:\'\'|[^\'])*\')|(?:^|(?<= ))#.*$/',
            '$1""',
            $line,
        );
    }

    private static function word(string $word): string
    {
        return in_array($word, explode('|', self::TRUTH), true) ? 'true' : 'false';
    }
}
