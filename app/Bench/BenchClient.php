<?php

declare(strict_types=1);

namespace App\Bench;

use RuntimeException;

/** Talks to the bench program over its socket. */
final readonly class BenchClient
{
    private const SECONDS = 3;

    private const LONGEST = 4 * 1024 * 1024;

    public function __construct(private string $socket)
    {
    }

    public function isThere(): bool
    {
        return $this->socket !== '' && file_exists($this->socket);
    }

    /**
     * @param  array<string, mixed>  $request
     * @return array<string, mixed>
     *
     * @throws BenchAway when the bench does not run or refuses
     */
    public function ask(array $request): array
    {
        $stream = $this->isThere()
            ? @stream_socket_client('unix://'.$this->socket, $code, $message, self::SECONDS)
            : false;
        if ($stream === false) {
            throw new BenchAway('The bench is not running.');
        }
        stream_set_timeout($stream, self::SECONDS);
        @fwrite($stream, json_encode($request, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE)."\n");
        $answer = json_decode($this->line($stream), true);
        fclose($stream);
        if (! is_array($answer)) {
            throw new BenchAway('The bench did not answer in time.');
        }
        if (isset($answer['error'])) {
            throw new BenchAway('The bench says: '.(is_string($answer['error']) ? $answer['error'] : 'no'));
        }
        /** @var array<string, mixed> $answer */

        return $answer;
    }

    /**
     * One line of answer, as long as it comes in time and is not endless.
     *
     * @param  resource  $stream
     */
    private function line($stream): string
    {
        $line = '';
        $until = microtime(true) + self::SECONDS;
        while (! str_ends_with($line, "\n") && strlen($line) < self::LONGEST && microtime(true) < $until) {
            $piece = fgets($stream, 65536);
            if ($piece === false) {
                break;
            }
            $line .= $piece;
        }

        return $line;
    }

    /** @param  array<string, mixed>  $more */
    public function text(string $do, string $key, array $more = []): string
    {
        $value = $this->ask(['do' => $do] + $more)[$key] ?? '';

        return is_string($value) ? $value : throw new RuntimeException("The bench sent no text for {$do}.");
    }
}
