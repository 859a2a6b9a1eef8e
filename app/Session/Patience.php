<?php

declare(strict_types=1);

namespace App\Session;

use Illuminate\Contracts\Cache\Repository;

/**
 * How long the next try at a login waits. Who guesses from one place waits longer and longer; for a name as a whole the
 * wait stays short, so that somebody else's guesses never lock out the right password for long.
 */
final readonly class Patience
{
    private const REMEMBERED_SECONDS = 3600;

    /** What is counted => [tries that are free, longest wait in seconds]. */
    private const LIMITS = ['place and name' => [5, 900], 'place' => [25, 300], 'name' => [12, 20]];

    public function __construct(private Repository $cache)
    {
    }

    /** Seconds until a try counts again; 0 when it may be made now. */
    public function wait(string $place, string $name): int
    {
        $waits = [0];
        foreach ($this->keys($place, $name) as $what => $key) {
            /** @var array{int, int} $kept wrong tries, and when the last one was */
            $kept = $this->cache->get($key, [0, 0]);
            [$free, $longest] = self::LIMITS[$what];
            $over = $kept[0] - $free;
            // Twice as long after each further wrong try. A clock that was set back makes nobody wait longer than that.
            $length = $over < 0 ? 0 : min($longest, 2 ** min($over + 1, 12));
            $waits[] = min($length, $kept[1] + $length - now()->getTimestamp());
        }

        return max($waits);
    }

    public function wrong(string $place, string $name): void
    {
        foreach ($this->keys($place, $name) as $key) {
            /** @var array{int, int} $kept */
            $kept = $this->cache->get($key, [0, 0]);
            $this->cache->put($key, [$kept[0] + 1, now()->getTimestamp()], self::REMEMBERED_SECONDS);
        }
    }

    /** The right password: this place has shown that it knows it. */
    public function right(string $place, string $name): void
    {
        $keys = $this->keys($place, $name);
        $this->cache->forget($keys['place and name']);
        $this->cache->forget($keys['place']);
    }

    /** @return array{'place and name': string, place: string, name: string} */
    private function keys(string $place, string $name): array
    {
        $name = hash('sha256', mb_strtolower($name));

        return [
            'place and name' => "login {$place} {$name}",
            'place' => "login {$place}",
            'name' => "login name {$name}",
        ];
    }
}
