<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\BringUp\Write\Blocks;
use Burrow\Text\ShellWord;

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
            ...$facts->house,
            'host' => $facts->name,
            'user' => $facts->user,
            'address' => $facts->address === null ? null : (string) $facts->address,
            'found' => $facts->found() === null ? null : (string) $facts->found(),
            'mac' => $facts->mac,
            'fingerprint' => $facts->hostKey,
        ];
        $words = array_filter(
            [
                ...self::ofTheBox($facts->learned),
                'page_port' => $facts->pagePort($step->more->job) ?? '',
                ...$step->values,
                ...$facts->learnedFor($step->more->job),
                ...array_filter($box, is_string(...)),
            ],
            fn (string $word): bool => $word !== '',
        );

        // What a playbook fixes may itself be made of what is so of the box.
        $made = array_filter($words, fn (string $word): bool => str_contains($word, '{{'));
        $words = [...$words, ...array_map((new self(array_diff_key($words, $made)))->fillText(...), $made)];

        return new self($words, Blocks::from($words));
    }

    /**
     * @param  array<string, string>  $learned
     * @return array<string, string> those that belong to no job
     */
    private static function ofTheBox(array $learned): array
    {
        return array_filter(
            $learned,
            fn (string $name): bool => ! str_contains($name, ':'),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** The command as it is typed, or null while a value it needs is not known yet. */
    public function fill(string $command): ?string
    {
        $filled = $this->fillKnown($command);

        return preg_match('/\{\{[a-z_0-9]+\}\}/', $filled) === 1 ? null : $filled;
    }

    /** What stands in a field at first: what was answered before, else what the step proposes, else nothing. */
    public function known(StepField $field): string
    {
        $before = $this->words[(string) preg_replace('/^asked_/', '', $field->name)] ?? null;
        $proposed = $this->fillText($field->holds);

        return str_starts_with($field->name, 'asked_') && $before !== null
            ? $before
            : (str_contains($proposed, '…')
                ? ''
                : $proposed);
    }

    /** The text of a step, where a value stands for itself and an unknown one as "…". */
    public function fillText(string $text): string
    {
        return (string) preg_replace_callback(
            '/\{\{([a-z_0-9]+)\}\}/',
            fn (array $match): string => $this->words[$match[1]] ?? '…',
            $text,
        );
    }

    /** The command as far as its values are known; the others stand as {{name}}. */
    public function fillKnown(string $command): string
    {
        return (string) preg_replace_callback(
            '/\{\{([a-z_0-9]+)\}\}/',
            fn (array $match): string => $this->blocks[$match[1]] ??
                (isset($this->words[$match[1]]) ? ShellWord::of($this->words[$match[1]]) : $match[0]),
            $command,
        );
    }

    /** A text as far as its values are known; the others stand as {{name}}. */
    public function fillTextKnown(string $text): string
    {
        return (string) preg_replace_callback(
            '/\{\{([a-z_0-9]+)\}\}/',
            fn (array $match): string => $this->words[$match[1]] ?? $match[0],
            $text,
        );
    }
}
