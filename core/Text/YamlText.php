<?php

declare(strict_types=1);

namespace Burrow\Text;

use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * YAML from outside. A key that stands twice is an error here, also where the library only mumbles about it; and a text
 * that is small but unfolds without end (aliases of aliases, brackets in brackets) is refused before anybody walks it.
 */
final class YamlText
{
    /** Of an entry; a list of what was measured may have more. */
    public const MOST_VALUES = 10_000;

    public const MOST_MEASURED = 200_000;

    /**
     * An escape of the first half with that of the second, or of one alone; backslashes before it stand for
     * themselves.
     */
    private const HALVES = '/(?<!\\\\)((?:\\\\\\\\)*)\\\\u(?:(d[89ab][0-9a-f]{2})\\\\u(d[c-f][0-9a-f]{2})|d[89a-f][0-9a-f]{2})/i';

    /** JSON of more bytes is read by PHP's own reader, which is far quicker and keeps the last of a double key. */
    private const LARGE = 262_144;

    private const DEEPEST = 48;

    /**
     * @param  int  $most  values
     *
     * @throws ParseException
     */
    public static function parse(string $text, int $most = self::MOST_VALUES): mixed
    {
        self::checkNesting($text);
        set_error_handler(function (int $level, string $message): bool {
            throw new ParseException(
                str_contains($message, 'Duplicate key')
                    ? substr($message, (int) strpos($message, 'Duplicate key'))
                    : $message,
                preg_match('/on line (\d+)/', $message, $match) === 1 ? (int) $match[1] : -1,
            );
        }, E_USER_DEPRECATED);
        try {
            $data = self::isLargeJson($text)
                ? json_decode($text, true, self::DEEPEST) ?? Yaml::parse(self::joined($text))
                : Yaml::parse(self::joined($text));
        } finally {
            restore_error_handler();
        }
        self::checkValues($data, $most);

        return $data;
    }

    private static function isLargeJson(string $text): bool
    {
        return strlen($text) > self::LARGE && preg_match('/^\s*[{\[]/', $text) === 1;
    }

    /**
     * JSON writes what lies beyond U+FFFF as two halves (RFC 8259 section 7), which YAML 1.2 has one escape for; a half
     * without its other is no letter at all.
     */
    private static function joined(string $text): string
    {
        return preg_match('/^\s*[{\[]/', $text) !== 1
            ? $text
            : (string) preg_replace_callback(
                self::HALVES,
                fn (array $m): string => $m[1].
                    (isset($m[3])
                        ? sprintf(
                            '\\U%08x',
                            0x10000 + (hexdec($m[2]) - 0xD800 << 10) + hexdec($m[3]) - 0xDC00,
                        )
                        : '\\ufffd'),
                $text,
            );
    }

    /** The key that stands twice, when that is the trouble. */
    public static function doubled(ParseException $problem): ?string
    {
        return preg_match('/^Duplicate key "(.*?)" detected/', $problem->getMessage(), $match) === 1
            ? $match[1]
            : null;
    }

    /** The parser calls itself for every level, so levels are counted first: dashes and open brackets of a line. */
    private static function checkNesting(string $text): void
    {
        foreach (explode("\n", $text) as $index => $line) {
            $dashes = substr_count($line, '-', 0, strspn($line, "-?: \t"));
            if (max($dashes, self::openBrackets($line)) > self::DEEPEST) {
                throw new ParseException('Nested deeper than '.self::DEEPEST.' levels', $index + 1);
            }
        }
    }

    private static function openBrackets(string $line): int
    {
        $open = $most = 0;
        $at = strcspn($line, '[]{}');
        while ($at < strlen($line)) {
            $open = $line[$at] === '[' || $line[$at] === '{' ? $open + 1 : max(0, $open - 1);
            $most = max($most, $open);
            $at += 1 + strcspn($line, '[]{}', $at + 1);
        }

        return $most;
    }

    private static function checkValues(mixed $data, int $most): void
    {
        $seen = 0;
        $left = [[$data, 0]];
        while ($left !== []) {
            [$value, $depth] = array_pop($left);
            $seen++;
            if (! is_array($value)) {
                continue;
            }
            if ($seen + count($left) + count($value) > $most) {
                throw new ParseException(
                    'More than '.self::MOST_VALUES.' values, counted with what aliases repeat',
                );
            }
            if ($depth > self::DEEPEST) {
                throw new ParseException('Nested deeper than '.self::DEEPEST.' levels');
            }
            foreach ($value as $inner) {
                $left[] = [$inner, $depth + 1];
            }
        }
    }
}
