<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Judgement\Finding;
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
                preg_match('/^ssh\.?[a-z]{0,4}$/i', (string) $name) === 1 &&
                strtolower((string) $name) !== 'ssh' &&
                ! $folder->has('ssh')
            ) {
                $findings = $findings->and([
                    Finding::stop(
                        'card.marker_extension',
                        "“{$name}” is not the file “ssh”.",
                        'Remote login stays off: the box looks for that name without extension and without a dot.',
                        'Rename it; the file manager may hide the extension.',
                        Place::file((string) $name),
                    ),
                ]);
            }
        }
        if (! $folder->has('ssh') || $folder->has('user-data') || $folder->has('userconf.txt')) {
            return $findings;
        }

        return $context->image !== null && $context->image->year < self::FIRST_WITHOUT_DEFAULT_USER
            ? $findings->and([
                Finding::warn(
                    'card.default_account',
                    'Remote login is on with the account that every such image has.',
                    'Its password stands in every guide; whoever is in the house network can log in until it is changed.',
                    'Change the password at the first login, before anything else.',
                    Place::file('ssh'),
                ),
            ])
            : $findings->and([
                Finding::stop(
                    'card.nobody_can_log_in',
                    'Remote login is on, and there is no account.',
                    'Current releases have no default user.',
                    'Add userconf.txt, or the declarative files.',
                    Place::file('ssh'),
                ),
            ]);
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
                        Finding::stop(
                            'card.name_extension',
                            "“{$name}” is not the file “{$right}”.",
                            'It is not looked at: the name must be exact.',
                            'Rename it; the file manager may hide the extension.',
                            Place::file((string) $name),
                        ),
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
            $there === [] => Findings::of(
                Finding::stop(
                    'card.marker_none',
                    'No marker file says what is to start.',
                    'The image starts nothing of its own; it waits for exactly one of: '.
                        implode(', ', $markers).
                        '.',
                    'Put one of them there, empty and without extension.',
                    Place::file($markers[0]),
                ),
            ),
            default => Findings::of(
                Finding::stop(
                    'card.marker_several',
                    'Several marker files: '.implode(', ', $there).'.',
                    'The image wants exactly one; which of them wins is chance.',
                    'Leave one, and move the others into a side folder.',
                    Place::file($there[1]),
                ),
            ),
        };
    }
}
