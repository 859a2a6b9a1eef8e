<?php

declare(strict_types=1);

namespace Burrow\Intake\Containers;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Containers with their ports: `ps` of the engines as table and JSON, `compose ps`, and `port`. */
final class ContainerReader implements Reader
{
    public function kind(): string
    {
        return 'containers';
    }

    public function summary(): string
    {
        return 'ps of a container engine (table, JSON), compose ps, port';
    }

    public function sign(): string
    {
        return '~^CONTAINER ID {2,}IMAGE|^NAMES? {2,}.*(?:COMMAND|IMAGE).*(?:STATUS|STATE)|"(?:Image|Publishers)" *: *["\[]|'.
            '^(?:\S{1,128}[ \t]+)?\d{1,5}/(?:tcp|udp|sctp) -> \S*:\d{1,5}$~m';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $facts = match (true) {
            preg_match(ContainerJson::SIGN, substr($text, 0, 4096)) === 1 => ContainerJson::read(
                $text,
                $unread,
            ),
            preg_match(ContainerTable::HEAD, $text) === 1 => ContainerTable::read($text, $unread),
            preg_match(ContainerTable::PORT, $text) === 1 => ContainerTable::ports($text, $unread),
            default => null,
        };
        $none = $facts === null || ($facts === [] && $unread->count() > 0);

        return new Reading(
            $this->kind(),
            $facts ?? [],
            $none && $unread->count() === 0
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            $facts === null
                ? []
                : [
                    'containers' => count($facts),
                    'running' => count(
                        array_filter($facts, fn (Container $one): bool => $one->state === 'running'),
                    ),
                ],
            $unread->count(),
        );
    }
}
