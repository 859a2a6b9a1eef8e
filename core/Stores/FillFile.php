<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\Moment;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/** Samples of how full a disk was, described in a text. */
final class FillFile
{
    /** @return array{?FillForecast, Findings} null when something in the text stops it */
    public static function read(string $values, string $schema, string $name): array
    {
        $entry = YamlEntry::read($values, $schema, $name, TextBudget::paste(), lines: true);
        if ($entry->data === null) {
            return [null, $entry->findings];
        }
        /** @var array{bytes: int, reserved_bytes?: int, now?: int|string, samples: non-empty-list<array{at: int|string, used_bytes: int}>} $data */
        $data = $entry->data;
        $lines = new YamlLines($values);
        $found = [];
        $holds = $data['bytes'] - ($data['reserved_bytes'] ?? 0);
        if ($holds <= 0) {
            $found[] = DiskFindings::allReserved(Place::file($name, $lines->locate(['reserved_bytes'])));
        }
        $now = isset($data['now']) ? Moment::tryParse($data['now']) : null;
        if (isset($data['now']) && $now === null) {
            $found[] = StoresFindings::notATime(
                (string) $data['now'],
                Place::file($name, $lines->locate(['now'])),
            );
        }
        $samples = [];
        foreach ($data['samples'] as $i => $one) {
            $at = Moment::tryParse($one['at']);
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
        $soon = $forecast->reaches(0.85)['at'];
        $days = $soon === null ? null : (int) ceil(($soon - $forecast->now) / 86400);

        return match (true) {
            $used >= 85 => [DiskFindings::nearlyFull($used)],
            $forecast->samples < 3 => [DiskFindings::tooFewSamples($forecast->samples)],
            $days !== null && $days <= StoresConcern::SOON => [DiskFindings::fullInDays($used, $days)],
            default => [],
        };
    }
}
