<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

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
    public static function read(string $yaml, string $schema, string $file, Knowledge $knowledge, Shelf $shelf): self
    {
        $entry = YamlEntry::read($yaml, $schema, $file, TextBudget::description());
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        /** @var array{job?: string|list<string>, board?: string, link?: string, start?: string, seen?: array<string, string|bool>, cannot?: list<string>, cleared?: list<string>} $data */
        $data = $entry->data;
        $lines = new YamlLines($yaml);
        $findings = [];
        $known = function (string $kind, string $word, array $words, array $path) use (&$findings, $lines, $file): void {
            if (! in_array($word, $words, true)) {
                $findings[] = DiagnosisFindings::unknown(
                    $kind,
                    $word,
                    KnownWords::of(implode(' ', $words))->nearest($word),
                    Place::file($file, $lines->locate($path)),
                );
            }
        };
        $jobs = (array) ($data['job'] ?? []);
        foreach ($jobs as $at => $job) {
            $known('job', $job, array_keys($shelf->jobs), is_string($data['job'] ?? null) ? ['job'] : ['job', $at]);
        }
        isset($data['board']) && $known('board class', $data['board'], array_keys($shelf->boards), ['board']);
        $seen = [];
        foreach ($data['seen'] ?? [] as $check => $answer) {
            $check = (string) $check;
            // `on` and `off` are the words of a switch; YAML may have taken them for truth.
            $answer = is_bool($answer) ? ($answer ? 'on' : 'off') : $answer;
            $known('check', $check, array_keys($knowledge->checks), ['seen', $check]);
            if (isset($knowledge->checks[$check])) {
                $answers = array_map(strval(...), array_keys($knowledge->checks[$check]->answers));
                $known("answer to “{$check}”", $answer, $answers, ['seen', $check]);
                $seen[] = new Seen($check, $answer);
            }
        }
        foreach ($data['cannot'] ?? [] as $at => $check) {
            $known('check', $check, array_keys($knowledge->checks), ['cannot', $at]);
        }
        foreach ($data['cleared'] ?? [] as $at => $cause) {
            $known('cause', $cause, array_keys($knowledge->causes), ['cleared', $at]);
        }
        $findings = Findings::of(...$findings);
        if ($findings->blocks()) {
            return new self(null, $findings);
        }
        $circumstances = Circumstances::of(
            array_map(fn (string $job) => $shelf->jobs[$job], array_values($jobs)),
            isset($data['link']) ? $data['link'] === 'wired' : null,
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
}
