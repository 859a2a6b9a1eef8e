<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Board\Board;
use Bench\Net\Answers;
use Bench\Net\Door;

/** A unit from a file of the household's: what its program is decides where it answers. */
final readonly class FileUnit implements Service
{
    public function __construct(private string $unit, private string $text)
    {
    }

    public function unit(): string
    {
        return $this->unit;
    }

    public function package(): string
    {
        return '';
    }

    public function problem(Board $board): ?string
    {
        $program = $this->program();

        return match (true) {
            str_ends_with($this->unit, '.timer') => null,
            $program === '' => "{$this->unit}: Service has no ExecStart=. Refusing.",
            ! Programs::has($board, basename($program)) => "{$this->unit}: Failed to locate executable {$program}: No such file or directory",
            str_contains($this->text, ' up --detach') => $this->compose($board)->problem,
            basename($program) === 'rtl_tcp' && ! $board->machine->has('rtl-sdr') => "{$program}: not found",
            default => null,
        };
    }

    public function doors(Board $board): array
    {
        if (str_contains($this->text, ' up --detach')) {
            return $this->compose($board)->doors();
        }
        if (preg_match('/rtl_tcp .*-p (\d+)/', $this->text, $match) === 1) {
            return [new Door((int) $match[1], serve: Answers::line('RTL0'.pack('NN', 5, 29)))];
        }

        return [];
    }

    private function program(): string
    {
        return preg_match('/^ExecStart=(\S+)/m', $this->text, $match) === 1 ? $match[1] : '';
    }

    private function compose(Board $board): Composed
    {
        preg_match('/^WorkingDirectory=(\S+)$/m', $this->text, $match);

        return Composed::from($board->machine->read(($match[1] ?? '').'/compose.yaml'));
    }
}
