<?php

declare(strict_types=1);

namespace Tests\Attack;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use ReflectionClass;

/** Every pattern of the application, and the texts that make patterns slow. */
final class WorstTexts
{
    private const LENGTH = 4000;

    /** @return array<string, string> pattern => the file it stands in */
    public static function patterns(): array
    {
        $patterns = [];
        foreach (['core' => 'Burrow', 'app' => 'App', 'bench' => 'Bench'] as $folder => $namespace) {
            foreach (
                new RecursiveIteratorIterator(
                    new RecursiveDirectoryIterator($folder, FilesystemIterator::SKIP_DOTS),
                ) as $file
            ) {
                if ($file->getExtension() !== 'php') {
                    continue;
                }
                $path = $file->getPathname();
                $found = [
                    ...self::literals((string) file_get_contents($path)),
                    ...self::constants($namespace.strtr(substr($path, strlen($folder), -4), '/', '\\')),
                ];
                foreach (array_filter($found, self::isPattern(...)) as $pattern) {
                    $patterns[$pattern] = $path;
                }
            }
        }

        return $patterns;
    }

    /** @return list<string> texts within the budget of one line: no run of more than 400 blanks */
    public static function against(string $pattern): array
    {
        preg_match_all('/[A-Za-z_]{2,}/', $pattern, $words);
        $atoms = [
            'a',
            '1',
            '"',
            "'",
            '\\',
            '\\"',
            ':',
            ': ',
            'a: ',
            'a:',
            '-',
            '- ',
            '#',
            ' #',
            '[',
            '{',
            '}',
            ',',
            '=',
            'a=',
            '1.',
            '.',
            '/',
            '_',
            '$',
            '$a',
            '&a ',
            '!a ',
            '%',
            'é',
            '<',
            'a b',
            '|',
            '1:',
            "'a",
            '"a',
            'A',
            'a-',
            '+',
            '@',
            '\\\\',
            str_repeat(' ', 380).'x',
            str_repeat("\t", 380).'x',
            ...array_slice(array_unique($words[0]), 0, 12),
            ...array_map(fn (string $word): string => $word.' ', array_slice(array_unique($words[0]), 0, 12)),
        ];
        $texts = [];
        foreach ($atoms as $atom) {
            $long = substr(str_repeat($atom, self::LENGTH), 0, self::LENGTH);
            array_push(
                $texts,
                $long,
                "{$long}\x01",
                '"'.$long."\x01",
                ' '.$long.'"'."\x01",
                "a: {$long}\x01",
                "#{$long}\x01",
                '$6$'.$long."\x01",
            );
        }

        return array_map(fn (string $text): string => mb_scrub($text), $texts);
    }

    /** @return list<string> */
    private static function literals(string $code): array
    {
        $texts = [];
        foreach (token_get_all($code) as $token) {
            if (is_array($token) && $token[0] === T_CONSTANT_ENCAPSED_STRING) {
                $texts[] =
                    $token[1][0] === "'"
                        ? strtr(substr($token[1], 1, -1), ['\\\\' => '\\', "\\'" => "'"])
                        : stripcslashes(substr($token[1], 1, -1));
            }
        }

        return $texts;
    }

    /** @return list<string> */
    private static function constants(string $class): array
    {
        return ! str_contains($class, 'serve') && class_exists($class)
            ? array_values(array_filter((new ReflectionClass($class))->getConstants(), is_string(...)))
            : [];
    }

    private static function isPattern(string $text): bool
    {
        if (strlen($text) <= 4 || preg_match('/^([\/~#]).+\1[imsxuDA]*$/sD', $text) !== 1) {
            return false;
        }
        // Some paths look like a pattern; that they are none is an answer, and no warning.
        set_error_handler(fn (): bool => true);
        try {
            return preg_match($text, '') !== false;
        } finally {
            restore_error_handler();
        }
    }
}
