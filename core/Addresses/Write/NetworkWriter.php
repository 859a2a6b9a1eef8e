<?php

declare(strict_types=1);

namespace Burrow\Addresses\Write;

use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\HeldBy;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\NetworkFile;
use Burrow\Addresses\NetworkFindings;
use Burrow\Addresses\NetworkRules;
use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Mac;

/**
 * Files of names and addresses, all made from one description of the networks. Names, domains and accounts are held
 * against the strictest grammar of the programs that read them before a line is written.
 */
abstract class NetworkWriter implements FileKind
{
    /** What the programs that read such files refuse, or answer by chance. */
    private const CONTRADICTIONS = [
        'addresses.networks_overlap',
        'addresses.pools_overlap',
        'addresses.outside_prefix',
        'addresses.group_mac',
        'addresses.address_twice',
        'addresses.mac_twice',
        'addresses.name_twice',
        'addresses.network_address',
        'addresses.broadcast',
    ];

    public function schema(): string
    {
        return 'core/Addresses/schema/network.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        $file = NetworkFile::read($values, $schema, $name);
        $findings = $file->findings();
        foreach ($file->networks as $at => $network) {
            $findings = $findings->and($this->uncarried($network, $at, $file));
        }
        $findings = $findings->and(
            array_filter(
                NetworkRules::against($file->networks, $file->place(...))->list,
                fn (Finding $finding): bool => in_array($finding->code, self::CONTRADICTIONS, true),
            ),
        );
        if ($findings->blocks()) {
            return new WrittenFile($this->kind(), null, $findings);
        }

        return $this->written($file->networks, $findings);
    }

    /**
     * From networks that were checked already, as the household's own are.
     *
     * @param  list<DescribedNetwork>  $networks
     */
    public function written(array $networks, ?Findings $findings = null): WrittenFile
    {
        $findings ??= Findings::of();
        $left = [];
        $text = $this->text($networks, function (Host $host, string $lacks) use (&$left): void {
            $left[] = NetworkFindings::missing($lacks, $host->name, null);
        });
        $findings = $findings->and($left);

        return $text === ''
            ? new WrittenFile($this->kind(), null, $findings->and([NetworkFindings::nothingToWrite($this->kind())]))
            : new WrittenFile($this->kind(), $text, $findings);
    }

    /**
     * The whole file, or "" when nothing belongs into it.
     *
     * @param  list<DescribedNetwork>  $networks
     * @param  callable(Host, string): void  $lacks  told of a host that is left out, and what it has not
     */
    abstract protected function text(array $networks, callable $lacks): string;

    /**
     * Hosts whose address is reserved; one that lacks something for it is left out and told.
     *
     * @param  callable(Host, string): void  $lacks
     * @return list<array{string, Mac, Ipv4}> name in lower case, hardware address, address
     */
    protected static function reservations(DescribedNetwork $network, callable $lacks): array
    {
        $reserved = [];
        foreach ($network->hosts as $host) {
            if ($host->by !== HeldBy::Reservation) {
                continue;
            }
            if ($host->mac === null || $host->address === null) {
                $lacks($host, $host->mac === null ? 'hardware address' : 'address');
            } else {
                $reserved[] = [strtolower($host->name), $host->mac, $host->address];
            }
        }

        return $reserved;
    }

    /** @return list<Finding> */
    private function uncarried(DescribedNetwork $network, int $at, NetworkFile $file): array
    {
        $found = [];
        $domain = explode('.', $network->domain);
        foreach ($domain as $label) {
            if (self::why($label) !== '' || strlen($network->domain) > 253) {
                $found[] = NetworkFindings::notCarried(
                    'domain',
                    $network->domain,
                    'It is labels of letters, digits and hyphens with dots between (RFC 1035 2.3.1).',
                    $file->place(['networks', $at, 'domain']),
                );
                break;
            }
        }
        foreach ($network->hosts as $i => $host) {
            foreach ([$host->name, ...$host->aliases] as $name) {
                $why = self::why($name);
                $why === '' ||
                    ($found[] = NetworkFindings::notCarried(
                        'name',
                        $name,
                        $why,
                        $file->place(['networks', $at, 'hosts', $i]),
                    ));
            }
            if ($host->user !== '' && preg_match('/^[a-z_][a-z0-9_-]{0,30}\$?$/D', $host->user) !== 1) {
                $found[] = NetworkFindings::notCarried(
                    'account',
                    $host->user,
                    'Accounts are lower-case letters, digits, hyphens and underscores, at most 32 (useradd(8)).',
                    $file->place(['networks', $at, 'hosts', $i, 'user']),
                );
            }
        }

        return $found;
    }

    /** Why a word is no label of a name; empty when it is one. */
    private static function why(string $label): string
    {
        $stops = array_filter(
            Hostname::check($label, asMachine: false)->list,
            fn (Finding $finding): bool => $finding->severity === Severity::Stop,
        );

        return $stops === [] ? '' : reset($stops)->found;
    }
}
