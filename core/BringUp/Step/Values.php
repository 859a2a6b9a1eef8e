<?php

declare(strict_types=1);

namespace Burrow\BringUp\Step;

use Burrow\BringUp\Write\Blocks;
use Burrow\Text\PowerWord;
use Burrow\Text\ShellWord;

/** The values of one box that fill a playbook's commands. */
final readonly class Values
{
    /** @param  array<string, string>  $words  put into a command as one shell word */
    public function __construct(public array $words)
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

        return new self([
            ...$words,
            ...array_map((new self(array_diff_key($words, $made)))->fillText(...), $made),
        ]);
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

    /**
     * The same for PowerShell at a desk. There a quoted piece does not join what stands beside it, so a word that holds
     * a value is quoted as a whole.
     */
    public function fillForPowerShell(string $command): ?string
    {
        $filled = (string) preg_replace_callback(
            '/[^\s\'"|;(){}$]*(?:\{\{[a-z_0-9]+\}\}[^\s\'"|;(){}$]*)+/',
            function (array $match): string {
                $word = $this->fillTextKnown($match[0]);

                return str_contains($word, '{{') ? $match[0] : PowerWord::of($word);
            },
            $command,
        );

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

    /**
     * The command as far as its values are known; the others stand as {{name}}. What a writer of core writes goes
     * between here-document marks as it is.
     */
    public function fillKnown(string $command): string
    {
        return (string) preg_replace_callback(
            '/\{\{([a-z_0-9]+)\}\}/',
            fn (array $match): string => Blocks::write($match[1], $this->words) ??
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
