<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Intake\Disks\DiskutilReader;
use Burrow\Intake\Disks\GetDiskReader;
use Burrow\Intake\Disks\LsblkReader;
use Burrow\Intake\Disks\UuidReader;
use Burrow\Intake\Keys\HostKeyReader;
use Burrow\Intake\Leases\LeaseReader;
use Burrow\Intake\System\BootReader;
use Burrow\Intake\System\ClockReader;
use Burrow\Intake\System\MachineReader;
use Burrow\Intake\System\PowerReader;
use Burrow\Intake\System\UnitsReader;
use Burrow\Intake\Tunnel\TunnelReader;
use Burrow\Intake\Updates\UpdatesReader;
use Burrow\Intake\Updates\UpgradeReader;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Text\TextBudget;

/** All readers by kind, with the one size limit that holds for every text that comes in. */
final readonly class Intake
{
    /** Largest text taken in, in bytes. */
    public const LIMIT = 4 * 1024 * 1024;

    /** The kind that is found by the looks of the text. */
    public const AUTO = 'auto';

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
            new TunnelReader(),
            new UpdatesReader(),
            new UnitsReader(),
            new ClockReader(),
            new BootReader(),
            new PowerReader(),
            new MachineReader(),
        );
    }

    /** @return array<string, string> kind => summary */
    public function kinds(): array
    {
        return array_map(fn (Reader $reader): string => $reader->summary(), $this->readers);
    }

    public function knows(string $kind): bool
    {
        return $kind === self::AUTO || isset($this->readers[$kind]);
    }

    public function read(string $kind, string $text): Reading
    {
        if (! $this->knows($kind)) {
            return $this->refused($kind, IntakeFindings::unknownKind($kind, array_keys($this->readers)));
        }
        $tooMuch = TextBudget::paste()->exceeded($text);
        if ($tooMuch !== null) {
            return $this->refused($kind, IntakeFindings::overBudget($kind, $tooMuch));
        }
        if (str_starts_with($text, "PK\x03\x04") || str_contains(substr($text, 0, 4096), "\0")) {
            return $this->refused($kind, IntakeFindings::notText());
        }

        $text = Paste::clean(mb_scrub((string) preg_replace('/^\xEF\xBB\xBF/', '', $text), 'UTF-8'));
        if ($kind !== self::AUTO) {
            return $this->readers[$kind]->read($text);
        }
        // The first whose sign is there and that understands something; texts of two kinds in one are told by it.
        foreach ($this->readers as $reader) {
            $reading = preg_match($reader->sign(), $text) === 1 ? $reader->read($text) : null;
            if ($reading !== null && ($reading->facts !== [] || $reading->totals !== [])) {
                return $reading;
            }
        }

        return $this->refused($kind, IntakeFindings::noKindFits(array_keys($this->readers)));
    }

    private function refused(string $kind, Finding $finding): Reading
    {
        return new Reading($kind, [], Findings::of($finding));
    }
}
