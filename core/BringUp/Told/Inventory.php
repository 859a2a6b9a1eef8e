<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

/**
 * What there is before a move and must be there afterwards: one thing in a line with its number, as "12 devices",
 * "devices: 12", or a name alone, which is one. What stands in two lines is added up; letters' size and blanks do not
 * count.
 */
final readonly class Inventory
{
    public const MOST_LINES = 200;

    public const MOST_BYTES = 16_384;

    /** What one house has of one thing at most. */
    private const MOST = 1_000_000;

    /**
     * @param  array<string, array{what: string, count: int}>  $things  by what they are called, folded
     * @param  list<int>  $unread  numbers of lines that hold no thing, from 1
     * @param  bool  $tooLong  more lines or bytes than are read
     */
    private function __construct(public array $things, public array $unread, public bool $tooLong)
    {
    }

    public static function read(string $text): self
    {
        $cut = strlen($text) > self::MOST_BYTES;
        $text = mb_scrub($cut ? substr($text, 0, self::MOST_BYTES) : $text, 'UTF-8');
        $lines = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
        $things = $unread = [];
        foreach (array_slice($lines, 0, self::MOST_LINES) as $at => $line) {
            $line = trim((string) preg_replace('/\s+/u', ' ', $line), " \t-•*");
            if ($line === '') {
                continue;
            }
            $one = self::thing($line);
            if ($one === null) {
                $unread[] = $at + 1;

                continue;
            }
            $key = mb_strtolower($one['what']);
            $things[$key] = [
                'what' => $things[$key]['what'] ?? $one['what'],
                'count' => min(self::MOST, ($things[$key]['count'] ?? 0) + $one['count']),
            ];
        }

        return new self($things, $unread, $cut || count($lines) > self::MOST_LINES);
    }

    public function isEmpty(): bool
    {
        return $this->things === [];
    }

    /** How many things, all together. */
    public function total(): int
    {
        return array_sum(array_column($this->things, 'count'));
    }

    /**
     * What of this one is not in the other, or not in that number.
     *
     * @return list<array{what: string, before: int, after: int}>
     */
    public function lessIn(self $after): array
    {
        $less = [];
        foreach ($this->things as $key => $one) {
            $now = $after->things[$key]['count'] ?? 0;
            if ($now < $one['count']) {
                $less[] = ['what' => $one['what'], 'before' => $one['count'], 'after' => $now];
            }
        }

        return $less;
    }

    /** The same as it is typed. */
    public function __toString(): string
    {
        return implode(
            "\n",
            array_map(
                fn (array $one): string => "{$one['count']} {$one['what']}",
                array_values($this->things),
            ),
        );
    }

    /** @return ?array{what: string, count: int} */
    private static function thing(string $line): ?array
    {
        if (preg_match('/^(\d{1,7})(?: ?×| ?x(?= ))? ?(\D.*)$/u', $line, $match) === 1) {
            [$count, $what] = [(int) $match[1], $match[2]];
        } elseif (preg_match('/^(.*\S) ?(?:[:=×]| ) ?(\d{1,7})$/u', $line, $match) === 1) {
            [$count, $what] = [(int) $match[2], rtrim($match[1], ': =')];
        } elseif (preg_match('/^\d{8}|\d{8}$/', $line) === 1) {
            return null;
        } else {
            [$count, $what] = [1, $line];
        }
        $what = trim($what, " :=\t");

        return preg_match('/\pL/u', $what) === 1 && mb_strlen($what) <= 120 && $count <= self::MOST
            ? ['what' => $what, 'count' => $count]
            : null;
    }
}
