<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\BringUp\Seen\Greeting;
use RuntimeException;

/** The first bytes that a service says, by itself or after it was spoken to. */
final readonly class GreetingProbe
{
    /** A page's head and the first bytes of a picture. */
    private const MOST_BYTES = 4096;

    public function __construct(private float $seconds)
    {
    }

    /** @return ?string null when nobody accepted, or nothing was said in time */
    public function ask(Target $target, Greeting $greeting, string $path): ?string
    {
        try {
            $stream = BudgetedStream::open($target->host, $target->port, $this->seconds, self::MOST_BYTES);
        } catch (RuntimeException) {
            return null;
        }
        $opening = $greeting->opening($path);
        if ($opening !== '') {
            fwrite($stream, $opening);
        }
        $said = '';
        while (! feof($stream) && ! $greeting->isWhole($said)) {
            $said .= (string) fread($stream, self::MOST_BYTES);
        }
        fclose($stream);

        return $said === '' ? null : $said;
    }
}
