<?php

declare(strict_types=1);

namespace Burrow\Intake;

/**
 * A text as people paste it, made what the tool printed: without colours, carriage returns, a page's entities, and
 * without the prompt with the command on top. Lines keep their numbers.
 */
final class Paste
{
    /** "warden@wren:~ $ df -h", "root@wren:/# ", "PS C:\Users\desk> ", "desk@mac ~ % ". */
    private const PROMPT = '/^(?:\[?[\w.-]{1,32}@[\w.-]{1,64}[: ][^\n$#%>]{0,80}\]?\s?[$#%]|PS [A-Za-z]:\\\\[^\n>]{0,120}>)(?: [^\n]*)?$/';

    private const ENTITIES = [
        '&quot;' => '"',
        '&lt;' => '<',
        '&gt;' => '>',
        '&#39;' => "'",
        '&#x27;' => "'",
        '&nbsp;' => ' ',
        '&amp;' => '&',
    ];

    public static function clean(string $text): string
    {
        // Colours, titles of the window, and other sequences of a terminal (ECMA-48).
        $text = (string) preg_replace(
            '/\e(?:\[[0-9;?]{0,16}[ -\/]?[@-~]|\][^\x07\e]{0,200}(?:\x07|\e\\\\)|[@-Z\\\\^_])/',
            '',
            $text,
        );
        $text = str_replace(["\r\n", "\u{00A0}"], ["\n", ' '], $text);
        if (preg_match('/&(?:quot|lt|gt|#39|#x27);/', $text) === 1) {
            $text = strtr($text, self::ENTITIES);
        }
        $lines = array_map(function (string $line): string {
            // What a progress bar wrote over is gone on the screen, too.
            $at = strrpos(rtrim($line, "\r"), "\r");
            $line = $at === false ? rtrim($line, "\r") : substr(rtrim($line, "\r"), $at + 1);

            return preg_match(self::PROMPT, $line) === 1 ? '' : rtrim($line);
        }, explode("\n", $text));

        return implode("\n", $lines);
    }
}
