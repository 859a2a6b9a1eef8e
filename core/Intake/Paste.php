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
    private const PROMPT = '/^(?:\[?[\w.-]{1,32}@[\w.-]{1,64}[: ][^\n$#%>]{0,80}\]?\s?[$#%]|PS [A-Za-z]:\\\\[^\n>]{0,120}>|[A-Z]:\\\\[^\n>]{0,120}>)[^\n]*$/m';

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

    /** Texts between prompts that are told apart. */
    private const PARTS = 100;

    /** Nobody copies more than this out of a terminal's window, in bytes. */
    private const WINDOW = 64 * 1024;

    /** @param  string  $text  as it came, without what a terminal hides */
    private function __construct(private string $text)
    {
    }

    public static function of(string $text): self
    {
        if (str_contains($text, "\e")) {
            // Colours, titles of the window, and other sequences of a terminal (ECMA-48).
            $text = (string) preg_replace(
                '/\e(?:\[[0-9;?]{0,16}[ -\/]?[@-~]|\][^\x07\e]{0,200}(?:\x07|\e\\\\)|[@-Z\\\\^_])/',
                '',
                $text,
            );
        }
        $text = str_replace(["\r\n", "\u{00A0}"], ["\n", ' '], $text);
        if (preg_match('/&(?:quot|lt|gt|#39|#x27);/', $text) === 1) {
            $text = strtr($text, self::ENTITIES);
        }
        $text = (string) preg_replace('/[ \t\r]+$/m', '', $text);

        // What a progress bar wrote over is gone on the screen, too.
        return new self(str_contains($text, "\r") ? (string) preg_replace('/^[^\n]*\r/m', '', $text) : $text);
    }

    /** The text that the tool printed, if no terminal broke its lines. */
    public static function clean(string $text): string
    {
        return self::of($text)->text();
    }

    public function text(): string
    {
        return (string) preg_replace(self::PROMPT, '', $this->text);
    }

    /**
     * The paste with its lines joined that end at the edge of the window; an empty line stands where a joined one
     * stood. Null when none does. What begins as other lines begin that no edge stands before is a line of its own.
     * Whether the edge was one only the reader can tell: a line may end there by itself.
     */
    public function unwrapped(): ?self
    {
        if (strlen($this->text) > self::WINDOW) {
            return null;
        }
        $joined = explode("\n", $this->text);
        $widths = array_map(mb_strlen(...), $joined);
        $edge = max($widths);
        // A blank at the edge is lost on the way, so the longest line may be one shorter than the window.
        $edge = in_array($edge + 1, self::USUAL, true) ? $edge + 1 : $edge;
        if ($edge < self::NARROWEST || $edge > self::WIDEST) {
            return null;
        }
        $atEdge = fn (int $at): bool => $widths[$at] === $edge ||
            ($widths[$at] === $edge - 1 && in_array($edge, self::USUAL, true));
        $beginnings = [];
        foreach ($joined as $at => $line) {
            $at > 0 && $atEdge($at - 1) ? null : ($beginnings[self::firstWord($line)] = true);
        }
        $into = null;
        $changed = false;
        foreach ($joined as $at => $line) {
            if ($into !== null && $line !== '' && ! isset($beginnings[self::firstWord($line)])) {
                $joined[$into] .= str_repeat(' ', $edge - $widths[$at - 1]).$line;
                $joined[$at] = '';
                $changed = true;
            } else {
                $into = $at;
            }
            $into = $atEdge($at) ? $into : null;
        }

        return $changed ? new self(implode("\n", $joined)) : null;
    }

    /** What a line begins with, its indentation too: of numbers only that they are some, since they differ. */
    private static function firstWord(string $line): string
    {
        preg_match('/^\s*\S*/', $line, $word);

        return (string) preg_replace('/\d+/', '0', $word[0] ?? '');
    }

    /**
     * The texts between prompts, by the number of the line that each begins at, from nought; the whole text when no
     * prompt stands between two.
     *
     * @return array<int, string>
     */
    public function parts(): array
    {
        if (preg_match_all(self::PROMPT, $this->text, $prompts, PREG_OFFSET_CAPTURE) === 0) {
            return [0 => $this->text];
        }
        $parts = [];
        $from = $line = 0;
        foreach ([...array_slice($prompts[0], 0, self::PARTS), [null, strlen($this->text)]] as [$prompt, $at]) {
            $part = substr($this->text, $from, $at - $from);
            if (trim($part) !== '') {
                $parts[$line] = $part;
            }
            $line += substr_count($part, "\n");
            $from = $at + strlen($prompt ?? '');
        }

        return count($parts) > 1 ? $parts : [0 => $this->text()];
    }
}
