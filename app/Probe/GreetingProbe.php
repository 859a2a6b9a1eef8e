<?php

declare(strict_types=1);

namespace App\Probe;

use RuntimeException;

/** The first bytes that a service says, by itself or after it was spoken to. */
final readonly class GreetingProbe
{
    private const MOST_BYTES = 256;

    /** Every greeting we know tells itself within so many bytes. */
    private const ENOUGH = 12;

    public function __construct(private float $seconds)
    {
    }

    /** @return ?string null when nobody accepted, or nothing was said in time */
    public function ask(Target $target, string $send): ?string
    {
        try {
            $stream = BudgetedStream::open($target->host, $target->port, $this->seconds, self::MOST_BYTES);
        } catch (RuntimeException) {
            return null;
        }
        if ($send !== '') {
            fwrite($stream, $send);
        }
        $said = '';
        while (! feof($stream) && strlen($said) < self::ENOUGH && ! str_contains($said, "\n")) {
            $said .= (string) fread($stream, self::MOST_BYTES);
        }
        fclose($stream);

        return $said === '' ? null : $said;
    }
}
