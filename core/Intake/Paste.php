<?php

declare(strict_types=1);

namespace Burrow\Intake;

/**
 * A text as people paste it, made what the tool printed: without colours, carriage returns, a page's entities, and
 * without the prompt with the command on top. Lines keep their numbers.
 */
final readonly class Paste
{
    /** "warden@wren:~ $ df -h", "root@wren:/# ", "PS C:\Users\desk> ", "desk@mac ~ % ". */
    private const PROMPT = '/^(?:\[?[\w.-]{1,32}@[\w.-]{1,64}[: ][^\n$#%>]{0,80}\]?\s?[$#%]|PS [A-Za-z]:\\\\[^\n>]{0,120}>|[A-Z]:\\\\[^\n>]{0,120}>)(?:[^\n]*)?$/';

    private const ENTITIES = [
        '&quot;' => '"',
        '&lt;' => '<',
        '&gt;' => '>',
        '&#39;' => "'",
        '&#x27;' => "'",
        '&nbsp;' => ' ',
        '&amp;' => '&',
    ];

    /** Columns of a terminal that breaks lines; below and above nobody copies whole lists from one. */
    private const NARROWEST = 80;

    private const WIDEST = 250;

    /** Widths that terminals are opened with. */
    private const USUAL = [80, 100, 120, 132, 160];

    /** Nobody copies more than this out of a terminal's window, in bytes. */
    private const WINDOW = 64 * 1024;

    /** @param  list<string>  $lines  as they came, without what a terminal hides */
    private function __construct(private array $lines)
    {
    }

    public static function of(string $text): self
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

        return new self(
            array_map(function (string $line): string {
                // What a progress bar wrote over is gone on the screen, too.
                $at = strrpos(rtrim($line, "\r"), "\r");

                return rtrim($at === false ? rtrim($line, "\r") : substr(rtrim($line, "\r"), $at + 1));
            }, explode("\n", $text)),
        );
    }

    /** The text that the tool printed, if no terminal broke its lines. */
    public static function clean(string $text): string
    {
        return self::of($text)->text();
    }

    public function text(): string
    {
        return implode(
            "\n",
            array_map(fn (string $line): string => preg_match(self::PROMPT, $line) === 1 ? '' : $line, $this->lines),
        );
    }

    /**
     * The paste with its lines joined that end at the edge of the window; an empty line stands where a joined one
     * stood. Null when none does. Whether the edge was one only the reader can tell: a line may end there by itself.
     */
    public function unwrapped(): ?self
    {
        $widths = array_map(mb_strlen(...), $this->lines);
        $edge = max([0, ...$widths]);
        if ($edge > self::WIDEST || array_sum($widths) > self::WINDOW) {
            return null;
        }
        // A blank at the edge is lost on the way, so the longest line may be one shorter than the window.
        $edge = in_array($edge + 1, self::USUAL, true) ? $edge + 1 : $edge;
        if ($edge < self::NARROWEST) {
            return null;
        }
        $joined = $this->lines;
        $into = null;
        $changed = false;
        foreach ($joined as $at => $line) {
            if ($into !== null && $line !== '') {
                $joined[$into] .= str_repeat(' ', $edge - $widths[$at - 1]).$line;
                $joined[$at] = '';
                $changed = true;
            } else {
                $into = $at;
            }
            $into =
                $widths[$at] === $edge || ($widths[$at] === $edge - 1 && in_array($edge, self::USUAL, true))
                    ? $into
                    : null;
        }

        return $changed ? new self(array_values($joined)) : null;
    }

    /**
     * The texts between prompts, each with the lines of the others empty, so that numbers stay; the whole text once
     * when no prompt stands between two.
     *
     * @return list<string>
     */
    public function parts(): array
    {
        $parts = [];
        $from = 0;
        $prompts = array_keys(
            array_filter($this->lines, fn (string $line): bool => preg_match(self::PROMPT, $line) === 1),
        );
        foreach (array_slice([...$prompts, count($this->lines)], 0, 100) as $end) {
            $lines = array_slice($this->lines, $from, $end - $from);
            if (trim(implode('', $lines)) !== '') {
                $parts[] = str_repeat("\n", $from).implode("\n", $lines);
            }
            $from = $end + 1;
        }

        return count($parts) > 1 ? $parts : [$this->text()];
    }
}
