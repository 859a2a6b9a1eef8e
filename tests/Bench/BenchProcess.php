<?php

declare(strict_types=1);

namespace Tests\Bench;

use RuntimeException;
use Tests\Door;

/** A bench of the test's own: its own state, its own ports, and a very fast clock. */
final class BenchProcess
{
    public const OFFSET = 33000;

    /** @var resource */
    private $process;

    private readonly string $folder;

    public function __construct(public readonly int $speed = 1000)
    {
        $this->folder = scratch();
        $this->start();
        $this->ask(['do' => 'speed', 'speed' => $speed]);
    }

    public function __destruct()
    {
        $this->stop();
    }

    public function start(): void
    {
        if (file_exists($this->socket())) {
            unlink($this->socket());
        }
        $process = proc_open(
            [
                PHP_BINARY,
                'bench/serve.php',
                "--state={$this->folder}/state.json",
                "--socket={$this->socket()}",
                '--offset='.self::OFFSET,
            ],
            [
                ['file', '/dev/null', 'r'],
                ['file', "{$this->folder}/log", 'a'],
                ['file', "{$this->folder}/log", 'a'],
            ],
            $pipes,
        );
        $this->process = is_resource($process) ? $process : throw new RuntimeException('The bench did not start.');
        // The file is there a moment before anybody listens on it.
        set_error_handler(fn (): bool => true);
        try {
            $this->until(fn (): bool => is_resource(stream_socket_client('unix://'.$this->socket())));
        } finally {
            restore_error_handler();
        }
    }

    public function stop(): void
    {
        proc_terminate($this->process);
        proc_close($this->process);
    }

    public function socket(): string
    {
        return $this->folder.'/s';
    }

    public function stateFile(): string
    {
        return $this->folder.'/state.json';
    }

    public function state(): string
    {
        return (string) file_get_contents($this->stateFile());
    }

    /** @return array<string, mixed> */
    public function ask(array $request): array
    {
        $stream =
            stream_socket_client('unix://'.$this->socket()) ?: throw new RuntimeException('The bench is gone.');
        fwrite($stream, json_encode($request)."\n");

        return json_decode((string) fgets($stream), true);
    }

    /** Puts a card into a new board of the name "b" and switches it on. */
    public function boot(array $files, int $networkAfter = 30): void
    {
        $this->ask([
            'do' => 'insert',
            'board' => 'b',
            'mac' => '02:4b:1e:90:00:07',
            'class' => 'Flint',
            'network_after' => $networkAfter,
            'files' => (object) $files,
            'disk' => ['bytes' => 500000000000, 'serial' => 'SEED000007'],
        ]);
        $this->ask(['do' => 'power', 'board' => 'b', 'on' => true]);
    }

    public function type(string $command): string
    {
        return $this->ask(['do' => 'type', 'board' => 'b', 'command' => $command])['output'];
    }

    /** @return array<string, mixed> */
    public function board(): array
    {
        return array_column($this->ask(['do' => 'status'])['boards'], null, 'id')['b'];
    }

    public function isOpen(string $address, int $port): bool
    {
        return Door::isOpen($address, $port + self::OFFSET);
    }

    public function until(callable $condition, float $seconds = 30): void
    {
        $end = microtime(true) + $seconds;
        while (! $condition()) {
            microtime(true) < $end ||
                throw new RuntimeException(
                    'Waited in vain for the bench: '.@file_get_contents($this->folder.'/log'),
                );
            usleep(20000);
        }
    }
}
