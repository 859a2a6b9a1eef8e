<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\BringUp\Seen\PageSeen;
use DateTimeImmutable;
use GuzzleHttp\Client;
use GuzzleHttp\Psr7\DroppingStream;
use GuzzleHttp\Psr7\Utils;
use GuzzleHttp\TransferStats;
use Psr\Http\Message\ResponseInterface;
use Throwable;

/**
 * Asks for a page as a first visitor would, and reads its beginning. Redirects are not followed, nothing is
 * unpacked.
 */
final readonly class PageProbe
{
    private const MOST_BYTES = 65536;

    private const LONGEST_TITLE = 120;

    public function __construct(private float $seconds)
    {
    }

    public function ask(Target $target, string $path, bool $tls): ?PageSeen
    {
        $seen = null;
        $certificate = [];
        $body = Utils::streamFor(fopen('php://temp', 'r+'));
        try {
            (new Client())->request(
                'GET',
                ($tls ? 'https' : 'http')."://{$target->host}:{$target->port}{$path}",
                [
                    'timeout' => $this->seconds,
                    'connect_timeout' => $this->seconds,
                    'allow_redirects' => false,
                    'http_errors' => false,
                    'decode_content' => false,
                    // Whether a certificate is to be trusted is the person's to say; it is told, not judged.
                    'verify' => false,
                    'proxy' => '',
                    'sink' => new DroppingStream($body, self::MOST_BYTES),
                    'on_headers' => function (ResponseInterface $response) use (&$seen): void {
                        $seen = $response;
                    },
                    'on_stats' => function (TransferStats $stats) use (&$certificate): void {
                        $chain = $stats->getHandlerStat('certinfo');
                        $certificate = is_array($chain) && is_array($chain[0] ?? null) ? $chain[0] : [];
                    },
                    'curl' => [
                        CURLOPT_CERTINFO => $tls,
                        CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
                    ],
                ],
            );
        } catch (Throwable) {
            // One that sends more than is read, or never ends, has said enough with its head.
        }
        if (! ($seen instanceof ResponseInterface)) {
            return null;
        }
        $body->rewind();
        $text = mb_scrub($body->getContents(), 'UTF-8');

        return new PageSeen(
            $seen->getStatusCode(),
            self::title($text),
            $text,
            mb_substr(mb_scrub($seen->getHeaderLine('Location'), 'UTF-8'), 0, 300),
            $tls ? self::field($certificate, 'Subject') : null,
            $tls ? self::time(self::field($certificate, 'Expire date')) : null,
            $tls && self::field($certificate, 'Subject') === self::field($certificate, 'Issuer'),
            is_string($certificate['Cert'] ?? null) ? substr($certificate['Cert'], 0, self::MOST_BYTES) : '',
        );
    }

    private static function title(string $text): string
    {
        $start = stripos($text, '<title');
        $open = $start === false ? false : strpos($text, '>', $start);
        $end = $open === false ? false : stripos($text, '</title', $open);
        $title = $open === false || $end === false ? '' : substr($text, $open + 1, $end - $open - 1);

        return mb_strimwidth(
            trim(
                (string) preg_replace(
                    '/\s+/',
                    ' ',
                    html_entity_decode(mb_scrub(substr($title, 0, 1000), 'UTF-8')),
                ),
            ),
            0,
            self::LONGEST_TITLE,
            '…',
        );
    }

    /** @param  array<mixed>  $certificate */
    private static function field(array $certificate, string $name): string
    {
        $value = $certificate[$name] ?? '';

        return is_string($value) ? mb_strimwidth(mb_scrub(trim($value), 'UTF-8'), 0, 160, '…') : '';
    }

    private static function time(string $text): ?DateTimeImmutable
    {
        try {
            return $text === '' ? null : new DateTimeImmutable($text);
        } catch (Throwable) {
            return null;
        }
    }
}
