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
    private const MOST_VALUES = 10_000;

    private const DEEPEST = 48;

    /** @throws ParseException */
    public static function parse(string $text): mixed
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
            $data = Yaml::parse($text);
        } finally {
            restore_error_handler();
        }
        self::checkValues($data);

        return $data;
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

    private static function checkValues(mixed $data): void
    {
        $seen = 0;
        $left = [[$data, 0]];
        while ($left !== []) {
            [$value, $depth] = array_pop($left);
            $seen++;
            if (! is_array($value)) {
                continue;
            }
            if ($seen + count($left) + count($value) > self::MOST_VALUES) {
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
