<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** YAML from outside. A key that stands twice is an error here, also where the library only mumbles about it. */
final class YamlText
{
    /** @throws ParseException */
    public static function parse(string $text): mixed
    {
        set_error_handler(function (int $level, string $message): bool {
            throw new ParseException(
                str_contains($message, 'Duplicate key') ? substr($message, (int) strpos($message, 'Duplicate key')) : $message,
                preg_match('/on line (\d+)/', $message, $match) === 1 ? (int) $match[1] : -1,
            );
        }, E_USER_DEPRECATED);
        try {
            return Yaml::parse($text);
        } finally {
            restore_error_handler();
        }
    }

    /** The key that stands twice, when that is the trouble. */
    public static function doubled(ParseException $problem): ?string
    {
        return preg_match('/^Duplicate key "(.*?)" detected/', $problem->getMessage(), $match) === 1 ? $match[1] : null;
    }
}
