<?php

declare(strict_types=1);

namespace App\Upkeep;

use Symfony\Component\Mailer\Exception\TransportException;
use Symfony\Component\Mailer\Transport\Smtp\Stream\AbstractStream;

/** A conversation with a mail server that is over at a moment, however slowly the other side speaks. */
final class HurriedStream extends AbstractStream
{
    /** Bytes of one line of an answer (RFC 5321, 4.5.3.1.5 asks for 512). */
    private const LINE = 4096;

    /** @param  float  $until  Unix seconds */
    public function __construct(
        private readonly string $host,
        private readonly int $port,
        private readonly float $until,
    ) {
    }

    public function initialize(): void
    {
        $stream = @stream_socket_client(
            "tcp://{$this->host}:{$this->port}",
            $code,
            $message,
            max(0.1, $this->until - microtime(true)),
        );
        if ($stream === false) {
            throw new TransportException("No connection to {$this->host}: {$message}");
        }
        stream_set_timeout($stream, 1);
        $this->stream = $this->in = $this->out = $stream;
    }

    protected function getReadConnectionDescription(): string
    {
        return $this->host;
    }

    public function readLine(): string
    {
        if (! is_resource($this->out)) {
            throw new TransportException('The connection is gone.');
        }
        $line = '';
        while (! str_ends_with($line, "\n")) {
            $left = $this->until - microtime(true);
            $read = [$this->out];
            $none = null;
            if (
                $left <= 0 ||
                strlen($line) > self::LINE ||
                @stream_select($read, $none, $none, (int) $left, (int) (fmod($left, 1) * 1e6)) === 0
            ) {
                throw new TransportException('The server took too long.');
            }
            // One letter at a time: what comes behind the line is the next one.
            $letter = fgetc($this->out);
            if ($letter === false) {
                throw new TransportException('The connection was closed.');
            }
            $line .= $letter;
        }

        return $line;
    }
}
