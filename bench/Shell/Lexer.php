<?php

declare(strict_types=1);

namespace Bench\Shell;

/**
 * Takes one logical line apart as a POSIX shell does (2.3 Token Recognition): words, quotes, operators,
 * substitutions.
 */
final class Lexer
{
    private const OPERATORS = ['&&', '||', '>>', '<<', '2>&1', '2>', '>', '<', '|', ';', '&'];

    private int $at = 0;

    private function __construct(private readonly string $line)
    {
    }

    /** @return list<Word> */
    public static function words(string $line): array
    {
        return (new self($line))->all();
    }

    /** @return list<Word> */
    private function all(): array
    {
        $words = [];
        $word = new Word();
        while ($this->at < strlen($this->line)) {
            $char = $this->line[$this->at];
            $operator = $this->operator($word);
            if ($char === ' ' || $char === "\t") {
                $this->at++;
                $word->isEmpty() || ($words[] = $word);
                $word = new Word();
            } elseif ($operator !== null) {
                $word->isEmpty() || ($words[] = $word);
                $words[] = new Word($operator);
                $word = new Word();
                $this->at += strlen($operator);
            } elseif ($char === '#' && $word->isEmpty()) {
                break;
            } else {
                $this->piece($word, $char);
            }
        }
        $word->isEmpty() || ($words[] = $word);

        return $words;
    }

    private function operator(Word $word): ?string
    {
        foreach (self::OPERATORS as $operator) {
            if (
                substr_compare($this->line, $operator, $this->at, strlen($operator)) === 0 &&
                ($operator[0] !== '2' || $word->isEmpty())
            ) {
                return $operator;
            }
        }

        return null;
    }

    private function piece(Word $word, string $char): void
    {
        if ($char === "'") {
            $end = strpos($this->line, "'", $this->at + 1);
            $end = $end === false ? strlen($this->line) : $end;
            $word->add('text', substr($this->line, $this->at + 1, $end - $this->at - 1));
            $word->quoted = true;
            $this->at = $end + 1;
        } elseif ($char === '"') {
            $word->quoted = true;
            $this->at++;
            while ($this->at < strlen($this->line) && $this->line[$this->at] !== '"') {
                $this->plain($word, '"\\$`');
            }
            $this->at++;
        } else {
            $this->plain($word, null);
        }
    }

    /** @param  ?string  $escapes  inside quotes: what a backslash takes its meaning from; null outside: everything */
    private function plain(Word $word, ?string $escapes): void
    {
        $char = $this->line[$this->at];
        $next = $this->line[$this->at + 1] ?? '';
        if ($char === '\\' && $next !== '' && ($escapes === null || str_contains($escapes, $next))) {
            $word->add('text', $next);
            $this->at += 2;
        } elseif ($char === '$' && $next === '(') {
            $end = $this->closing($this->at + 2);
            $word->add('call', substr($this->line, $this->at + 2, $end - $this->at - 2));
            $this->at = $end + 1;
        } elseif (
            $char === '$' &&
            preg_match('/\G\$\{?([A-Za-z_][A-Za-z0-9_]*)\}?/', $this->line, $match, 0, $this->at) === 1
        ) {
            $word->add('name', $match[1]);
            $this->at += strlen($match[0]);
        } else {
            $word->add('text', $char);
            $this->at++;
        }
    }

    private function closing(int $from): int
    {
        $depth = 1;
        for ($i = $from; $i < strlen($this->line); $i++) {
            $depth += ['(' => 1, ')' => -1][$this->line[$i]] ?? 0;
            if ($depth === 0) {
                return $i;
            }
        }

        return strlen($this->line);
    }
}
