<?php

declare(strict_types=1);

namespace Burrow\Upkeep;

/**
 * A version of a Debian package in its order (Debian Policy 5.6.12): epoch, then upstream version, then revision, each
 * taken apart into what is no digits and what is, from the left.
 */
final readonly class DebianVersion
{
    private function __construct(
        private string $text,
        private string $epoch,
        private string $upstream,
        private string $revision,
    ) {
    }

    /**
     * Null for what dpkg would not take: blanks inside, an epoch that is no number, letters that versions do not
     * have.
     */
    public static function tryParse(string $text): ?self
    {
        $text = trim($text);
        $colon = strpos($text, ':');
        $epoch = $colon === false ? '0' : substr($text, 0, $colon);
        $rest = $colon === false ? $text : substr($text, $colon + 1);
        $hyphen = strrpos($rest, '-');
        $upstream = $hyphen === false ? $rest : substr($rest, 0, $hyphen);
        $revision = $hyphen === false ? '' : substr($rest, $hyphen + 1);
        $taken =
            preg_match('/^\d{1,10}$/D', $epoch) === 1 &&
            (int) $epoch <= 2_147_483_647 &&
            preg_match('/^[0-9][A-Za-z0-9.+:~-]*$/D', $upstream) === 1 &&
            ($hyphen === false || preg_match('/^[A-Za-z0-9.+~]+$/D', $revision) === 1);

        return $taken ? new self($text, $epoch, $upstream, $revision) : null;
    }

    /** Below 0 when this one is the older, above 0 when it is the newer one. */
    public function compare(self $other): int
    {
        return (int) $this->epoch <=> (int) $other->epoch ?:
            (self::part($this->upstream, $other->upstream) ?:
                self::part($this->revision, $other->revision));
    }

    public function __toString(): string
    {
        return $this->text;
    }

    private static function part(string $a, string $b): int
    {
        $i = $j = 0;
        $one = strlen($a);
        $two = strlen($b);
        while ($i < $one || $j < $two) {
            // What is no digits, letter by letter: a tilde before the end, the end before letters, letters before
            // the rest.
            while (($i < $one && ! ctype_digit($a[$i])) || ($j < $two && ! ctype_digit($b[$j]))) {
                $order = self::weight($i < $one ? $a[$i] : '') <=> self::weight($j < $two ? $b[$j] : '');
                if ($order !== 0) {
                    return $order;
                }
                $i++;
                $j++;
            }
            $order = self::number($a, $i) <=> self::number($b, $j);
            if ($order !== 0) {
                return $order;
            }
        }

        return 0;
    }

    private static function weight(string $letter): int
    {
        return match (true) {
            $letter === '', ctype_digit($letter) => 0,
            $letter === '~' => -1,
            ctype_alpha($letter) => ord($letter),
            default => ord($letter) + 256,
        };
    }

    /**
     * The digits from here on, as something that is in order like the number: its length, then itself.
     *
     * @return array{int, string}
     */
    private static function number(string $text, int &$at): array
    {
        $length = strspn($text, '0123456789', $at);
        $digits = ltrim(substr($text, $at, $length), '0');
        $at += $length;

        return [strlen($digits), $digits];
    }
}
