<?php

declare(strict_types=1);

namespace Burrow\Text;

/** Where things stand in a JSON text (RFC 8259), by line: values by their path, and the first thing that is wrong. */
final readonly class JsonLines
{
    private const TOKEN =
        '/"(?:[^"\\\\\x00-\x1f]|\\\\(?:["\\\\\/bfnrt]|u[0-9a-fA-F]{4}))*+"|[{}\[\],:]|'.
        '-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][+-]?\d+)?|true|false|null/A';

    private const BLANK = '/[ \t\r\n]++/A';

    public function __construct(private string $text)
    {
    }

    /**
     * The line, from 1, on which the value at a path begins, or the nearest one above it that is there.
     *
     * @param  list<string|int>  $path  keys of objects, and places in lists from 0
     */
    public function locate(array $path): int
    {
        $found = 1;
        $depth = 0;
        foreach ($this->values() as [$at, $offset]) {
            if (count($at) <= $depth || $at !== array_slice($path, 0, count($at))) {
                continue;
            }
            [$depth, $found] = [count($at), $this->line($offset)];
            if ($depth === count($path)) {
                break;
            }
        }

        return $found;
    }

    /** The line of the first thing that JSON does not have there; null in a text that is whole. */
    public function trouble(): ?int
    {
        $offset = null;
        foreach ($this->values() as [, , $wrong]) {
            $offset = $wrong ?? $offset;
        }

        return $offset === null ? null : $this->line($offset);
    }

    private function line(int $offset): int
    {
        return substr_count($this->text, "\n", 0, min($offset, strlen($this->text))) + 1;
    }

    /**
     * Every value with its path and where it begins; the last one has where something is wrong, if anything is.
     *
     * @return iterable<array{list<string|int>, int, ?int}>
     */
    private function values(): iterable
    {
        /** @var list<string|int> $path */
        $path = [];
        /** @var list<string> $open of "{" and "[" */
        $open = [];
        $wants = 'value';
        $offset = 0;
        $length = strlen($this->text);
        while (true) {
            if (preg_match(self::BLANK, $this->text, $m, 0, $offset) === 1) {
                $offset += strlen($m[0]);
            }
            if ($offset >= $length && $wants === 'end') {
                return;
            }
            $in = $open === [] ? '' : $open[count($open) - 1];
            $token =
                $offset < $length && preg_match(self::TOKEN, $this->text, $m, 0, $offset) === 1 ? $m[0] : '';
            if (! self::fits($wants, $token, $in)) {
                yield [$path, $offset, $offset];

                return;
            }
            if ($token === '}' || $token === ']') {
                array_pop($open);
                array_pop($path);
                $wants = $open === [] ? 'end' : 'more';
            } elseif ($token === ',') {
                $last = array_pop($path);
                $path[] = is_int($last) ? $last + 1 : '';
                $wants = $in === '{' ? 'key' : 'value';
            } elseif ($token === ':') {
                $wants = 'value';
            } elseif ($wants === 'key' || $wants === 'key or }') {
                array_pop($path);
                $key = json_decode($token);
                $path[] = is_string($key) ? $key : '';
                $wants = 'colon';
            } else {
                yield [$path, $offset, null];
                if ($token === '{' || $token === '[') {
                    $open[] = $token;
                    $path[] = $token === '[' ? 0 : '';
                    $wants = $token === '{' ? 'key or }' : 'value or ]';
                } else {
                    $wants = $open === [] ? 'end' : 'more';
                }
            }
            $offset += strlen($token);
        }
    }

    /** @param  string  $in  "{" or "[" or nothing: what is open */
    private static function fits(string $wants, string $token, string $in): bool
    {
        $isValue = ! in_array($token, ['', '}', ']', ',', ':'], true);

        return match ($wants) {
            'value' => $isValue,
            'value or ]' => $isValue || $token === ']',
            'key' => str_starts_with($token, '"'),
            'key or }' => str_starts_with($token, '"') || $token === '}',
            'colon' => $token === ':',
            'more' => $token === ',' || $token === ($in === '{' ? '}' : ']'),
            default => false,
        };
    }
}
