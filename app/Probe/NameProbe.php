<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Net\NameAnswer;
use Burrow\Net\Protocol;
use React\Dns\Model\Message;
use React\Dns\Model\Record;
use React\Dns\Protocol\BinaryDumper;
use React\Dns\Protocol\Parser;
use React\Dns\Query\Query;
use Throwable;

/** Looks a name's IPv4 address up at one resolver, over UDP or TCP, and takes no other's word for it. */
final readonly class NameProbe
{
    /** The longest message there is (RFC 1035 4.2.2). */
    private const MOST_BYTES = 65537;

    public function __construct(private float $seconds)
    {
    }

    public function ask(Target $target, string $name, Protocol $over): NameAnswer
    {
        try {
            $query = Message::createRequestForQuery(
                new Query(rtrim($name, '.'), Message::TYPE_A, Message::CLASS_IN),
            );
            $sent = (new BinaryDumper())->toBinary($query);
            $came = $over === Protocol::Udp ? $this->overUdp($target, $sent) : $this->overTcp($target, $sent);
            if ($came === null) {
                return new NameAnswer(null);
            }
            $answer = (new Parser())->parseMessage($came);
        } catch (Throwable) {
            // What cannot be asked, or is no answer, is none.
            return new NameAnswer(null);
        }
        if ($answer->id !== $query->id || ! $answer->qr) {
            return new NameAnswer(null);
        }
        $addresses = array_map(
            fn (Record $record): string => is_string($record->data) ? $record->data : '',
            array_filter($answer->answers, fn (Record $record): bool => $record->type === Message::TYPE_A),
        );

        return new NameAnswer($answer->rcode, array_values(array_slice(array_filter($addresses), 0, 20)));
    }

    private function overUdp(Target $target, string $query): ?string
    {
        $socket = @stream_socket_client(
            "udp://{$target->host}:{$target->port}",
            $code,
            $message,
            $this->seconds,
        );
        if ($socket === false || @fwrite($socket, $query) === false) {
            return null;
        }
        stream_set_blocking($socket, false);
        $until = microtime(true) + $this->seconds;
        while (($left = $until - microtime(true)) > 0) {
            $read = [$socket];
            $none = null;
            if (@stream_select($read, $none, $none, (int) $left, (int) (($left - (int) $left) * 1e6)) !== 1) {
                return null;
            }
            $packet = @fread($socket, 4096);
            // A port that refuses wakes the socket with nothing to read; another's answer is not ours.
            if ($packet === false || $packet === '') {
                return null;
            }
            if (substr($packet, 0, 2) === substr($query, 0, 2)) {
                return $packet;
            }
        }

        return null;
    }

    private function overTcp(Target $target, string $query): ?string
    {
        $stream = BudgetedStream::open($target->host, $target->port, $this->seconds, self::MOST_BYTES);
        fwrite($stream, pack('n', strlen($query)).$query);
        $came = '';
        while (! feof($stream)) {
            $came .= (string) fread($stream, 4096);
            $length = strlen($came) < 2 ? null : (ord($came[0]) << 8) + ord($came[1]);
            if ($length !== null && strlen($came) >= $length + 2) {
                return substr($came, 2, $length);
            }
        }

        return null;
    }
}
