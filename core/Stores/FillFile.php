<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;
use DateTimeImmutable;
use Exception;

/** Samples of how full a disk was, described in a text. */
final class FillFile
{
    /** @return array{?FillForecast, Findings} null when something in the text stops it */
    public static function read(string $values, string $schema, string $name): array
    {
        $entry = YamlEntry::read($values, $schema, $name, TextBudget::paste());
        if ($entry->data === null) {
            return [null, $entry->findings];
        }
        /** @var array{bytes: int, reserved_bytes?: int, now?: int|string, samples: non-empty-list<array{at: int|string, used_bytes: int}>} $data */
        $data = $entry->data;
        $lines = new YamlLines($values);
        $found = [];
        $holds = $data['bytes'] - ($data['reserved_bytes'] ?? 0);
        if ($holds <= 0) {
            $found[] = StoresFindings::allReserved(Place::file($name, $lines->locate(['reserved_bytes'])));
        }
        $now = isset($data['now']) ? self::time($data['now']) : null;
        if (isset($data['now']) && $now === null) {
            $found[] = StoresFindings::notATime(
                (string) $data['now'],
                Place::file($name, $lines->locate(['now'])),
            );
        }
        $samples = [];
        foreach ($data['samples'] as $i => $one) {
            $at = self::time($one['at']);
            if ($at === null) {
                $found[] = StoresFindings::notATime(
                    (string) $one['at'],
                    Place::file($name, $lines->locate(['samples', $i])),
                );
                break;
            }
            $samples[] = new FillSample($at, $one['used_bytes']);
        }
        $findings = Findings::of(...$found);
        if ($findings->blocks() || $samples === []) {
            return [null, $findings];
        }
        $forecast = FillForecast::of($holds, $samples, $now);

        return [$forecast, $findings->and(self::judged($forecast))];
    }

    /** @return list<Finding> */
    private static function judged(FillForecast $forecast): array
    {
        $used = $forecast->usedPercent();

        return match (true) {
            $used >= 85 => [StoresFindings::nearlyFull($used)],
            $forecast->samples < 3 => [StoresFindings::tooFewSamples($forecast->samples)],
            default => [],
        };
    }

    private static function time(int|string $said): ?int
    {
        if (is_int($said)) {
            return $said >= 0 && $said < 1e11 ? $said : null;
        }
        if (
            preg_match('/^\d{4}-\d\d-\d\d(?:[T ]\d\d:\d\d(?::\d\d)?(?:Z|[+-]\d\d:?\d\d)?)?$/D', $said) !== 1
        ) {
            return null;
        }
        try {
            return (new DateTimeImmutable(
                $said.(preg_match('/(?:Z|[+-]\d\d:?\d\d)$/', $said) === 1 ? '' : ' UTC'),
            ))->getTimestamp();
        } catch (Exception) {
            return null;
        }
    }
}
