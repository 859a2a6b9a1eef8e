<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Upkeep\Report\ReportReader;
use phpseclib3\Crypt\Common\PrivateKey;
use phpseclib3\Net\SSH2;
use Throwable;

/**
 * Fetches the report of a box by remote login: the key may run the report there and nothing else, and nothing is sent
 * before the box has shown the host key that the record knows.
 */
final readonly class ReportProbe
{
    private const SECONDS = 25.0;

    /** Of the whole session; what a report may have, twice, for what lies around it. */
    private const MOST_BYTES = 2 * ReportReader::MOST;

    /** @throws NotFetched with what stands in the way, in words */
    public function fetch(Target $target, string $account, PrivateKey $key, string $hostKey): string
    {
        try {
            $door = new SSH2(
                BudgetedStream::open($target->host, $target->port, self::SECONDS, self::MOST_BYTES),
            );
            $door->setTimeout((int) self::SECONDS);
            $shown = $door->getServerPublicHostKey();
        } catch (Throwable) {
            throw new NotFetched('Its port of remote login does not answer.');
        }
        $words = is_string($shown) ? explode(' ', $shown) : [];
        $sum =
            'SHA256:'.
            rtrim(base64_encode(hash('sha256', (string) base64_decode($words[1] ?? '', true), true)), '=');
        if (! hash_equals($hostKey, $sum)) {
            throw new NotFetched(
                "It shows another host key than the record knows: {$sum}. Nothing was sent.",
            );
        }
        try {
            if (! $door->login($account, $key)) {
                throw new NotFetched("It does not let {$account} in with this key.");
            }
            $text = '';
            $door->exec('burrow-report', function (string $piece) use (&$text): bool {
                $text .= $piece;

                return strlen($text) > ReportReader::MOST;
            });
            $door->disconnect();
        } catch (NotFetched $known) {
            throw $known;
        } catch (Throwable) {
            throw new NotFetched('It broke off in the middle.');
        }

        return substr($text, 0, ReportReader::MOST);
    }
}
