<?php

declare(strict_types=1);

namespace Bench\Shell;

use Bench\Board\Board;
use Bench\Programs\Call;
use Bench\Programs\Programs;
use Bench\Programs\Said;

/**
 * What a board answers to commands. The part of a shell that is there: lists with && and ||, pipes, redirections,
 * here-documents, quotes, command substitution. It knows the programs that are registered and no others.
 */
final readonly class Shell
{
    private const DEEPEST = 5;

    public function __construct(private Programs $programs)
    {
    }

    /** Everything that would stand on the terminal; the caller restarts the board when it asks. */
    public function run(Board $board, string $text): string
    {
        $shown = [];
        $lines = explode("\n", (string) preg_replace('/[ \t]*\\\\\n[ \t]*/', ' ', str_replace("\r", '', $text)));
        for ($i = 0; $i < count($lines) && $board->asked === null; $i++) {
            $line = trim($lines[$i]);
            $document = null;
            if (preg_match("/<<-?\s*'?([A-Z]+)'?/", $line, $match) === 1) {
                $document = '';
                for ($i++; $i < count($lines) && trim($lines[$i]) !== $match[1]; $i++) {
                    $document .= $lines[$i]."\n";
                }
                $line = str_replace($match[0], '', $line);
            }
            if ($line !== '') {
                $shown[] = $this->line($board, $line, $document)->shown();
            }
        }

        return implode("\n", array_filter($shown, fn (string $one): bool => $one !== ''));
    }

    /** A list: each command runs while what joins it to the ones before says so. */
    private function line(Board $board, string $line, ?string $document, int $depth = 0): Said
    {
        $shown = $out = [];
        $exit = 0;
        $joint = ';';
        foreach ($this->lists(Lexer::words($line)) as [$pipeline, $next]) {
            if ($joint === ';' || ($joint === '&&') === ($exit === 0)) {
                $said = $this->pipeline($board, $pipeline, $document, $depth);
                $exit = $said->exit;
                $shown[] = $said->shown();
                $out[] = rtrim($said->out, "\n");
            }
            $joint = $next;
        }
        $text = implode("\n", array_filter($depth > 0 ? $out : $shown, fn (string $one): bool => $one !== ''));

        return $exit === 0 ? Said::ok($text) : Said::failed('', $exit, $text);
    }

    /**
     * @param  list<Word>  $words
     * @return list<array{list<Word>, string}> pipelines, each with what joins it to the next
     */
    private function lists(array $words): array
    {
        $lists = [];
        $now = [];
        foreach ($words as $word) {
            if (in_array($word->operator, ['&&', '||', ';', '&'], true)) {
                $lists[] = [$now, $word->operator === '&' ? ';' : $word->operator];
                $now = [];
            } else {
                $now[] = $word;
            }
        }
        $lists[] = [$now, ';'];

        return array_values(array_filter($lists, fn (array $list): bool => $list[0] !== []));
    }

    /** @param  list<Word>  $words */
    private function pipeline(Board $board, array $words, ?string $document, int $depth): Said
    {
        $said = Said::ok();
        $in = $document ?? '';
        $commands = [[]];
        foreach ($words as $word) {
            if ($word->operator === '|') {
                $commands[] = [];
            } else {
                $commands[count($commands) - 1][] = $word;
            }
        }
        $errors = '';
        foreach ($commands as $command) {
            $said = $this->command($board, $command, $in, $depth);
            $errors .= $said->errors;
            $in = $said->out;
        }

        return $said->exit === 0
            ? Said::noting($errors, $said->out)
            : Said::failed($errors, $said->exit, $said->out);
    }

    /** @param  list<Word>  $words */
    private function command(Board $board, array $words, string $in, int $depth): Said
    {
        $plain = [];
        $to = null;
        $append = false;
        for ($i = 0; $i < count($words); $i++) {
            $operator = $words[$i]->operator;
            if (in_array($operator, ['>', '>>', '<', '2>'], true)) {
                $file = isset($words[$i + 1]) ? $this->expand($board, $words[++$i], $depth) : '';
                if ($operator === '<') {
                    $in = $board->machine->read($file) ?? '';
                } elseif ($operator !== '2>') {
                    [$to, $append] = [$file, $operator === '>>'];
                }
            } elseif ($operator === '') {
                $plain[] = $this->expand($board, $words[$i], $depth);
            }
        }
        $root = false;
        while ($plain !== [] && in_array($plain[0], ['sudo', 'env'], true)) {
            $root = $root || $plain[0] === 'sudo';
            array_shift($plain);
            while (
                $plain !== [] &&
                (str_starts_with($plain[0], '-') || preg_match('/^[A-Z_]+=/', $plain[0]) === 1)
            ) {
                array_shift($plain) === '-u' && array_shift($plain);
            }
        }
        if ($plain === []) {
            return Said::ok();
        }
        $said = $this->programs->run(new Call($board, $plain, $in, $root));
        if ($to === null || $to === '/dev/null') {
            return $to === null
                ? $said
                : ($said->exit === 0
                    ? Said::noting($said->errors)
                    : Said::failed($said->errors, $said->exit));
        }
        if (! $board->machine->mayWrite($to, false)) {
            return Said::failed("bash: {$to}: Permission denied");
        }
        $board->machine->write($to, ($append ? $board->machine->read($to) ?? '' : '').$said->out, $append);

        return $said->exit === 0 ? Said::noting($said->errors) : Said::failed($said->errors, $said->exit);
    }

    private function expand(Board $board, Word $word, int $depth): string
    {
        $text = '';
        foreach ($word->pieces as [$kind, $content]) {
            $text .= match (true) {
                $kind === 'text' => $content,
                $kind === 'name' => [
                    'USER' => $board->boot->user ?? 'root',
                    'HOME' => '/home/'.($board->boot->user ?? 'root'),
                ][$content] ?? '',
                $depth >= self::DEEPEST => '',
                default => trim($this->line($board, $content, null, $depth + 1)->out),
            };
        }

        return $text;
    }
}
