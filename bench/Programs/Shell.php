<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;
use Bench\Net\PackageIndex;

/** What a board answers to the commands of a playbook. It knows the programs that are registered and no others. */
final readonly class Shell
{
    /** @var list<Program> */
    private array $programs;

    public function __construct(PackageIndex $index)
    {
        $this->programs = Programs::all($index);
    }

    /**
     * Runs a command text line by line; here-documents are taken together. The caller restarts the board when it asks.
     */
    public function run(Board $board, string $text): string
    {
        $output = [];
        $lines = explode("\n", (string) preg_replace('/[ \t]*\\\\\n[ \t]*/', ' ', str_replace("\r", '', $text)));
        for ($i = 0; $i < count($lines); $i++) {
            $body = '';
            if (preg_match("/^(.*?)\s*<<'([A-Z]+)'$/", $lines[$i], $match) === 1) {
                for ($i++; $i < count($lines) && $lines[$i] !== $match[2]; $i++) {
                    $body .= $lines[$i]."\n";
                }
                $output[] = $this->append($board, $match[1], $body);
            } elseif (trim($lines[$i]) !== '') {
                $output[] = $this->chain($board, trim($lines[$i]));
            }
        }

        return implode("\n", array_filter($output, fn (string $line): bool => $line !== ''));
    }

    /**
     * Commands joined by “&&”: each runs while the ones before it went well; behind “||” stands what is said when one
     * did not.
     */
    private function chain(Board $board, string $line): string
    {
        [$commands, $otherwise] = [...explode(' || ', $line, 2), ''];
        $output = [];
        foreach (explode(' && ', $commands) as $command) {
            $said = $this->one($board, preg_replace('/^sudo /', '', trim($command)) ?? '');
            if ($said === null || preg_match('/^(?:Error:|mke2fs .* does not exist|bash: )/', $said) === 1) {
                $output[] = (string) $said;
                $output[] = preg_match("/^echo '?(.*?)'?$/", $otherwise, $match) === 1 ? $match[1] : '';
                break;
            }
            $output[] = $said;
        }

        return implode("\n", array_filter($output, fn (string $one): bool => $one !== ''));
    }

    private function append(Board $board, string $command, string $body): string
    {
        if (preg_match('~tee --append (/etc/\S+)~', $command, $match) !== 1) {
            return $this->unknown($command);
        }
        $board->system[$match[1]] = ($board->system[$match[1]] ?? '').$body;

        return rtrim($body, "\n");
    }

    private function one(Board $board, string $command): ?string
    {
        foreach ($this->programs as $program) {
            if ($program->answers($command)) {
                return $program->run($board, $command);
            }
        }

        return $this->unknown($command);
    }

    private function unknown(string $command): string
    {
        return 'bash: '.strtok($command, ' ').': the bench does not know this command';
    }
}
