<?php

declare(strict_types=1);

namespace Bench\Programs;

/** Small tools for texts and conditions. */
final class Texts implements Program
{
    public function names(): array
    {
        return [
            'echo',
            'printf',
            'test',
            '[',
            'grep',
            'sed',
            'head',
            'tail',
            'true',
            'cd',
            'umask',
            'getent',
        ];
    }

    public function run(Call $call): Said
    {
        $words = array_slice($call->words, 1);

        return match ($call->words[0]) {
            'echo' => Said::ok(implode(' ', $words)."\n"),
            'printf' => Said::ok($this->printed($words)),
            'test', '[' => $this->test($call, array_values(array_diff($words, [']']))),
            'grep' => $this->grep($call),
            'sed' => $this->sed($call),
            'head', 'tail' => Said::ok(
                $call->in !== '' ? $call->in : $call->board->machine->read($call->plain()[0] ?? '') ?? '',
            ),
            'getent' => Said::ok('198.51.100.7    '.($call->plain()[1] ?? '')."\n"),
            default => Said::ok(),
        };
    }

    /** @param  list<string>  $words */
    private function printed(array $words): string
    {
        $form = str_replace('\n', "\n", array_shift($words) ?? '');

        return (string) preg_replace_callback(
            '/%s/',
            function () use (&$words): string {
                return array_shift($words) ?? '';
            },
            $form,
        );
    }

    /** @param  list<string>  $words */
    private function test(Call $call, array $words): Said
    {
        if (($words[0] ?? '') === '!') {
            return $this->test($call, array_slice($words, 1))->exit === 0 ? Said::failed() : Said::ok();
        }
        [$first, $second, $third] = [...$words, '', '', ''];
        $yes = match (true) {
            $first === '-z' => $second === '',
            $first === '-n' => $second !== '',
            $first === '-s' => ($call->board->machine->read($second) ?? '') !== '',
            in_array($first, ['-f', '-e', '-d'], true) => $call->board->machine->read($second) !== null,
            $second === '=' => $first === $third,
            $second === '!=' => $first !== $third,
            default => $first !== '',
        };

        return $yes ? Said::ok() : Said::failed();
    }

    /** Fixed words, “^” before those that begin a line, and “.” for any line that is not empty. */
    private function grep(Call $call): Said
    {
        $paths = $call->plain();
        $sought = (string) array_shift($paths);
        $texts = $paths === [] ? ['' => $call->in] : [];
        foreach ($paths as $path) {
            $texts += $call->board->readLike($path);
        }
        $found = [];
        foreach ($texts as $path => $text) {
            foreach (explode("\n", $text) as $line) {
                if (self::fits($line, $sought)) {
                    $found[] = ($call->has('--with-filename', '-H') ? "{$path}:" : '').$line;
                }
            }
        }

        return match (true) {
            $found === [] => Said::failed(),
            $call->has('--quiet', '-q') => Said::ok(),
            default => Said::ok(implode("\n", $found)."\n"),
        };
    }

    private static function fits(string $line, string $sought): bool
    {
        return match (true) {
            $sought === '.' => $line !== '',
            str_starts_with($sought, '^') => str_starts_with($line, substr($sought, 1)),
            default => str_contains($line, $sought),
        };
    }

    /** Edits in place: “s/$/ words/” on the first line, “s/this/that/”, and reading a text in after a line. */
    private function sed(Call $call): Said
    {
        [$script, $path] = [...$call->plain(), '', ''];
        $text = $call->board->machine->read($path);
        if ($text === null) {
            return Said::failed("sed: can't read {$path}: No such file or directory", 2);
        }
        if (preg_match('~^1? ?s(.)(.*?)\1(.*?)\1$~s', $script, $match) === 1) {
            [$first, $rest] = [...explode("\n", $text, 2), ''];
            $text = match (true) {
                $match[2] === '$' => "{$first}{$match[3]}\n{$rest}",
                str_starts_with($match[2], '^') => ltrim(
                    str_replace("\n".substr($match[2], 1), "\n{$match[3]}", "\n{$text}"),
                    "\n",
                ),
                default => str_replace($match[2], $match[3], $text),
            };
        } elseif (preg_match('~^/\^?(.+?)/r ~', $script, $match) === 1) {
            $text = str_replace(
                stripslashes($match[1]),
                stripslashes($match[1])."\n".rtrim($call->in, "\n"),
                $text,
            );
        }
        $call->board->machine->write($path, $text);

        return Said::ok();
    }
}
