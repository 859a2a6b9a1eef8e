<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Intake\Containers\ContainerReader;
use Burrow\Intake\Disks\DisksReader;
use Burrow\Intake\Disks\DiskutilReader;
use Burrow\Intake\Disks\GetDiskReader;
use Burrow\Intake\Disks\LsblkReader;
use Burrow\Intake\Disks\UuidReader;
use Burrow\Intake\Firewall\FirewallReader;
use Burrow\Intake\Keys\HostKeyReader;
use Burrow\Intake\Leases\LeaseReader;
use Burrow\Intake\Leases\TableColumns;
use Burrow\Intake\Listening\ListeningReader;
use Burrow\Intake\Lookup\LookupReader;
use Burrow\Intake\Names\ListReader;
use Burrow\Intake\Names\QueryLogReader;
use Burrow\Intake\Neighbours\NeighbourReader;
use Burrow\Intake\Own\OwnAddressReader;
use Burrow\Intake\Reach\ReachReader;
use Burrow\Intake\Shares\ShareReader;
use Burrow\Intake\Storage\ArrayReader;
use Burrow\Intake\Storage\FillReader;
use Burrow\Intake\Storage\HealthReader;
use Burrow\Intake\Storage\MountReader;
use Burrow\Intake\Storage\PartitionReader;
use Burrow\Intake\System\BootReader;
use Burrow\Intake\System\ClockReader;
use Burrow\Intake\System\GroupReader;
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
    public const LIMIT = 16 * 1024 * 1024;

    /** The kind that is found by the looks of the text. */
    public const AUTO = 'auto';

    /** Kinds that are tried on a text with no sign of any. */
    private const WITHOUT_SIGN = ['leases', 'lookup'];

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

    /** @param  ?TableColumns  $columns  of this household's router's table, where they are known */
    public static function standard(?TableColumns $columns = null): self
    {
        return new self(
            new QueryLogReader(),
            new ListReader(),
            new NeighbourReader(),
            new LeaseReader($columns),
            new LsblkReader(),
            new DisksReader(),
            new HostKeyReader(),
            new OwnAddressReader(),
            new LookupReader(),
            new ReachReader(),
            new UpgradeReader(),
            new UuidReader(),
            new DiskutilReader(),
            new GetDiskReader(),
            new ListeningReader(),
            new ContainerReader(),
            new FirewallReader(),
            new FillReader(),
            new MountReader(),
            new PartitionReader(),
            new HealthReader(),
            new ArrayReader(),
            new TunnelReader(),
            new UpdatesReader(),
            new UnitsReader(),
            new ClockReader(),
            new BootReader(),
            new PowerReader(),
            new MachineReader(),
            new ShareReader(),
            new GroupReader(),
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

        $text = (string) preg_replace('/^\xEF\xBB\xBF/', '', $text);
        $paste = Paste::of(mb_check_encoding($text, 'UTF-8') ? $text : mb_scrub($text, 'UTF-8'));
        if ($kind !== self::AUTO) {
            return $this->best($this->readers[$kind], $paste);
        }
        $found = $this->found($paste) ?: $this->unsigned($paste);

        return $found === []
            ? $this->refused($kind, IntakeFindings::noKindFits(array_keys($this->readers)))
            : $found[0]->with(array_slice($found, 1));
    }

    /** The text as it came; joined at the edge of a terminal where the reader makes more of that. */
    private function best(Reader $reader, Paste $paste): Reading
    {
        $asItCame = $reader->read($paste->text());
        $unwrapped = $paste->unwrapped();
        $joined = $unwrapped === null ? null : $reader->read($unwrapped->text());

        return $joined !== null && $joined->beats($asItCame) ? $joined : $asItCame;
    }

    /**
     * What readers understand of a text by its looks, one reading a kind. Each part between prompts belongs to the
     * first reader that has its sign and understands it; where no prompts stand and that one passes lines over, the
     * others are asked, too.
     *
     * @return list<Reading>
     */
    private function found(Paste $paste): array
    {
        $parts = $paste->parts();
        if (count($parts) === 1) {
            $readings = [];
            foreach ($this->signed($paste) as $reader) {
                $reading = $this->best($reader, $paste);
                if ($reading->understood()) {
                    $readings[] = $reading;
                }
                if ($readings !== [] && $readings[0]->unread === 0) {
                    break;
                }
            }

            return $readings;
        }
        $texts = [];
        foreach ($parts as $line => $part) {
            $own = Paste::of($part);
            foreach ($this->signed($own) as $reader) {
                if ($this->best($reader, $own)->understood()) {
                    $before = $texts[$reader->kind()] ?? '';
                    // Lines keep their numbers: what stands between is another kind's.
                    $texts[$reader->kind()] =
                        $before.str_repeat("\n", $line - substr_count($before, "\n")).$part;
                    break;
                }
            }
        }

        return array_map(
            fn (string $kind): Reading => $this->best($this->readers[$kind], Paste::of($texts[$kind])),
            array_keys($texts),
        );
    }

    /**
     * A text without any sign: cells of a page that were copied one below the other, or addresses alone.
     *
     * @return list<Reading>
     */
    private function unsigned(Paste $paste): array
    {
        foreach (self::WITHOUT_SIGN as $kind) {
            $reading = isset($this->readers[$kind]) ? $this->best($this->readers[$kind], $paste) : null;
            if ($reading !== null && $reading->understood() && $reading->unread === 0) {
                return [$reading];
            }
        }

        return [];
    }

    /** @return list<Reader> whose sign is in the text */
    private function signed(Paste $paste): array
    {
        $text = ($paste->unwrapped() ?? $paste)->text();

        return array_values(
            array_filter(
                $this->readers,
                fn (Reader $reader): bool => preg_match($reader->sign(), $text) === 1 ||
                    preg_match($reader->sign(), $paste->text()) === 1,
            ),
        );
    }

    private function refused(string $kind, Finding $finding): Reading
    {
        return new Reading($kind, [], Findings::of($finding));
    }
}
