<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use React\Dns\Model\Message;
use React\Dns\Protocol\BinaryDumper;
use React\Dns\Protocol\Parser;
use React\Dns\Query\Query;
use Throwable;

/**
 * What machines call themselves: the names of addresses, asked of the network's own resolver (RFC 1035 3.5) and by
 * multicast DNS on the link (RFC 6762, one-shot queries of 5.1, whose answers come back to the asking port). All are
 * asked at once, and what has not come within the time is not known.
 */
final readonly class ReverseNames
{
    /** Where machines on the link listen (RFC 6762 3). */
    private const LINK = '224.0.0.251:5353';

    /** More than a household has, and one burst that any network carries. */
    private const MOST = 256;

    /** Longest answer (RFC 6762 17). */
    private const MOST_BYTES = 9000;

    public function __construct(private float $seconds, private string $link = self::LINK)
    {
    }

    /**
     * @param  list<Ipv4>  $addresses
     * @param  ?string  $resolver  host and port; null: the link alone is asked
     * @return array<string, string> first label of its name by address; those without one are left out
     */
    public function of(array $addresses, ?string $resolver): array
    {
        $socket = @stream_socket_server('udp://0.0.0.0:0', $code, $message, STREAM_SERVER_BIND);
        if ($socket === false || $addresses === []) {
            return [];
        }
        stream_set_blocking($socket, false);
        $asked = [];
        foreach (array_slice($addresses, 0, self::MOST) as $number => $address) {
            $query = Message::createRequestForQuery(
                new Query(self::reverse($address), Message::TYPE_PTR, Message::CLASS_IN),
            );
            $query->id = $number + 1;
            $asked[$number + 1] = $address;
            $packet = (new BinaryDumper())->toBinary($query);
            foreach (array_filter([$this->link, $resolver]) as $to) {
                @stream_socket_sendto($socket, $packet, 0, $to);
            }
        }
        $names = $this->collect($socket, $asked);
        fclose($socket);

        return $names;
    }

    /**
     * @param  resource  $socket
     * @param  array<int, Ipv4>  $asked  by the number of the query, which its answer repeats
     * @return array<string, string>
     */
    private function collect($socket, array $asked): array
    {
        $names = [];
        $until = microtime(true) + $this->seconds;
        while (($left = $until - microtime(true)) > 0 && count($names) < count($asked)) {
            $read = [$socket];
            $none = null;
            if (@stream_select($read, $none, $none, (int) $left, (int) (($left - (int) $left) * 1e6)) !== 1) {
                break;
            }
            [$number, $reverse, $name] = $this->answer((string) @stream_socket_recvfrom($socket, self::MOST_BYTES));
            $address = $asked[$number] ?? null;
            if ($address !== null && $name !== null && $reverse === self::reverse($address)) {
                $names[(string) $address] ??= $name;
            }
        }

        return $names;
    }

    /** @return array{int, string, ?string} number of the query, reverse name, and the first label of a machine's name */
    private function answer(string $packet): array
    {
        try {
            $message = (new Parser())->parseMessage($packet);
            foreach ($message->qr ? array_slice($message->answers, 0, 20) : [] as $record) {
                if ($record->type === Message::TYPE_PTR && is_string($record->data)) {
                    $label = Hostname::parse(strtolower(explode('.', $record->data)[0]))->label;

                    return [$message->id, strtolower(rtrim($record->name, '.')), $label];
                }
            }
        } catch (Throwable) {
            // No message of DNS, or no name that a machine can have.
        }

        return [0, '', null];
    }

    private static function reverse(Ipv4 $address): string
    {
        return implode('.', array_reverse(explode('.', (string) $address))).'.in-addr.arpa';
    }
}
