<?php

declare(strict_types=1);

namespace Bench\Board;

use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** A settings file of a card as a board reads it: by YAML 1.1, and all of it or nothing. */
final class Settings
{
    private const TRUTH = ['yes' => 'true', 'on' => 'true', 'no' => 'false', 'off' => 'false'];

    /** @return ?array<mixed> null when it cannot be read or holds no keys */
    public static function read(string $text): ?array
    {
        $text = str_replace("\r\n", "\n", (string) preg_replace('/^\xEF\xBB\xBF/', '', $text));
        // Keys below an item that is a text already.
        if (preg_match('/^( *)- +[^\s:\[{&*!|>\'"#-][^:\n]*\n\1 +\S.*:(?:\s|$)/m', $text) === 1) {
            return null;
        }
        $lines = explode("\n", $text);
        $block = null;
        foreach ($lines as $at => $line) {
            $depth = strspn($line, ' ');
            if ($block !== null && (trim($line) === '' || $depth > $block)) {
                continue;
            }
            $block = preg_match('/^ *(?:- +)*\S+: +[|>][-+0-9]*$/', $line) === 1 ? $depth : null;
            if (preg_match('/^ *\t|:\t/', $line) === 1) {
                return null;
            }
            $lines[$at] = preg_replace_callback(
                '/(?<=: |- |\[|, )(yes|no|on|off)(?=\s*(?:$|#|,|\]|\}))/i',
                fn (array $match): string => self::TRUTH[strtolower($match[0])],
                $line,
            );
        }
        try {
            $data = @Yaml::parse(implode("\n", $lines));
        } catch (ParseException) {
            return null;
        }

        return is_array($data) && ($data === [] || ! array_is_list($data)) ? $data : null;
    }
}
