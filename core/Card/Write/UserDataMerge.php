<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Card\Read\CardDocument;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Symfony\Component\Yaml\Yaml;

/** A user-data that another tool wrote, kept and completed with ours. What we also say goes before what it says. */
final readonly class UserDataMerge
{
    private function __construct(public CardFile $file, public Findings $findings)
    {
    }

    /** Null when theirs cannot be read; the linter says why. */
    public static function of(string $theirs, CardFile $ours): ?self
    {
        $document = CardDocument::read('user-data', $theirs);
        if ($document->data === null || ! str_starts_with(ltrim($theirs), '#cloud-config')) {
            return null;
        }
        /** @var array<string, mixed> $mine */
        $mine = Yaml::parse($ours->text());
        /** @var array<string, mixed> $kept */
        $kept = $document->data;
        $findings = Findings::of();
        foreach ($mine as $key => $value) {
            if ($key === 'users') {
                $kept['users'] = self::users(
                    is_array($kept['users'] ?? null) ? array_values($kept['users']) : [],
                    (array) $value,
                );
            } elseif (in_array($key, ['packages', 'runcmd', 'bootcmd'], true) && is_array($kept[$key] ?? null)) {
                $kept[$key] = array_values(array_unique([...$kept[$key], ...(array) $value], SORT_REGULAR));
            } else {
                if (isset($kept[$key]) && $kept[$key] !== $value) {
                    $findings = $findings->and([WriteFindings::mergeReplaced($key, Place::file('user-data'))]);
                }
                $kept[$key] = $value;
            }
        }
        $theirKeys = array_diff(array_keys($kept), array_keys($mine));
        $lines = [new CardLine('#cloud-config', 'Without this mark at the top the whole file is ignored.')];
        foreach ($kept as $key => $value) {
            foreach (self::block([$key => $value], 0) as $at => $line) {
                $lines[] = new CardLine(
                    $line,
                    $at === 0 && in_array($key, $theirKeys, true) ? 'Was there already.' : '',
                );
            }
        }

        return new self(new CardFile('user-data', $lines), $findings);
    }

    /**
     * @param  list<mixed>  $theirs
     * @param  array<mixed>  $ours
     * @return list<mixed>
     */
    private static function users(array $theirs, array $ours): array
    {
        foreach ($ours as $mine) {
            $at = array_key_first(
                array_filter(
                    $theirs,
                    fn (mixed $one): bool => is_array($one) &&
                        is_array($mine) &&
                        ($one['name'] ?? null) === ($mine['name'] ?? ''),
                ),
            );
            if ($at === null) {
                $theirs[] = $mine;

                continue;
            }
            /** @var array<string, mixed> $mine */
            /** @var array<string, mixed> $one */
            $one = $theirs[$at];
            $keys = array_values(
                array_unique(
                    [
                        ...(array) ($one['ssh_authorized_keys'] ?? []),
                        ...(array) ($mine['ssh_authorized_keys'] ?? []),
                    ],
                    SORT_REGULAR,
                ),
            );
            $theirs[$at] = array_filter(
                ['ssh_authorized_keys' => $keys] + $mine + $one,
                fn (mixed $value): bool => $value !== [],
            );
        }

        return array_values($theirs);
    }

    /**
     * A mapping or list as block lines; scalars quoted so that every reader takes them for the same.
     *
     * @param  array<mixed>  $data
     * @return list<string>
     */
    private static function block(array $data, int $indent): array
    {
        $lines = [];
        $pad = str_repeat('  ', $indent);
        foreach ($data as $key => $value) {
            $head = array_is_list($data) ? "{$pad}-" : $pad.YamlScalar::of((string) $key).':';
            if (! is_array($value) || $value === []) {
                $lines[] =
                    $head.
                    ' '.
                    match (true) {
                        is_string($value) => YamlScalar::of($value),
                        is_array($value) => '[]',
                        default => json_encode($value),
                    };
            } elseif (array_is_list($data)) {
                $inner = self::block($value, $indent + 1);
                $lines[] = $head.' '.ltrim($inner[0]);
                array_push($lines, ...array_slice($inner, 1));
            } else {
                $lines[] = $head;
                array_push($lines, ...self::block($value, $indent + 1));
            }
        }

        return $lines;
    }
}
