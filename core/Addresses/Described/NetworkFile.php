<?php

declare(strict_types=1);

namespace Burrow\Addresses\Described;

use Burrow\Addresses\NetworkFindings;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Address;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\Ipv6;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;
use Burrow\Net\SshPublicKey;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/**
 * The networks of a house written down as YAML or JSON, under network.schema.json. What cannot be read is a finding at
 * its line; what can be is kept, so that one slip does not hide another.
 *
 * @phpstan-type RangeText array{from: string, to: string}
 * @phpstan-type HostText array{name: string, address?: string, mac?: string, by?: string, kind?: string, filters?: bool, ipv6?: string, aliases?: list<string>, user?: string, port?: int, host_keys?: list<string>}
 * @phpstan-type NetworkText array{name?: string, prefix: string, gateway?: string, pools?: list<RangeText>, dns?: list<string>, domain?: string, ipv6?: string, wan?: string, ranges?: list<array{name: string, from: string, to: string}>, hosts?: list<HostText>, serial?: int}
 */
final class NetworkFile
{
    /** @var list<DescribedNetwork> */
    public array $networks = [];

    public ?Prefix $toSplit = null;

    public ?int $into = null;

    /** @var list<Prefix> */
    public array $toJoin = [];

    /** @var list<Finding> */
    private array $findings = [];

    private function __construct(private readonly YamlLines $lines, private readonly string $file)
    {
    }

    /** @param  string  $schema  network.schema.json, as text */
    public static function read(string $yaml, string $schema, string $file): self
    {
        $entry = YamlEntry::read($yaml, $schema, $file, TextBudget::description());
        $read = new self(new YamlLines($yaml), $file);
        if ($entry->data === null) {
            $read->findings = $entry->findings->list;

            return $read;
        }
        /** @var array{networks?: list<NetworkText>, split?: array{prefix: string, length: int}, join?: list<string>} $data */
        $data = $entry->data;
        foreach ($data['networks'] ?? [] as $at => $network) {
            $read->network($network, $at);
        }
        if (isset($data['split'])) {
            $read->toSplit = $read->prefix($data['split']['prefix'], ['split', 'prefix']);
            $read->into = $data['split']['length'];
        }
        foreach ($data['join'] ?? [] as $at => $prefix) {
            $prefix = $read->prefix($prefix, ['join', $at]);
            $prefix === null || ($read->toJoin[] = $prefix);
        }

        return $read;
    }

    /** What could not be read. */
    public function findings(): Findings
    {
        return Findings::of(...$this->findings);
    }

    /** @param  list<int|string>  $path */
    public function place(array $path): Place
    {
        return Place::file($this->file, $this->lines->locate($path));
    }

    /** @param  NetworkText  $text */
    private function network(array $text, int $at): void
    {
        $path = ['networks', $at];
        $prefix = $this->prefix($text['prefix'], [...$path, 'prefix']);
        if ($prefix === null) {
            return;
        }
        $ipv6 = isset($text['ipv6']) ? Ipv6Prefix::tryParse($text['ipv6']) : null;
        if (isset($text['ipv6']) && $ipv6 === null) {
            $this->unread([...$path, 'ipv6'], $text['ipv6'], 'IPv6 prefix');
        }
        $dns = [];
        foreach ($text['dns'] ?? [] as $i => $server) {
            $address = Address::tryParse($server);
            $address === null ? $this->unread([...$path, 'dns', $i], $server, 'address') : ($dns[] = $address);
        }
        $pools = [];
        foreach ($text['pools'] ?? [] as $i => $pool) {
            $range = $this->range($pool, 'The pool', [...$path, 'pools', $i]);
            $range === null || ($pools[] = $range);
        }
        $ranges = [];
        foreach ($text['ranges'] ?? [] as $i => $named) {
            $range = $this->range($named, "“{$named['name']}”", [...$path, 'ranges', $i]);
            $range === null || ($ranges[] = new NamedRange($named['name'], $range));
        }
        $this->networks[] = new DescribedNetwork(
            $text['name'] ?? (string) $prefix,
            $prefix,
            isset($text['gateway']) ? $this->address($text['gateway'], [...$path, 'gateway']) : null,
            $pools,
            $dns,
            $text['domain'] ?? 'home.arpa',
            $ipv6,
            isset($text['wan']) ? $this->address($text['wan'], [...$path, 'wan']) : null,
            $ranges,
            array_map(
                fn (array $host, int $i): Host => $this->host($host, [...$path, 'hosts', $i]),
                $text['hosts'] ?? [],
                array_keys($text['hosts'] ?? []),
            ),
            $text['serial'] ?? 1,
        );
    }

    /**
     * @param  HostText  $text
     * @param  list<int|string>  $path
     */
    private function host(array $text, array $path): Host
    {
        $mac = isset($text['mac']) ? Mac::tryParse($text['mac']) ?? Mac::tryShort($text['mac']) : null;
        if (isset($text['mac']) && $mac === null) {
            $this->unread([...$path, 'mac'], $text['mac'], 'hardware address');
        }

        $ipv6 = isset($text['ipv6']) ? Ipv6::tryParse($text['ipv6']) : null;
        if (isset($text['ipv6']) && $ipv6 === null) {
            $this->unread([...$path, 'ipv6'], $text['ipv6'], 'IPv6 address');
        }
        $keys = [];
        foreach ($text['host_keys'] ?? [] as $i => $line) {
            $key = SshPublicKey::tryParse($line);
            $key === null ? $this->unread([...$path, 'host_keys', $i], $line, 'host key') : ($keys[] = $key);
        }

        return new Host(
            $text['name'],
            isset($text['address']) ? $this->address($text['address'], [...$path, 'address']) : null,
            $mac,
            HeldBy::from($text['by'] ?? (isset($text['address']) ? 'reservation' : 'dhcp')),
            $text['kind'] ?? '',
            $text['filters'] ?? false,
            $ipv6,
            $text['aliases'] ?? [],
            $text['user'] ?? '',
            $text['port'] ?? 22,
            $keys,
        );
    }

    /**
     * @param  RangeText  $text
     * @param  list<int|string>  $path
     */
    private function range(array $text, string $what, array $path): ?AddressRange
    {
        $from = $this->address($text['from'], [...$path, 'from']);
        $to = $this->address($text['to'], [...$path, 'to']);
        if ($from === null || $to === null) {
            return null;
        }
        if ($to->number < $from->number) {
            $this->findings[] = NetworkFindings::rangeBackwards(
                $what,
                $text['from'],
                $text['to'],
                $this->place([...$path, 'to']),
            );

            return null;
        }

        return AddressRange::between($from, $to);
    }

    /** @param  list<int|string>  $path */
    private function prefix(string $text, array $path): ?Prefix
    {
        return Prefix::tryParse(trim($text)) ?? $this->unread($path, $text, 'prefix');
    }

    /** @param  list<int|string>  $path */
    private function address(string $text, array $path): ?Ipv4
    {
        return Ipv4::tryParse(trim($text)) ?? $this->unread($path, $text, 'address');
    }

    /** @param  list<int|string>  $path */
    private function unread(array $path, string $text, string $is): null
    {
        $key = implode(
            ' ',
            array_map(fn (int|string $one): string => is_int($one) ? (string) ($one + 1) : $one, $path),
        );
        $this->findings[] = NetworkFindings::unreadable($key, mb_substr($text, 0, 60), $is, $this->place($path));

        return null;
    }
}
