<?php

declare(strict_types=1);

namespace App\Probe;

use RuntimeException;

/**
 * A TCP connection that ends by itself: after so many seconds for the whole conversation, and after so many bytes. A
 * library that reads from it meets the end of the stream, whatever the peer does: accept and stay silent, send a byte
 * now and then, or flood.
 *
 * @see https://www.php.net/manual/en/class.streamwrapper.php the contract of these methods
 */
final class BudgetedStream
{
    private const SCHEME = 'budgeted';

    /** @var ?resource set by PHP */
    public $context;

    /** @var ?resource */
    private $socket = null;

    private float $deadline = 0;

    private int $bytesLeft = 0;

    private bool $ended = false;

    /**
     * @return resource
     *
     * @throws RuntimeException when nobody accepts in time
     */
    public static function open(string $host, int $port, float $seconds, int $bytes)
    {
        if (! in_array(self::SCHEME, stream_get_wrappers(), true)) {
            stream_wrapper_register(self::SCHEME, self::class);
        }
        $context = stream_context_create([self::SCHEME => ['seconds' => $seconds, 'bytes' => $bytes]]);
        // That nobody is there is an answer, and no warning.
        set_error_handler(fn (): bool => true);
        try {
            $stream = fopen(self::SCHEME."://{$host}:{$port}", 'r+', false, $context);
            // Marks it as one that cannot be wound back; PHP would throw away what it has read ahead at each write.
            $stream === false || fseek($stream, 0);
        } finally {
            restore_error_handler();
        }

        return $stream === false ? throw new RuntimeException("Nobody accepted at {$host}:{$port}.") : $stream;
    }

    public function stream_open(string $path, string $mode, int $options, ?string &$opened): bool
    {
        $budget = $this->context === null ? [] : stream_context_get_options($this->context)[self::SCHEME] ?? [];
        $seconds = (float) ($budget['seconds'] ?? 1);
        $this->deadline = microtime(true) + $seconds;
        $this->bytesLeft = (int) ($budget['bytes'] ?? 0);
        $socket = stream_socket_client(
            'tcp://'.substr($path, strlen(self::SCHEME) + 3),
            $code,
            $message,
            $seconds,
        );
        if ($socket === false) {
            return false;
        }
        stream_set_blocking($socket, false);
        $this->socket = $socket;

        return true;
    }

    public function stream_read(int $count): string
    {
        while (! $this->ended && $this->socket !== null) {
            $wait = $this->deadline - microtime(true);
            $read = [$this->socket];
            $none = null;
            if (
                $wait <= 0 ||
                $this->bytesLeft <= 0 ||
                ! @stream_select($read, $none, $none, (int) $wait, (int) (($wait - (int) $wait) * 1e6))
            ) {
                break;
            }
            $bytes = fread($this->socket, max(1, min($count, $this->bytesLeft)));
            if (is_string($bytes) && $bytes !== '') {
                $this->bytesLeft -= strlen($bytes);

                return $bytes;
            }
            if (feof($this->socket)) {
                break;
            }
        }
        $this->ended = true;

        return '';
    }

    public function stream_write(string $data): int
    {
        $written = 0;
        while ($this->socket !== null && $written < strlen($data) && microtime(true) < $this->deadline) {
            $some = @fwrite($this->socket, substr($data, $written));
            if ($some === false) {
                break;
            }
            $written += $some;
            if ($some === 0) {
                $write = [$this->socket];
                $none = null;
                @stream_select($none, $write, $none, 0, 50_000);
            }
        }

        return $written;
    }

    public function stream_eof(): bool
    {
        return $this->ended || microtime(true) >= $this->deadline;
    }

    public function stream_close(): void
    {
        if (is_resource($this->socket)) {
            fclose($this->socket);
        }
        $this->socket = null;
    }

    /** @return resource|false for stream_select() */
    public function stream_cast(int $as)
    {
        return $this->socket ?? false;
    }

    public function stream_set_option(int $option, int $first, ?int $second): bool
    {
        // The deadline is the only time limit, and the socket stays as it is.
        return true;
    }

    /** @return array<string, int> */
    public function stream_stat(): array
    {
        return [];
    }

    public function stream_flush(): bool
    {
        return true;
    }
}
