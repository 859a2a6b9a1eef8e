<?php

declare(strict_types=1);

namespace Burrow\Intake\Listening;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Neighbours\Neighbour;
use Burrow\Intake\Neighbours\NmapScan;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** What listens on a box, as the box tells it, or as a scan of it found it. */
final class ListeningReader implements Reader
{
    /** @var list<ListeningForm> */
    private readonly array $forms;

    public function __construct()
    {
        $this->forms = [new SsForm(), new LsofForm(), new NetstatForm()];
    }

    public function kind(): string
    {
        return 'listening';
    }

    public function summary(): string
    {
        return 'ss -tulpn, netstat of three systems, lsof -i, nmap';
    }

    public function sign(): string
    {
        return '/^ *(?:Netid +State|State +Recv-Q|(?:tcp|udp) +(?:LISTEN|UNCONN) +\d|(?:LISTEN|UNCONN) +\d+ +\d+ +\S+:|'.
            'COMMAND +PID +(?:TID +TASKCMD +)?USER +FD|\S+ +\d+ +\S+ +\d+\w* +IPv[46] +\S+ +\S+ +(?:TCP|UDP) |'.
            'Active (?:Internet|LISTEN|Connections)|Proto +(?:Recv-Q|Local)|(?:tcp|udp)(?:4|6|46)? +\d+ +\d+ +\S+[:.]|'.
            '(?:TCP|UDP) +\S+:\d+ +\S+)/m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $facts = match (true) {
            str_contains($text, '<nmaprun ') => self::scanned(NmapScan::xml($text, $unread)),
            str_contains($text, 'Nmap scan report for ') => self::scanned(NmapScan::text($text, $unread)),
            default => $this->told($text, $unread),
        };
        $unique = [];
        foreach ($facts as $fact) {
            $unique[$fact->key()] ??= $fact;
        }
        $facts = array_values($unique);
        $of = fn (string $protocol): int => count(
            array_filter($facts, fn (Listener $one): bool => $one->protocol === $protocol),
        );

        return new Reading(
            $this->kind(),
            $facts,
            $facts === [] && $unread->count() === 0
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            $facts === [] ? [] : ['tcp' => $of('tcp'), 'udp' => $of('udp')],
            $unread->count(),
        );
    }

    /** @return list<Listener> */
    private function told(string $text, UnreadLines $unread): array
    {
        foreach ($this->forms as $form) {
            if (preg_match($form->sign(), $text) === 1) {
                return $form->read($text, $unread);
            }
        }

        return [];
    }

    /**
     * Ports that a scan found open; one that is "open|filtered" did not answer, which says nothing.
     *
     * @param  list<Neighbour>  $hosts
     * @return list<Listener>
     */
    private static function scanned(array $hosts): array
    {
        $facts = [];
        foreach ($hosts as $host) {
            foreach ($host->ports as $port) {
                if ($port['state'] === 'open' && in_array($port['protocol'], ['tcp', 'udp'], true)) {
                    $facts[] = new Listener($port['protocol'], $host->address, $port['port']);
                }
            }
        }

        return $facts;
    }
}
