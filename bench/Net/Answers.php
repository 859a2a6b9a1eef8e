<?php

declare(strict_types=1);

namespace Bench\Net;

use Closure;
use React\Dns\Model\Message;
use React\Dns\Model\Record;
use React\Dns\Protocol\BinaryDumper;
use React\Dns\Protocol\Parser;
use React\Socket\ConnectionInterface;
use Throwable;

/** How services answer on real sockets: pages, shares, names, greetings. */
final class Answers
{
    /** Stands for the whole world outside (RFC 5737). */
    private const WORLD = '198.51.100.7';

    private const MOST_BYTES = 70000;

    public static function page(string $title, int $status = 200): Closure
    {
        $said = $status === 200 ? '200 OK' : "{$status} Not now";
        $body = "<!doctype html><title>{$title}</title><h1>{$title}</h1>\n";
        $length = strlen($body);

        return self::once(
            fn (string $in): ?string => ! str_contains($in, "\r\n\r\n")
                ? null
                : (str_starts_with($in, 'GET /camera')
                    ? self::picture()
                    : "HTTP/1.1 {$said}\r\nContent-Type: text/html\r\nContent-Length: {$length}\r\nConnection: close\r\n\r\n{$body}"),
        );
    }

    /** The first picture of a camera's endless stream: a JPEG's head, its comment, its end. */
    private static function picture(): string
    {
        return "HTTP/1.1 200 OK\r\nContent-Type: multipart/x-mixed-replace; boundary=next\r\nConnection: close\r\n\r\n".
            "--next\r\nContent-Type: image/jpeg\r\n\r\n\xFF\xD8\xFF\xFE\0\x05bed\xFF\xD9\r\n--next\r\n";
    }

    public static function line(string $says): Closure
    {
        return fn (ConnectionInterface $connection) => $connection->write($says);
    }

    /** An audio player in the middle of an album: greets, and answers each command. */
    public static function player(): Closure
    {
        return function (ConnectionInterface $connection): void {
            $connection->write("OK MPD 0.23.5\n");
            $buffer = '';
            $connection->on('data', function (string $data) use (&$buffer, $connection): void {
                $buffer = substr($buffer.$data, -self::MOST_BYTES);
                while (($end = strpos($buffer, "\n")) !== false) {
                    match (substr($buffer, 0, $end)) {
                        'status' => $connection->write("volume: 40\nrepeat: 0\nstate: play\nsong: 3\nOK\n"),
                        'close' => $connection->end(),
                        default => $connection->write("ACK [5@0] {} unknown command\n"),
                    };
                    $buffer = substr($buffer, $end + 1);
                }
            });
        };
    }

    /** Accepts and hangs up. */
    public static function cut(): Closure
    {
        return fn (ConnectionInterface $connection) => $connection->close();
    }

    /** The first answer of a share to NEGOTIATE ([MS-SMB2] 2.2.4): its head, and no dialect that would lead on. */
    public static function share(): Closure
    {
        $reply =
            "\xFESMB".
            pack('vvVvvVVP', 64, 0, 0, 0, 1, 1, 0, 0).
            str_repeat("\0", 32).
            pack('vvvv', 65, 1, 0x0210, 0).
            str_repeat("\0", 57);

        return self::once(
            fn (string $in): ?string => str_starts_with(substr($in, 4), "\xFESMB")
                ? pack('N', strlen($reply)).$reply
                : null,
        );
    }

    /**
     * @param  list<string>  $refused  with all below them
     * @param  array<string, string>  $records
     * @param  bool  $upstream  other names are asked of the world
     * @param  bool  $world  the world answers
     * @return list<Door>
     */
    public static function names(
        array $refused,
        array $records,
        bool $upstream,
        int $port = 53,
        bool $world = true,
    ): array {
        $answer = fn (string $packet): ?string => self::name($packet, $refused, $records, $upstream, $world);

        return [
            new Door(
                $port,
                serve: function (ConnectionInterface $connection) use ($answer): void {
                    $buffer = '';
                    $connection->on('data', function (string $data) use (
                        &$buffer,
                        $answer,
                        $connection,
                    ): void {
                        $buffer .= $data;
                        $length = strlen($buffer) < 2 ? null : (ord($buffer[0]) << 8) + ord($buffer[1]);
                        if ($length !== null && strlen($buffer) >= $length + 2) {
                            $said = (string) $answer(substr($buffer, 2, $length));
                            $connection->end(pack('n', strlen($said)).$said);
                        }
                    });
                },
            ),
            new Door($port, 'udp', answer: $answer),
        ];
    }

    /**
     * @param  list<string>  $refused
     * @param  array<string, string>  $records
     */
    private static function name(
        string $packet,
        array $refused,
        array $records,
        bool $upstream,
        bool $world,
    ): ?string {
        try {
            $asked = (new Parser())->parseMessage($packet);
        } catch (Throwable) {
            return null;
        }
        if (count($asked->questions) !== 1) {
            return null;
        }
        $question = $asked->questions[0];
        $name = strtolower(rtrim($question->name, '.'));
        $answer = Message::createResponseWithAnswersForQuery($question, []);
        $answer->id = $asked->id;
        $address = $records[$name] ?? null;
        $isRefused =
            array_filter(
                $refused,
                fn (string $one): bool => $name === $one || str_ends_with($name, ".{$one}"),
            ) !== [];
        if ($address === null && ! $isRefused && $upstream && $world) {
            $address = self::WORLD;
        }
        if ($address === null) {
            $answer->rcode = match (true) {
                $isRefused => Message::RCODE_NAME_ERROR,
                $upstream => Message::RCODE_SERVER_FAILURE,
                default => Message::RCODE_REFUSED,
            };
        } elseif ($question->type === Message::TYPE_A) {
            $answer->answers[] = new Record(
                $question->name,
                Message::TYPE_A,
                Message::CLASS_IN,
                60,
                $address,
            );
        }

        return (new BinaryDumper())->toBinary($answer);
    }

    /** @param  Closure(string): ?string  $answer  null while more must come in */
    private static function once(Closure $answer): Closure
    {
        return function (ConnectionInterface $connection) use ($answer): void {
            $buffer = '';
            $connection->on('data', function (string $data) use (&$buffer, $answer, $connection): void {
                $buffer .= $data;
                $said = strlen($buffer) > self::MOST_BYTES ? '' : $answer($buffer);
                if ($said !== null) {
                    $connection->end($said);
                }
            });
        };
    }
}
