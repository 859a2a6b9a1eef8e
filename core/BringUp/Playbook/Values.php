<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

use Burrow\BringUp\Step\RunFacts;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Write\Blocks;

/** The values of one box that fill a playbook's commands. */
final readonly class Values
{
    /**
     * @param  array<string, string>  $words  put into a command as one shell word
     * @param  array<string, string>  $blocks  written by a core writer, put in as they are between here-document marks
     */
    public function __construct(public array $words, public array $blocks = [])
    {
    }

    /** What a run knows, for one of its steps. */
    public static function of(RunFacts $facts, Step $step): self
    {
        $box = [
            'host' => $facts->name,
            'user' => $facts->user,
            'address' => $facts->address === null ? null : (string) $facts->address,
            'found' => $facts->found() === null ? null : (string) $facts->found(),
            'mac' => $facts->mac,
            'fingerprint' => $facts->hostKey,
        ];
        $words = array_filter(
            [...$facts->learned, ...$step->values, ...array_filter($box, is_string(...))],
            fn (string $word): bool => $word !== '',
        );

        return new self($words, Blocks::from($words));
    }

    /** The command as it is typed, or null while a value it needs is not known yet. */
    public function fill(string $command): ?string
    {
        $filled = preg_replace_callback(
            '/\{\{([a-z_]+)\}\}/',
            function (array $match): string {
                $name = $match[1];

                return $this->blocks[$name] ??
                    (isset($this->words[$name]) ? self::word($this->words[$name]) : $match[0]);
            },
            $command,
        );

        return preg_match('/\{\{[a-z_]+\}\}/', (string) $filled) === 1 ? null : (string) $filled;
    }

    /** The text of a step, where a value stands for itself and an unknown one as "…". */
    public function fillText(string $text): string
    {
        return (string) preg_replace_callback(
            '/\{\{([a-z_]+)\}\}/',
            fn (array $match): string => $this->words[$match[1]] ?? '…',
            $text,
        );
    }

    /** Single-quoted for a POSIX shell unless every character is harmless. */
    private static function word(string $value): string
    {
        return preg_match('~^[A-Za-z0-9_./:@%+=,-]+$~D', $value) === 1
            ? $value
            : "'".str_replace("'", "'\\''", $value)."'";
    }
}
