<?php

declare(strict_types=1);

namespace Burrow\Ports\Write;

use Burrow\Household\WhoReaches;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Address;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use Burrow\Ports\TypedPortFindings;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/** The ports of one box as its packet filter needs them: who the house is, and who reaches what. */
final readonly class BoxPorts
{
    /**
     * @param  list<string>  $house  prefixes in their standard form
     * @param  list<string>  $tunnel
     * @param  list<FilteredPort>  $ports
     */
    public function __construct(
        public string $box,
        public array $house,
        public array $tunnel,
        public array $ports,
        public bool $multicastNames = true,
    ) {
    }

    /** @return array{?self, Findings} null when something in the text stops it */
    public static function read(string $values, string $schema, string $name): array
    {
        $entry = YamlEntry::read($values, $schema, $name);
        if ($entry->data === null) {
            return [null, $entry->findings];
        }
        /** @var array{box: string, house: list<string>, tunnel?: list<string>, multicast_names?: bool, ports: list<array{port: int, to?: int, protocol: string, purpose: string, reach?: string, from?: list<string>}>} $data */
        $data = $entry->data;
        $lines = new YamlLines($values);
        $at = fn (mixed ...$path): Place => Place::file($name, $lines->locate(array_values($path)));
        $found = [];
        if (Hostname::check($data['box'], asMachine: false)->blocks()) {
            $found[] = TypedPortFindings::notCarried('box', $data['box'], $at('box'));
        }
        $house = self::prefixes($data['house'], $at('house'), $found);
        $tunnel = self::prefixes($data['tunnel'] ?? [], $at('tunnel'), $found);
        $ports = [];
        foreach ($data['ports'] as $i => $one) {
            $reach = WhoReaches::from($one['reach'] ?? 'house');
            $from = self::prefixes($one['from'] ?? [], $at('ports', $i, 'from'), $found);
            if (($reach === WhoReaches::Some) !== ($from !== [])) {
                $found[] = TypedPortFindings::fromWithoutSome($one['port'], $at('ports', $i));
            }
            if (isset($one['to']) && $one['to'] < $one['port']) {
                $found[] = TypedPortFindings::rangeBackwards($one['port'], $one['to'], $at('ports', $i, 'to'));
            }
            if (preg_match('/["\\\\\p{C}]/u', $one['purpose']) === 1) {
                $found[] = TypedPortFindings::notCarried('purpose', $one['purpose'], $at('ports', $i, 'purpose'));
            }
            $ports[] = new FilteredPort(
                Port::of($one['port']),
                isset($one['to']) ? Port::of($one['to']) : null,
                Protocol::from($one['protocol']),
                $one['purpose'],
                $reach,
                $from,
            );
        }
        $findings = Findings::of(...$found);

        return [
            $findings->blocks()
                ? null
                : new self($data['box'], $house, $tunnel, $ports, $data['multicast_names'] ?? true),
            $findings,
        ];
    }

    /**
     * @param  list<string>  $said
     * @param  list<Finding>  $found
     * @return list<string>
     */
    private static function prefixes(array $said, Place $place, array &$found): array
    {
        $prefixes = [];
        foreach ($said as $one) {
            $prefix = Prefix::tryParse($one) ?? (Ipv6Prefix::tryParse($one) ?? Address::tryParse($one));
            if ($prefix === null) {
                $found[] = TypedPortFindings::notAPrefix($one, $place);
            } else {
                $prefixes[] = (string) $prefix;
            }
        }

        return array_values(array_unique($prefixes));
    }

    /**
     * Of one family.
     *
     * @param  list<string>  $prefixes
     * @return list<string>
     */
    public static function family(array $prefixes, bool $six): array
    {
        return array_values(
            array_filter($prefixes, fn (string $one): bool => str_contains($one, ':') === $six),
        );
    }
}
