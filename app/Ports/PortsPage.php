<?php

declare(strict_types=1);

namespace App\Ports;

use App\BringUp\StepFiles;
use App\Household\HouseholdLoader;
use App\Household\Kept;
use App\Models\Box as BoxRecord;
use App\Models\Network;
use App\View\Findings as ShownFindings;
use App\View\Pages;
use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Household\PacketFilter;
use Burrow\Household\Service;
use Burrow\Judgement\Findings;
use Burrow\Net\Port;
use Burrow\Ports\Certificates;
use Burrow\Ports\Comparison;
use Burrow\Ports\Draw\PortsPicture;
use Burrow\Ports\Draw\StripPicture;
use Burrow\Ports\EngineGroups;
use Burrow\Ports\Filter\FilterAgainstLedger;
use Burrow\Ports\Ledger;
use Burrow\Ports\LedgerRow;
use Burrow\Ports\PlainPages;
use Burrow\Ports\PortTable;
use DateTimeImmutable;

/** What the page of ports shows: the whole house as a picture, and some of its rows. */
final readonly class PortsPage
{
    /** Boxes that one can choose between above the strip; with more, it is chosen from the table. */
    private const CHOICES = 12;

    /**
     * @param  list<LedgerRow>  $rows  those of one page
     * @param  int  $of  rows that all pages show together
     * @param  int  $total  of the whole house
     * @param  int  $listening  boxes that have a port
     * @param  list<string>  $choices
     * @param  array<string, array{id: int, address: ?string}>  $boxes  those of the rows, and the chosen one, by name
     * @param  string  $only  the box whose rows are shown alone, or empty
     * @param  array<string, Service>  $plainPages
     * @param  list<string>  $stepFiles  their paths
     * @param  ?string  $box  the chosen one
     * @param  array<string, array{held: bool, at: DateTimeImmutable}>  $proofs  whether names are refused and answered as they should, by box
     */
    private function __construct(
        public array $rows,
        public int $of,
        public int $total,
        public int $listening,
        public array $choices,
        public array $boxes,
        public ?string $box,
        public string $only,
        public array $plainPages,
        public array $stepFiles,
        public PortsPicture $picture,
        public ?StripPicture $strip,
        public ?DateTimeImmutable $listed,
        public ?PacketFilter $filter,
        public ShownFindings $findings,
        public Port $free,
        public string $freeBecause,
        public array $proofs,
    ) {
    }

    /** As it was worked out since the last change. */
    public static function kept(
        Kept $kept,
        Network $network,
        StepFiles $files,
        string $named,
        int $page,
        bool $keeps,
    ): self {
        return $kept->of(
            "ports {$page} ".(int) $keeps." {$named}",
            self::class,
            fn (): self => self::of(
                app(HouseholdLoader::class)->load($network),
                $network,
                $files,
                $named,
                $page,
                $keeps,
            ),
        );
    }

    private static function of(
        Household $house,
        Network $network,
        StepFiles $files,
        string $named,
        int $page,
        bool $keeps,
    ): self {
        $rows = Ledger::of($house);
        $boxes = [];
        foreach ($house->boxes() as $one) {
            $boxes[$one->name] = $one;
        }
        $worst = $rows[0]->box ?? '';
        $box = $boxes[$named] ?? ($boxes[$worst] ?? (array_values($boxes)[0] ?? null));
        $only = isset($boxes[$named]) ? $named : '';
        $shown =
            $only === ''
                ? $rows
                : array_values(array_filter($rows, fn (LedgerRow $row): bool => $row->box === $only));
        $onPage = array_slice($shown, ($page - 1) * Pages::ROWS, Pages::ROWS);
        $scheme = PagePorts::scheme();
        $free = $scheme->propose();
        $comparison = $box === null ? null : Comparison::of($house, $box);

        return new self(
            $onPage,
            count($shown),
            count($rows),
            count(array_unique(array_map(fn (LedgerRow $row): string => $row->box, $rows))),
            array_slice(array_keys($boxes), 0, self::CHOICES),
            self::placed($boxes, [
                ...array_map(fn (LedgerRow $row): string => $row->box, $onPage),
                ...$box === null ? [] : [$box->name],
            ]),
            $box?->name,
            $only,
            $box === null ? [] : PlainPages::of($house, $box),
            $box === null
                ? []
                : array_keys(
                    $files->of(BoxRecord::query()->findOrFail($box->id)->setRelation('network', $network)),
                ),
            PortsPicture::of($rows),
            $comparison === null ? null : StripPicture::of($comparison),
            $comparison?->listing?->at,
            $box === null ? null : $house->packetFilter($box),
            ShownFindings::of(self::findings($house, $keeps)),
            $free,
            $scheme->because($free),
            self::proofs($house),
        );
    }

    /**
     * @param  array<string, Box>  $boxes
     * @param  list<string>  $names
     * @return array<string, array{id: int, address: ?string}>
     */
    private static function placed(array $boxes, array $names): array
    {
        $placed = [];
        foreach ($names as $name) {
            $address = $boxes[$name]->address;
            $placed[$name] = [
                'id' => $boxes[$name]->id,
                'address' => $address === null ? null : (string) $address,
            ];
        }

        return $placed;
    }

    /** @return array<string, array{held: bool, at: DateTimeImmutable}> */
    private static function proofs(Household $house): array
    {
        $proofs = [];
        foreach ($house->nameChecks() as $check) {
            if ($check->via === '' && $check->held !== null && $check->askedAt !== null) {
                $proofs[$check->box] = [
                    'held' => ($proofs[$check->box]['held'] ?? true) && $check->held,
                    // The oldest look holds for all of them.
                    'at' => min($proofs[$check->box]['at'] ?? $check->askedAt, $check->askedAt),
                ];
            }
        }

        return $proofs;
    }

    private static function findings(Household $house, bool $keeps): Findings
    {
        $findings = (new PortTable())
            ->findings($house)
            ->and((new FilterAgainstLedger())->findings($house)->list)
            ->and((new Certificates())->findings($house)->list);

        return $keeps ? $findings->and((new EngineGroups())->findings($house)->list) : $findings;
    }
}
