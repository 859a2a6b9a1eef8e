<?php

declare(strict_types=1);

namespace App\Ports;

use App\Models\Box;
use App\Models\Service;
use Burrow\Household\Household;
use Burrow\Household\Service as HeldService;
use Burrow\Judgement\Findings;
use Burrow\Ports\TypedPort;

/** The form of one row of the ledger: what stands in its fields, and what speaks against it once it was sent. */
final readonly class PortForm
{
    public const FIELDS = [
        'port',
        'protocol',
        'purpose',
        'bound',
        'inner_port',
        'scheme',
        'path',
        'reach',
        'sources',
        'access',
        'codes_kept',
        'sends_home',
        'clients',
    ];

    /** @param  array<string, string>  $fields */
    private function __construct(
        public ?Service $service,
        public string $box,
        public int $boxId,
        public array $fields,
        public Findings $findings,
    ) {
    }

    /** As it is shown: what was typed before, else what is kept, else what is proposed. */
    public static function shown(Household $house, Box $box, ?Service $service): self
    {
        $typed = old('port') !== null;
        $proposed = PagePorts::scheme()->propose();
        $fields = [];
        foreach (self::FIELDS as $field) {
            $kept = match (true) {
                $typed => old($field),
                $service === null => ['port' => $proposed->number, 'protocol' => 'tcp', 'reach' => 'house'][
                    $field
                ] ?? '',
                $field === 'clients' => implode(
                    "\n",
                    array_map(
                        fn (array $one): string => implode(': ', array_filter($one, is_string(...))),
                        $service->clients ?? [],
                    ),
                ),
                default => $service->getAttribute($field),
            };
            $fields[$field] = is_scalar($kept) ? (string) $kept : '';
        }

        return new self(
            $service,
            (string) $box->name,
            $box->id,
            $fields,
            $typed ? self::judged($house, $box, $service, $fields)->findings : Findings::of(),
        );
    }

    /** @param  array<string, string>  $fields */
    public static function judged(Household $house, Box $box, ?Service $service, array $fields): TypedPort
    {
        $others = array_filter(
            $house->services(),
            fn (HeldService $one): bool => $one->box === $box->name && $one->id !== (int) $service?->id,
        );

        return TypedPort::of((string) $box->name, $fields, array_values($others), PagePorts::scheme());
    }
}
