<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Intake\UnreadLines;
use Burrow\Net\Address;
use Burrow\Net\Mac;
use DateTimeImmutable;
use DateTimeZone;

/**
 * Blocks as in dhcpd.leases(5): `lease ADDRESS { … }`, and for IPv6 `ia-na "IAID and DUID" { iaaddr ADDRESS { … } }`.
 * The last block about an address counts. Strings are quoted with octal escapes; times are UTC with the weekday before
 * them, or "epoch SECONDS", or "never".
 *
 * @phpstan-type Statement list<string>
 */
final class BlockLeases implements LeaseForm
{
    /** A comment, a string, a mark, or a word. */
    private const TOKEN = '/\G(?:\s++|#[^\n]*+)*+(?:"((?:[^"\\\\]++|\\\\.)*+)"|([{};])|([^\s{};"#]+))/s';

    /** Statements in a block that are looked at; a lease has about a dozen. */
    private const STATEMENTS = 200;

    public function fits(string $text): bool
    {
        return preg_match('/^[ \t]*(?:lease[ \t]+[0-9A-Fa-f.:]+|ia-[ntp][ad][ \t]+"[^\n]*)[ \t]*\{/m', $text) === 1;
    }

    public function read(string $text, UnreadLines $unread): array
    {
        $leases = [];
        /** @var list<array{head: Statement, body: list<Statement>}> $open */
        $open = [];
        $statement = [];
        for ($at = 0; preg_match(self::TOKEN, $text, $m, PREG_UNMATCHED_AS_NULL, $at) === 1; $at += strlen($m[0])) {
            $mark = $m[2] ?? null;
            if ($mark === null) {
                $statement[] = $m[1] === null ? (string) $m[3] : "\"{$m[1]}";
            } elseif ($mark === '{') {
                $open[] = ['head' => $statement, 'body' => []];
                $statement = [];
            } elseif ($mark === ';') {
                $last = array_key_last($open);
                if ($last !== null && count($open[$last]['body']) < self::STATEMENTS) {
                    $open[$last]['body'][] = $statement;
                }
                $statement = [];
            } else {
                $statement = [];
                $block = array_pop($open);
                $kind = $block['head'][0] ?? '';
                if ($block !== null && in_array($kind, ['lease', 'iaaddr'], true)) {
                    $around = $open === [] ? '' : $open[array_key_last($open)]['head'][1] ?? '';
                    $lease = self::lease($block['head'][1] ?? '', $block['body'], $around);
                    $lease === null
                        ? $unread->add(
                            substr_count($text, "\n", 0, $at) + 1,
                            'the block that ends here is no lease',
                        )
                        : ($leases[$lease->address] = $lease);
                }
            }
        }
        if ($open !== []) {
            $unread->add(substr_count($text, "\n") + 1, 'the last block is not closed');
        }

        return $leases;
    }

    /**
     * @param  list<Statement>  $body
     * @param  string  $around  the string that the block around is named with: IAID and DUID of a client
     */
    private static function lease(string $address, array $body, string $around): ?Lease
    {
        $address = Address::standard($address);
        if ($address === null) {
            return null;
        }
        $said = [];
        foreach ($body as $statement) {
            $key = implode(' ', array_slice($statement, 0, 2));
            $said[
                in_array($key, ['binding state', 'hardware ethernet'], true) ? $key : $statement[0] ?? ''
            ] = $statement;
        }
        $uid = isset($said['uid'][1]) ? self::bytes($said['uid'][1]) : '';
        $duid = str_starts_with($around, '"') ? substr(self::bytes($around), 4) : '';
        $id = ClientId::hex(bin2hex($uid !== '' ? $uid : $duid));
        $name = isset($said['client-hostname'][1]) ? self::bytes($said['client-hostname'][1]) : '';

        return new Lease(
            $address,
            Mac::standard($said['hardware ethernet'][2] ?? '') ?? ClientId::mac($id),
            $name === '' ? null : mb_scrub($name, 'UTF-8'),
            self::time(array_slice($said['ends'] ?? [], 1)),
            $said['binding state'][2] ?? null,
            $id,
        );
    }

    /** A string without its mark in front and its escapes; "" for a word. */
    private static function bytes(string $token): string
    {
        return $token === '' || $token[0] !== '"'
            ? ''
            : (string) preg_replace_callback(
                '/\\\\([0-7]{3}|.)/s',
                fn (array $m): string => strlen($m[1]) === 3 ? chr((int) octdec($m[1]) & 255) : $m[1],
                substr($token, 1),
            );
    }

    /** @param  Statement  $words */
    private static function time(array $words): ?int
    {
        if (($words[0] ?? '') === 'epoch') {
            return ctype_digit($words[1] ?? '') && strlen($words[1]) <= 18 ? (int) $words[1] : null;
        }
        $time = DateTimeImmutable::createFromFormat(
            '!Y/m/d H:i:s',
            ($words[1] ?? '').' '.($words[2] ?? ''),
            new DateTimeZone('UTC'),
        );

        return $time === false ? null : $time->getTimestamp();
    }
}
