<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Shelf;
use Burrow\Diagnosis\Know\Knowledge;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\KnownWords;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/** A box that does not do its work, written down as YAML or JSON under case.schema.json. */
final readonly class CaseFile
{
    /** @param  ?Conversation  $talk  null when the file cannot be used */
    private function __construct(public ?Conversation $talk, public Findings $findings)
    {
    }

    /** @param  string  $schema  case.schema.json, as text */
    public static function read(
        string $yaml,
        string $schema,
        string $file,
        Knowledge $knowledge,
        Shelf $shelf,
    ): self {
        $entry = YamlEntry::read($yaml, $schema, $file, TextBudget::description(), lines: true);
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        /** @var array{job?: string|list<string>, board?: string, link?: string, start?: string, seen?: array<string, string|bool>, cannot?: list<string>, cleared?: list<string>} $data */
        $data = $entry->data;
        $jobs = array_values((array) ($data['job'] ?? []));
        $checks = array_keys($knowledge->checks);
        $words = [];
        foreach ($jobs as $at => $job) {
            $path = is_array($data['job'] ?? null) ? ['job', $at] : ['job'];
            $words[] = ['job', $job, array_keys($shelf->jobs), $path];
        }
        if (isset($data['board'])) {
            $words[] = ['board class', $data['board'], array_keys($shelf->boards), ['board']];
        }
        $seen = [];
        foreach ($data['seen'] ?? [] as $check => $answer) {
            $check = (string) $check;
            // `on` and `off` are the words of a switch; YAML may have taken them for truth.
            $answer = is_bool($answer) ? ($answer ? 'on' : 'off') : $answer;
            $answers = array_map(strval(...), array_keys($knowledge->checks[$check]->answers ?? []));
            $words[] = ['check', $check, $checks, ['seen', $check]];
            if ($answers !== []) {
                $words[] = ["answer to “{$check}”", $answer, $answers, ['seen', $check]];
            }
            $seen[] = new Seen($check, $answer);
        }
        foreach (array_values($data['cannot'] ?? []) as $at => $check) {
            $words[] = ['check', $check, $checks, ['cannot', $at]];
        }
        foreach (array_values($data['cleared'] ?? []) as $at => $cause) {
            $words[] = ['cause', $cause, array_keys($knowledge->causes), ['cleared', $at]];
        }
        $findings = self::unknown($words, new YamlLines($yaml), $file);
        if ($findings->blocks()) {
            return new self(null, $findings);
        }
        $circumstances = Circumstances::of(
            array_map(fn (string $job): Job => $shelf->jobs[$job], $jobs),
            LinkKind::tryFrom($data['link'] ?? ''),
            isset($data['start']) ? $data['start'] === 'card' : null,
        );
        $talk = Conversation::of(
            $knowledge,
            $circumstances,
            $seen,
            array_values($data['cleared'] ?? []),
            array_values($data['cannot'] ?? []),
        );

        return new self($talk, DiagnosisFindings::about($talk));
    }

    /**
     * @param  list<array{string, string, list<array-key>, list<int|string>}>  $words  kind, word, those there are, path
     */
    private static function unknown(array $words, YamlLines $lines, string $file): Findings
    {
        $findings = [];
        foreach ($words as [$kind, $word, $known, $path]) {
            if (! in_array($word, $known, true)) {
                $findings[] = DiagnosisFindings::unknown(
                    $kind,
                    $word,
                    KnownWords::of(implode(' ', $known))->nearest($word),
                    Place::file($file, $lines->locate($path)),
                );
            }
        }

        return Findings::of(...$findings);
    }
}
