<?php

declare(strict_types=1);

namespace Burrow\Intake\Names;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** What was asked of a resolver, from its log. */
final class QueryLogReader implements Reader
{
    /** Clients and names that are counted apart; the rest is in the totals only. */
    private const MOST = 1000;

    public function kind(): string
    {
        return 'querylog';
    }

    public function summary(): string
    {
        return 'logs of dnsmasq, unbound and named, and CSV with a head';
    }

    public function sign(): string
    {
        return '/dnsmasq\[\d+\]: (?:\d+ \S+ )?(?:query\[|forwarded |reply |cached |config )|unbound\[[\d:]+\] (?:info|reply|query): \S+ \S+ \w+ IN|'.
            'client (?:@\S+ )?[0-9a-f.:]+#\d+ \(\S+\):(?: view \S+:)? (?:query|rpz)|'.
            '^(?=[^\n]{0,200}\b(?:client|from|device)\b)(?=[^\n]{0,200}\b(?:name|domain|qname|query)\b)[\w ]{2,20}[,;\t][\w,;\t ]{4,200}$/mi';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $log = new QueryLog();
        $facts = [];
        foreach (Lines::of($text) as $number => $line) {
            $told = $log->line($line);
            if ($told === null) {
                $unread->add($number, 'no question stands in it');
            } else {
                array_push($facts, ...$told);
            }
        }
        array_push($facts, ...$log->rest());

        return new Reading(
            $this->kind(),
            $facts,
            $facts === [] && $unread->count() === 0
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            $facts === [] ? [] : self::totals($facts),
            $unread->count(),
        );
    }

    /**
     * @param  list<Query>  $facts
     * @return array<string, mixed>
     */
    private static function totals(array $facts): array
    {
        $refused = 0;
        $clients = $names = [];
        foreach ($facts as $query) {
            $is = $query->outcome === 'refused' ? 1 : 0;
            $refused += $is;
            $client = $query->client ?? 'not told';
            $clients[$client] = [($clients[$client][0] ?? 0) + 1, ($clients[$client][1] ?? 0) + $is];
            $names[$query->name] = [($names[$query->name][0] ?? 0) + 1, ($names[$query->name][1] ?? 0) + $is];
        }
        $count = fn (array $all): object => (object) array_map(
            fn (array $one): array => ['total' => $one[0], 'refused' => $one[1]],
            array_slice($all, 0, self::MOST, true),
        );

        return [
            'total' => count($facts),
            'refused' => $refused,
            'refused_percent' => round((100 * $refused) / count($facts), 2),
            'by_client' => $count($clients),
            'by_name' => $count($names),
        ];
    }
}
