<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Address;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use DateTimeImmutable;

/** An opening as somebody typed it, with what speaks against it at its field. */
final class TypedOpening
{
    /**
     * @param  array<string, string>  $typed  by field: box (its id), outside_port, inside_port, protocol,
     * purpose, reason, sources, review_on
     */
    public static function check(Household $house, array $typed): Findings
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        foreach (['outside_port', 'inside_port'] as $field) {
            if (
                preg_match('/^\d{1,5}$/D', $said($field)) !== 1 ||
                Port::tryOf((int) $said($field)) === null
            ) {
                $found[] = ReachFindings::notAPort($said($field), $field);
            }
        }
        if (Protocol::tryFrom($said('protocol')) === null) {
            $found[] = ReachFindings::oneProtocol('protocol');
        }
        foreach (['purpose' => 60, 'reason' => 170] as $field => $most) {
            if ($said($field) === '' || mb_strlen($said($field)) > $most) {
                $found[] = ReachFindings::wantsWords($field, $most);
            }
        }
        $review = DateTimeImmutable::createFromFormat(
            '!Y-m-d',
            $said('review_on'),
            $house->now->getTimezone(),
        );
        if ($review === false || $review->format('Y-m-d') !== $said('review_on')) {
            $found[] = ReachFindings::notADay($said('review_on'), 'review_on');
        }
        foreach (preg_split('/[\s,]+/', $said('sources'), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $source) {
            if (Prefix::tryParse($source) === null && Address::standard($source) === null) {
                $found[] = ReachFindings::notASource($source, 'sources');
            }
        }
        $box =
            array_values(
                array_filter($house->boxes(), fn (Box $one): bool => (string) $one->id === $said('box')),
            )[0] ?? null;
        if ($box === null) {
            $found[] = ReachFindings::noSuchBox('box');
        } else {
            $found = [
                ...$found,
                ...self::against($house, $box, (int) $said('inside_port'), $said('protocol')),
            ];
        }

        return Findings::of(...$found);
    }

    /** @return list<Finding> */
    private static function against(Household $house, Box $box, int $inside, string $protocol): array
    {
        foreach ($house->services($box) as $service) {
            if ($service->port->number === $inside && $service->protocol->value === $protocol) {
                return $service->access?->isOpenToAll() === true
                    ? [ReachFindings::opensToAll($service, 'inside_port')]
                    : [];
            }
        }

        return [ReachFindings::nothingThere($box->name, $inside, $protocol, 'inside_port')];
    }

    private function __construct()
    {
    }
}
