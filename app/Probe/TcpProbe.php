<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Household\DoorState;

/** Opens TCP connections and says what it met. Many at once take no longer than one. */
final readonly class TcpProbe
{
    private const AT_ONCE = 200;

    private const SLICE_MICROSECONDS = 20000;

    public function __construct(private float $timeout)
    {
    }

    public function ask(Target $target): DoorState
    {
        return $this->askAll(['one' => $target])['one'];
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Target>  $targets
     * @return array<K, DoorState> under the same keys
     */
    public function askAll(array $targets): array
    {
        /** @var array<K, DoorState> $states */
        $states = [];
        foreach (array_chunk($targets, self::AT_ONCE, true) as $chunk) {
            $states += $this->askChunk($chunk);
        }

        return $this->withoutTheAbsent($targets, $states);
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Target>  $targets
     * @param  array<K, DoorState>  $states
     * @return array<K, DoorState>
     */
    private function withoutTheAbsent(array $targets, array $states): array
    {
        $answered = array_filter(
            $targets,
            fn (Target $target, string|int $key): bool => $states[$key] !== DoorState::Silent,
            ARRAY_FILTER_USE_BOTH,
        );
        $presence = array_filter(array_map(fn (Target $target): ?Target => $target->presence(), $answered));
        foreach ($presence === [] ? [] : $this->askAll($presence) as $key => $state) {
            $states[$key] = $state === DoorState::Open ? $states[$key] : DoorState::Silent;
        }

        return $states;
    }

    /**
     * @template K of array-key
     *
     * @param  array<K, Target>  $targets
     * @return array<K, DoorState>
     */
    private function askChunk(array $targets): array
    {
        $states = array_map(fn (): DoorState => DoorState::Silent, $targets);
        $waiting = [];
        foreach ($targets as $key => $target) {
            $stream = @stream_socket_client(
                "tcp://{$target->host}:{$target->port}",
                $code,
                $message,
                $this->timeout,
                STREAM_CLIENT_ASYNC_CONNECT | STREAM_CLIENT_CONNECT,
            );
            if ($stream === false) {
                $states[$key] = $code === SOCKET_ECONNREFUSED ? DoorState::Refused : DoorState::Silent;
            } else {
                stream_set_blocking($stream, false);
                $waiting[$key] = $stream;
            }
        }
        $until = microtime(true) + $this->timeout;
        while ($waiting !== [] && microtime(true) < $until) {
            $read = null;
            $write = $except = $waiting;
            if (stream_select($read, $write, $except, 0, self::SLICE_MICROSECONDS) === 0) {
                continue;
            }
            foreach ([...array_keys($write), ...array_keys($except)] as $key) {
                if (isset($waiting[$key])) {
                    // A connection that was refused becomes writable too, but has no peer.
                    $states[$key] =
                        stream_socket_get_name($waiting[$key], true) === false
                            ? DoorState::Refused
                            : DoorState::Open;
                    fclose($waiting[$key]);
                    unset($waiting[$key]);
                }
            }
        }
        array_map(fclose(...), $waiting);

        return $states;
    }
}
