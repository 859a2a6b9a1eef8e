<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Intake\Disks\DiskutilReader;
use Burrow\Intake\Disks\GetDiskReader;
use Burrow\Intake\Disks\LsblkReader;
use Burrow\Intake\Disks\UuidReader;
use Burrow\Intake\Keys\HostKeyReader;
use Burrow\Intake\Leases\LeaseReader;
use Burrow\Intake\Updates\UpgradeReader;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;

/** All readers by kind, with the one size limit that holds for every text that comes in. */
final readonly class Intake
{
    /** Largest text taken in, in bytes. */
    public const LIMIT = 4 * 1024 * 1024;

    /** @var array<string, Reader> */
    private array $readers;

    public function __construct(Reader ...$readers)
    {
        $byKind = [];
        foreach ($readers as $reader) {
            $byKind[$reader->kind()] = $reader;
        }
        $this->readers = $byKind;
    }

    public static function standard(): self
    {
        return new self(
            new LeaseReader(),
            new LsblkReader(),
            new HostKeyReader(),
            new UpgradeReader(),
            new UuidReader(),
            new DiskutilReader(),
            new GetDiskReader(),
        );
    }

    /** @return array<string, string> kind => summary */
    public function kinds(): array
    {
        return array_map(fn (Reader $reader): string => $reader->summary(), $this->readers);
    }

    public function knows(string $kind): bool
    {
        return isset($this->readers[$kind]);
    }

    public function read(string $kind, string $text): Reading
    {
        if (! $this->knows($kind)) {
            return $this->refused(
                $kind,
                Finding::stop(
                    'intake.unknown_kind',
                    "There is no reader for “{$kind}”.",
                    'Every kind of text has a reader of its own.',
                    'Known kinds: '.implode(', ', array_keys($this->readers)).'.',
                ),
            );
        }
        $tooMuch = TextBudget::paste()->exceeded($text);
        if ($tooMuch !== null) {
            return $this->refused(
                $kind,
                Finding::stop(
                    'intake.over_budget',
                    'The text was not looked at: '.$tooMuch->because.'.',
                    'No tool read here prints that for a home network.',
                    'Paste only the part about this network.',
                    $tooMuch->line === null ? null : Place::file($kind, $tooMuch->line),
                ),
            );
        }
        if (str_starts_with($text, "PK\x03\x04") || str_contains(substr($text, 0, 4096), "\0")) {
            return $this->refused(
                $kind,
                Finding::stop(
                    'intake.not_text',
                    'This is a packed or binary file, not text.',
                    'The readers look at what a tool printed, as text.',
                    'Unpack it, open the text inside and paste that.',
                ),
            );
        }

        return $this->readers[$kind]->read(mb_scrub((string) preg_replace('/^\xEF\xBB\xBF/', '', $text), 'UTF-8'));
    }

    private function refused(string $kind, Finding $finding): Reading
    {
        return new Reading($kind, [], Findings::of($finding));
    }
}
