<?php

declare(strict_types=1);

namespace Burrow\Text;

use Symfony\Component\Yaml\Exception\ParseException;

/** Finds the line of a value in a YAML text written in block style, one key a line. */
final readonly class YamlLines
{
    /** @var list<string> */
    private array $lines;

    /** @var list<int> blanks at the front of each line */
    private array $indents;

    public function __construct(string $yaml)
    {
        $this->lines = explode("\n", $yaml);
        $this->indents = array_map(fn (string $line): int => strspn($line, " \t\r"), $this->lines);
    }

    /** A line by its number from 1, or nothing. */
    public function line(int $number): string
    {
        return $this->lines[$number - 1] ?? '';
    }

    /**
     * The line (from 1) on which the value at a path stands, or the nearest one above it that can be found.
     *
     * @param  list<mixed>  $path
     */
    public function locate(array $path): int
    {
        $at = -1;
        $inItem = false;
        foreach ($path as $key) {
            // An item's first key may stand on the line of its dash.
            $from = $inItem && ! is_int($key) ? $at : $at + 1;
            $level =
                $inItem && ! is_int($key) && ! $this->isBareDash($at)
                    ? $this->behindDash($at)
                    : $this->levelBelow($at, is_int($key));
            $found = $level === null ? null : $this->below($from, $level, $key);
            if ($found === null) {
                break;
            }
            [$at, $inItem] = [$found, is_int($key)];
        }

        return max(1, $at + 1);
    }

    /** How far in what belongs to a line stands; null when nothing does. */
    private function levelBelow(int $at, bool $isList): ?int
    {
        for ($i = $at + 1; $i < count($this->lines); $i++) {
            if ($this->isContent($i)) {
                $deeper =
                    $at < 0 ||
                    $this->indents[$i] >
                        ($this->hasDash($at) && ! $this->isBareDash($at) && ! $isList
                            ? $this->behindDash($at)
                            : $this->indents[$at]);

                return $deeper ||
                    ($isList && $this->hasDash($i) && $this->indents[$i] === $this->indents[$at])
                    ? $this->indents[$i]
                    : null;
            }
        }

        return null;
    }

    private function below(int $from, int $level, mixed $key): ?int
    {
        $skip = is_int($key) ? $key : 0;
        for ($i = $from; $i < count($this->lines); $i++) {
            if ($i > $from && $this->isContent($i) && $this->indents[$i] < $level) {
                return null;
            }
            $depth = is_int($key)
                ? ($this->hasDash($i)
                    ? $this->indents[$i]
                    : null)
                : $this->depthOf($i, is_scalar($key) ? (string) $key : '');
            if ($depth === $level && $skip-- === 0) {
                return $i;
            }
        }

        return null;
    }

    private function isContent(int $at): bool
    {
        $first = $this->lines[$at][$this->indents[$at]] ?? '#';

        return $first !== '#' && ! ($this->indents[$at] === 0 && str_starts_with($this->lines[$at], '---'));
    }

    private function hasDash(int $at): bool
    {
        return preg_match('/^\s*-(?:\s|$)/', $this->lines[$at]) === 1;
    }

    /** An item whose value begins on a line below. */
    private function isBareDash(int $at): bool
    {
        return preg_match('/^\s*-\s*(?:#.*)?$/', $this->lines[$at]) === 1;
    }

    /** How far in the value of an item stands that begins on its line. */
    private function behindDash(int $at): int
    {
        $dash = $this->indents[$at] + 1;

        return $dash + strspn($this->lines[$at], ' ', $dash);
    }

    /** How far in the key stands on this line, with or without a dash before it; null when it does not. */
    private function depthOf(int $at, string $key): ?int
    {
        $line = $this->lines[$at];
        foreach (
            $this->hasDash($at) ? [$this->behindDash($at), $this->indents[$at]] : [$this->indents[$at]] as $depth
        ) {
            if (strspn($line, '"\'', $depth, 1) === 1) {
                if (self::quotedKey(substr($line, $depth)) === $key) {
                    return $depth;
                }

                continue;
            }
            $end = $depth + strlen($key);
            if (
                substr_compare($line, $key, min($depth, strlen($line)), strlen($key)) === 0 &&
                ($line[$end + strspn($line, " \t\r", $end)] ?? '') === ':'
            ) {
                return $depth;
            }
        }

        return null;
    }

    /** What a key in quotes says; null when there is no whole one at the beginning. */
    private static function quotedKey(string $text): ?string
    {
        if (preg_match('/^(?:"((?:\\\\.|[^"\\\\])*+)"|\'((?:\'\'|[^\'])*+)\')\s*+:/', $text, $match) !== 1) {
            return null;
        }
        if ($text[0] === "'") {
            return str_replace("''", "'", $match[2] ?? '');
        }
        try {
            $said = str_contains($match[1], '\\') ? YamlText::parse("\"{$match[1]}\"") : $match[1];
        } catch (ParseException) {
            return null;
        }

        return is_string($said) ? $said : null;
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
            if (
                preg_match('/^\s*(?:- )*+(?:[^\s"\'#][^"\'#]*?:\s+)?(["\'])(.*)$/', $line, $match) === 1 &&
                ! self::closes($match[2], $match[1])
            ) {
                return $index + 1;
            }
        }

        foreach (explode("\n", $yaml) as $index => $line) {
            $bare = (string) preg_replace('/"(?:\\\\.|[^"\\\\])*"|\'[^\']*\'|#.*$/', '', $line);
            if (
                substr_count($bare, '[') > substr_count($bare, ']') ||
                substr_count($bare, '{') > substr_count($bare, '}')
            ) {
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
