<?php

declare(strict_types=1);

namespace Tests\Attack;

use RuntimeException;

/** A program that accepts a connection on loopback and then does not do what it should. */
final class BadPeer
{
    private const PROGRAM = <<<'PHP'
    $server = stream_socket_server('tcp://127.0.0.1:0');
    echo explode(':', stream_socket_get_name($server, false))[1], "\n";
    for ($end = time() + 40; time() < $end;) {
        $peer = @stream_socket_accept($server, 1);
        if ($peer === false) { continue; }
        stream_set_timeout($peer, 2);
        if (str_starts_with($argv[1], 'greets') || $argv[1] === 'promises a huge packet') { fwrite($peer, "SSH-2.0-OpenSSH_9.2\r\n"); }
        if ($argv[1] === 'promises a huge packet') { fwrite($peer, pack('NC', 0x7FFFFFFF, 4)); }
        if ($argv[1] === 'hangs up') { fclose($peer); continue; }
        for ($sent = 0; $sent < 64 * 1024 * 1024 && time() < $end;) {
            $bytes = match (true) {
                str_contains($argv[1], 'floods lines') => str_repeat("x\r\n", 20000),
                str_contains($argv[1], 'floods') => str_repeat('x', 60000),
                $argv[1] === 'drips' => 'x',
                default => '',
            };
            if ($bytes === '' || $argv[1] === 'drips') { usleep(200000); }
            if ($bytes !== '' && @fwrite($peer, $bytes) === false) { break; }
            $sent += strlen($bytes);
        }
    }
    PHP;

    public readonly int $port;

    /** @var resource */
    private $process;

    public function __construct(string $does)
    {
        $process = proc_open(
            [PHP_BINARY, '-r', self::PROGRAM, '--', $does],
            [['file', '/dev/null', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        $this->process = is_resource($process) ? $process : throw new RuntimeException('The peer did not start.');
        $this->port = (int) fgets($pipes[1]);
    }

    public function __destruct()
    {
        proc_terminate($this->process, SIGKILL);
        proc_close($this->process);
    }
}
