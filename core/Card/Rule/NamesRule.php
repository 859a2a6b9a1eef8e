<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/**
 * Names that are nearly right, because a file manager hides extensions, and marker files of which exactly one must lie
 * there. Where the right name is there too, the other is only a copy.
 */
final class NamesRule implements CardRule
{
    /** Before 2022 images came with an account and a password that everybody knows: common practice. */
    private const FIRST_WITHOUT_DEFAULT_USER = 2022;

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        return $this->login($folder, $context)
            ->and($this->extensions($folder, $context))
            ->and($this->markers($folder, $context));
    }

    private function login(CardFolder $folder, CardContext $context): Findings
    {
        $findings = Findings::of();
        foreach (array_keys($folder->files) as $name) {
            if (
                preg_match('/^ssh\.?(?:[a-z]{0,4}(?:\.[a-z]{1,4}){0,3})$/i', (string) $name) === 1 &&
                strtolower((string) $name) !== 'ssh' &&
                ! $folder->has('ssh')
            ) {
                $findings = $findings->and([FileRuleFindings::markerExtension($name, Place::file((string) $name))]);
            }
        }
        if (! $folder->has('ssh') || $folder->has('user-data') || $folder->has('userconf.txt')) {
            return $findings;
        }

        return $context->image !== null && $context->image->year < self::FIRST_WITHOUT_DEFAULT_USER
            ? $findings->and([RuleFindings::defaultAccount(Place::file('ssh'))])
            : $findings->and([RuleFindings::nobodyCanLogIn(Place::file('ssh'))]);
    }

    private function extensions(CardFolder $folder, CardContext $context): Findings
    {
        $findings = Findings::of();
        $known = array_filter([
            ...array_diff(CardFolder::KNOWN, ['ssh']),
            ...$context->image->markers ?? [],
            $context->image?->ownText?->file,
        ]);
        foreach (array_keys($folder->files) as $name) {
            foreach ($known as $right) {
                if (
                    ! $folder->has($right) &&
                    preg_match('/^'.preg_quote($right, '/').'\.[a-z]{0,4}$/i', (string) $name) === 1
                ) {
                    $findings = $findings->and([
                        FileRuleFindings::nameExtension($name, $right, Place::file((string) $name)),
                    ]);
                }
            }
        }

        return $findings;
    }

    private function markers(CardFolder $folder, CardContext $context): Findings
    {
        $markers = $context->image->markers ?? [];
        $there = array_values(array_intersect($markers, array_map(strval(...), array_keys($folder->files))));

        return match (true) {
            $markers === [] || count($there) === 1 => Findings::of(),
            $there === [] => Findings::of(FileRuleFindings::markerNone($markers, Place::file($markers[0]))),
            default => Findings::of(FileRuleFindings::markerSeveral($there, Place::file($there[1]))),
        };
    }
}
