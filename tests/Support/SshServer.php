<?php

declare(strict_types=1);

namespace Tests\Support;

use RuntimeException;

/** A real server of remote login on an address of loopback, with a host key of its own, while somebody holds it. */
final class SshServer
{
    private const OPTIONS = ['StrictModes=no', 'PidFile=none', 'UsePAM=no', 'PermitRootLogin=yes'];

    public readonly int $port;

    /** @var resource */
    private $process;

    /** @param  string  $folder  for its keys and its log */
    public function __construct(string $address, private readonly string $folder)
    {
        $socket = stream_socket_server("tcp://{$address}:0");
        $this->port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);
        is_dir('/run/sshd') || mkdir('/run/sshd', 0755);
        exec('ssh-keygen -q -t ed25519 -N "" -f '.escapeshellarg("{$folder}/host"));
        $this->authorize('');
        $options = ["AuthorizedKeysFile={$folder}/keys", "ListenAddress={$address}", ...self::OPTIONS];
        $process = proc_open(
            [
                '/usr/sbin/sshd',
                '-D',
                '-e',
                '-f',
                '/dev/null',
                '-p',
                (string) $this->port,
                '-h',
                "{$folder}/host",
                ...array_merge(...array_map(fn (string $one): array => ['-o', $one], $options)),
            ],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', "{$folder}/log", 'w']],
            $pipes,
        );
        $this->process = is_resource($process)
            ? $process
            : throw new RuntimeException('sshd does not start.');
        for ($wait = 0; $wait < 80 && ! str_contains($this->log(), 'listening'); $wait++) {
            usleep(100_000);
        }
    }

    public function __destruct()
    {
        proc_terminate($this->process);
        proc_close($this->process);
    }

    /** The one line of its authorized_keys. */
    public function authorize(string $line): void
    {
        file_put_contents("{$this->folder}/keys", "{$line}\n");
    }

    /** "SHA256:…" of its host key. */
    public function hostKey(): string
    {
        return explode(' ', (string) exec('ssh-keygen -lf '.escapeshellarg("{$this->folder}/host.pub")))[1];
    }

    public function log(): string
    {
        return (string) @file_get_contents("{$this->folder}/log");
    }
}
